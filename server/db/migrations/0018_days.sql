-- Making days: several batches planned together.
CREATE TABLE making_days (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
