-- What is known of the colours that go into soap, by the id of the material.
CREATE TABLE colours (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;

-- What a nose said of a jar besides its strength, by the code of the jar.
ALTER TABLE sniffs ADD COLUMN said TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(said));
