-- A batch being made. The setup and the scale's resolution are those of its start; what happens afterwards is in its events.
CREATE TABLE runs (
  id TEXT PRIMARY KEY,
  batch_id TEXT NOT NULL UNIQUE REFERENCES batches (id),
  setup TEXT NOT NULL CHECK (json_valid(setup)),
  scale REAL NOT NULL CHECK (scale > 0),
  paper INTEGER NOT NULL CHECK (paper IN (0, 1)),
  started_by TEXT NOT NULL,
  started_at TEXT NOT NULL
) STRICT;

-- In the order in which the server took them. The id is the client's: what is sent twice is kept once. `at` is the bench's
-- clock, `kept_at` the server's.
CREATE TABLE run_events (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  run_id TEXT NOT NULL REFERENCES runs (id),
  device TEXT NOT NULL,
  kind TEXT NOT NULL,
  payload TEXT NOT NULL CHECK (json_valid(payload)),
  at TEXT NOT NULL,
  kept_at TEXT NOT NULL
) STRICT;
CREATE INDEX run_events_by_run ON run_events (run_id, seq);

CREATE TABLE run_photos (
  id TEXT PRIMARY KEY,
  run_id TEXT NOT NULL REFERENCES runs (id),
  bytes BLOB NOT NULL,
  kept_at TEXT NOT NULL
) STRICT;

CREATE TRIGGER runs_are_kept BEFORE UPDATE ON runs
BEGIN SELECT RAISE(ABORT, 'A run is never changed.'); END;
CREATE TRIGGER run_events_are_kept BEFORE UPDATE ON run_events
BEGIN SELECT RAISE(ABORT, 'What happened is never changed.'); END;

-- Tablets and scales that may use Mantle from another machine. Only a hash of what they prove themselves with is kept.
CREATE TABLE paired (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  secret_hash TEXT NOT NULL UNIQUE,
  paired_at TEXT NOT NULL,
  ended_at TEXT
) STRICT;

-- Whether Mantle answers to the local network; one row.
CREATE TABLE reach (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  open INTEGER NOT NULL CHECK (open IN (0, 1))
) STRICT;
