-- Designs of labels; what customers read of a soap, by its formula; boxes of several bars.
CREATE TABLE designs (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
CREATE TABLE soap_words (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
CREATE TABLE gifts (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;

-- A photo is of a batch, of a trial, of a lot, or the picture of a design.
CREATE TABLE photos_of_all (
  id TEXT PRIMARY KEY,
  batch_id TEXT REFERENCES batches (id),
  trial_id TEXT REFERENCES trials (id),
  lot_id TEXT REFERENCES lots (id),
  design_id TEXT REFERENCES designs (id),
  type TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  kept_at TEXT NOT NULL,
  CHECK ((batch_id IS NOT NULL) + (trial_id IS NOT NULL) + (lot_id IS NOT NULL) + (design_id IS NOT NULL) = 1)
) STRICT;
INSERT INTO photos_of_all (id, batch_id, trial_id, lot_id, type, bytes, kept_at)
SELECT id, batch_id, trial_id, lot_id, type, bytes, kept_at FROM photos;
DROP TABLE photos;
ALTER TABLE photos_of_all RENAME TO photos;
CREATE INDEX photos_by_batch ON photos (batch_id);
