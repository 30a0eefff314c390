-- One unbroken life of this database; restoring an older state begins another.
CREATE TABLE epoch (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  epoch TEXT NOT NULL
) STRICT;

-- Settings are patched, each patch on the revision it was made from.
-- `changed` holds at which revision each setting was changed last.
ALTER TABLE workshop ADD COLUMN revision INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1);
ALTER TABLE workshop ADD COLUMN changed TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(changed));
ALTER TABLE formula_versions ADD COLUMN revision INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1);

-- On which device a document was changed last; empty for the computer Mantle runs on.
ALTER TABLE formulas ADD COLUMN changed_by TEXT NOT NULL DEFAULT '';
ALTER TABLE materials ADD COLUMN changed_by TEXT NOT NULL DEFAULT '';
ALTER TABLE moulds ADD COLUMN changed_by TEXT NOT NULL DEFAULT '';
ALTER TABLE goals ADD COLUMN changed_by TEXT NOT NULL DEFAULT '';

-- What a paired device may do, as a JSON list of rights: until now every one of them could do all but settings.
ALTER TABLE paired ADD COLUMN rights TEXT NOT NULL DEFAULT '["read","bench","rack","formulas","readings"]'
  CHECK (json_valid(rights));
ALTER TABLE paired ADD COLUMN seen_at TEXT;

-- Where and when this machine makes its backups; one row.
CREATE TABLE backup_plan (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  plan TEXT NOT NULL CHECK (json_valid(plan))
) STRICT;

-- Facts that wait to be worked out are asked for often.
CREATE INDEX batch_facts_by_maker ON batch_facts (made_by);
