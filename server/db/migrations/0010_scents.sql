-- Scents, who they are bought from, and the colours that go into soap.
CREATE TABLE scents (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
CREATE TABLE suppliers (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;

-- A trial day: its plan is a document; what happened is in its events, and what they come to is kept beside them.
CREATE TABLE trials (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT,
  state TEXT NOT NULL DEFAULT 'planned' CHECK (state IN ('planned', 'going', 'done')),
  found TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(found)),
  sniffed TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(sniffed))
) STRICT;
CREATE TABLE trial_events (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  trial_id TEXT NOT NULL REFERENCES trials (id),
  kind TEXT NOT NULL,
  payload TEXT NOT NULL CHECK (json_valid(payload)),
  at TEXT NOT NULL,
  kept_at TEXT NOT NULL
) STRICT;
CREATE INDEX trial_events_by_trial ON trial_events (trial_id, seq);
CREATE TRIGGER trial_events_are_kept BEFORE UPDATE ON trial_events
BEGIN SELECT RAISE(ABORT, 'What happened is never changed.'); END;

-- Noses at the jars: which jars, by their code alone, and what each nose wrote until the last one was through.
CREATE TABLE sniffings (
  id TEXT PRIMARY KEY,
  opened_at TEXT NOT NULL,
  jars TEXT NOT NULL CHECK (json_valid(jars)),
  closed_at TEXT
) STRICT;
CREATE TABLE sniffs (
  sniffing_id TEXT NOT NULL REFERENCES sniffings (id),
  nose TEXT NOT NULL,
  answers TEXT NOT NULL CHECK (json_valid(answers)),
  at TEXT NOT NULL,
  PRIMARY KEY (sniffing_id, nose)
) STRICT;

-- A photo is of a batch or of a trial.
CREATE TABLE photos_of_both (
  id TEXT PRIMARY KEY,
  batch_id TEXT REFERENCES batches (id),
  trial_id TEXT REFERENCES trials (id),
  type TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  kept_at TEXT NOT NULL,
  CHECK ((batch_id IS NULL) <> (trial_id IS NULL))
) STRICT;
INSERT INTO photos_of_both (id, batch_id, type, bytes, kept_at)
SELECT id, batch_id, type, bytes, kept_at FROM photos;
DROP TABLE photos;
ALTER TABLE photos_of_both RENAME TO photos;
CREATE INDEX photos_by_batch ON photos (batch_id);
