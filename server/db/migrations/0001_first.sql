-- What holds for the whole workshop, one row.
CREATE TABLE workshop (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  settings TEXT NOT NULL CHECK (json_valid(settings))
) STRICT;

-- Formulas as documents. `revision` rises by one with every save, so that a stale save is noticed.
CREATE TABLE formulas (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  name TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
CREATE INDEX formulas_by_change ON formulas (changed_at DESC) WHERE deleted_at IS NULL;

-- A batch keeps the exact formula it was made from, with every value used; it never changes after that.
CREATE TABLE batches (
  id TEXT PRIMARY KEY,
  number INTEGER NOT NULL UNIQUE CHECK (number >= 1),
  formula_id TEXT NOT NULL REFERENCES formulas (id),
  made_at TEXT NOT NULL,
  bars INTEGER NOT NULL CHECK (bars >= 1),
  cure_rule TEXT NOT NULL,
  cure_days INTEGER NOT NULL CHECK (cure_days >= 1),
  frozen TEXT NOT NULL CHECK (json_valid(frozen)),
  face TEXT NOT NULL CHECK (json_valid(face))
) STRICT;
CREATE INDEX batches_by_formula ON batches (formula_id);

-- What happened. Rows are only ever added: a mistake is taken back by a row of its own. The id is the client's, so a
-- request that is sent twice is kept once.
CREATE TABLE batch_events (
  id TEXT PRIMARY KEY,
  batch_id TEXT NOT NULL REFERENCES batches (id),
  kind TEXT NOT NULL,
  payload TEXT NOT NULL CHECK (json_valid(payload)),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX batch_events_by_batch ON batch_events (batch_id);

CREATE TRIGGER batches_are_kept BEFORE UPDATE ON batches
BEGIN SELECT RAISE(ABORT, 'A batch is never changed.'); END;
CREATE TRIGGER batch_events_are_kept BEFORE UPDATE ON batch_events
BEGIN SELECT RAISE(ABORT, 'What happened is never changed.'); END;
