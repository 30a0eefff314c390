-- What the drying room was like. °C, relative humidity 0–1. `by` says whether a sensor or a hand wrote it.
CREATE TABLE room_log (
  at TEXT PRIMARY KEY,
  day TEXT NOT NULL,
  celsius REAL NOT NULL,
  humidity REAL NOT NULL CHECK (humidity BETWEEN 0 AND 1),
  by TEXT NOT NULL CHECK (by IN ('sensor', 'hand'))
) STRICT;
CREATE INDEX room_log_by_day ON room_log (day);

-- Photos lie as files beside the database; a row says what each is and whose.
CREATE TABLE photos (
  id TEXT PRIMARY KEY,
  batch_id TEXT NOT NULL REFERENCES batches (id),
  type TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  kept_at TEXT NOT NULL
) STRICT;
CREATE INDEX photos_by_batch ON photos (batch_id);

-- Bars wanted by a day.
CREATE TABLE goals (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

-- What went out of late is asked for over all batches, and what was taken back stands beside it.
CREATE INDEX batch_events_out ON batch_events (batch_id) WHERE kind = 'out';
CREATE INDEX batch_events_undone ON batch_events (batch_id) WHERE kind = 'undone';
