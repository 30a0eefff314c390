-- Notes and old pages, what came in together, short words, lessons that are followed, and searches that are kept.
CREATE TABLE notes (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT,
  import_id TEXT GENERATED ALWAYS AS (document ->> '$.importId') STORED
) STRICT;
CREATE INDEX notes_by_import ON notes (import_id) WHERE import_id IS NOT NULL;
CREATE TABLE imports (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
CREATE TABLE short_words (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
CREATE TABLE lessons (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
CREATE TABLE ribbons (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;

-- A photo is of one thing; now a note may be that too.
CREATE TABLE photos_of_all (
  id TEXT PRIMARY KEY,
  batch_id TEXT REFERENCES batches (id),
  trial_id TEXT REFERENCES trials (id),
  lot_id TEXT REFERENCES lots (id),
  design_id TEXT REFERENCES designs (id),
  note_id TEXT REFERENCES notes (id),
  type TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  kept_at TEXT NOT NULL,
  CHECK ((batch_id IS NOT NULL) + (trial_id IS NOT NULL) + (lot_id IS NOT NULL) + (design_id IS NOT NULL)
    + (note_id IS NOT NULL) = 1)
) STRICT;
INSERT INTO photos_of_all (id, batch_id, trial_id, lot_id, design_id, type, bytes, kept_at)
SELECT id, batch_id, trial_id, lot_id, design_id, type, bytes, kept_at FROM photos;
DROP TABLE photos;
ALTER TABLE photos_of_all RENAME TO photos;
CREATE INDEX photos_by_batch ON photos (batch_id);

-- The time line, written down so that it can be searched: nothing stands here that does not follow from the rest of the workshop.
-- Entries of one owner (a batch, a note, …) are written anew together. `words` are those of the entry itself, `around` those of the
-- batch that it belongs to and marks of what can be chosen, both in plain letters; `card` is what is shown.
-- The id rises with the day, so that the index of words gives its hits in the order of the line by itself.
CREATE TABLE entries (
  id INTEGER PRIMARY KEY,
  owner TEXT NOT NULL,
  day TEXT NOT NULL,
  who TEXT NOT NULL,
  mould TEXT NOT NULL,
  weather TEXT NOT NULL,
  paper INTEGER NOT NULL CHECK (paper IN (0, 1)),
  words TEXT NOT NULL,
  around TEXT NOT NULL,
  card TEXT NOT NULL CHECK (json_valid(card))
) STRICT;
CREATE INDEX entries_by_owner ON entries (owner);
CREATE INDEX entries_by_day ON entries (day, paper);
CREATE INDEX entries_by_who ON entries (who) WHERE who <> '';
CREATE INDEX entries_by_mould ON entries (mould) WHERE mould <> '';
CREATE INDEX entries_by_weather ON entries (weather) WHERE weather <> '';
CREATE VIRTUAL TABLE entry_words USING fts5 (
  words, around, content = 'entries', content_rowid = 'id', tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE TRIGGER entries_said AFTER INSERT ON entries
BEGIN INSERT INTO entry_words (rowid, words, around) VALUES (NEW.id, NEW.words, NEW.around); END;
CREATE TRIGGER entries_unsaid AFTER DELETE ON entries
BEGIN INSERT INTO entry_words (entry_words, rowid, words, around) VALUES ('delete', OLD.id, OLD.words, OLD.around); END;

-- Owners whose entries are to be written anew. An OR IGNORE in a trigger would give way to the manner of the statement that fires it.
CREATE TABLE entries_stale (owner TEXT PRIMARY KEY) STRICT, WITHOUT ROWID;
CREATE TRIGGER batch_made_stale AFTER INSERT ON batches
BEGIN INSERT INTO entries_stale VALUES ('batch ' || NEW.id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER batch_pictured_stale AFTER UPDATE OF face ON batches
BEGIN INSERT INTO entries_stale VALUES ('batch ' || NEW.id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER batch_told_stale AFTER INSERT ON batch_events
BEGIN INSERT INTO entries_stale VALUES ('batch ' || NEW.batch_id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER note_new_stale AFTER INSERT ON notes
BEGIN INSERT INTO entries_stale VALUES ('note ' || NEW.id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER note_changed_stale AFTER UPDATE ON notes
BEGIN INSERT INTO entries_stale VALUES ('note ' || NEW.id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER lesson_new_stale AFTER INSERT ON lessons
BEGIN INSERT INTO entries_stale VALUES ('lesson ' || NEW.id), ('batch ' || coalesce(NEW.document ->> '$.batchId', '')) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER lesson_changed_stale AFTER UPDATE ON lessons
BEGIN INSERT INTO entries_stale VALUES ('lesson ' || NEW.id), ('batch ' || coalesce(NEW.document ->> '$.batchId', '')) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER trial_new_stale AFTER INSERT ON trials
BEGIN INSERT INTO entries_stale VALUES ('trial ' || NEW.id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER trial_changed_stale AFTER UPDATE ON trials
BEGIN INSERT INTO entries_stale VALUES ('trial ' || NEW.id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER batch_drawn_stale AFTER INSERT ON moves WHEN NEW.batch_id IS NOT NULL
BEGIN INSERT INTO entries_stale VALUES ('batch ' || NEW.batch_id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER count_new_stale AFTER INSERT ON moves WHEN NEW.kind = 'counted'
BEGIN INSERT INTO entries_stale VALUES ('count ' || NEW.id) ON CONFLICT DO NOTHING; END;
CREATE TRIGGER count_undone_stale AFTER INSERT ON moves WHEN NEW.kind = 'undone'
BEGIN INSERT INTO entries_stale VALUES ('count ' || (NEW.payload ->> '$.move')) ON CONFLICT DO NOTHING; END;
INSERT INTO entries_stale
SELECT 'batch ' || id FROM batches UNION ALL SELECT 'trial ' || id FROM trials
UNION ALL SELECT 'count ' || id FROM moves WHERE kind = 'counted';
