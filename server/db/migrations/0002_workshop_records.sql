-- The name lives in the document; nothing reads it twice.
ALTER TABLE formulas DROP COLUMN name;

-- Materials of the workshop's own (id "own-…") and its own values for those of the library (their id).
CREATE TABLE materials (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE moulds (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

-- A formula as it was when the maker named it. The document stays; what it was for and whether it did it may be told later.
CREATE TABLE formula_versions (
  id TEXT PRIMARY KEY,
  formula_id TEXT NOT NULL REFERENCES formulas (id),
  number INTEGER NOT NULL CHECK (number >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  notes TEXT NOT NULL CHECK (json_valid(notes)),
  kept_at TEXT NOT NULL,
  UNIQUE (formula_id, number)
) STRICT;
CREATE TRIGGER formula_versions_are_kept BEFORE UPDATE OF id, formula_id, number, document, kept_at ON formula_versions
BEGIN SELECT RAISE(ABORT, 'A version is never changed.'); END;
