-- What the events of a batch come to, worked out by the core when an event is added, so that lists need not read events.
-- `made_by` names the way of working it out: what an older Mantle wrote is worked out again.
CREATE TABLE batch_facts (
  batch_id TEXT PRIMARY KEY REFERENCES batches (id),
  made_by INTEGER NOT NULL,
  -- 1 while it is planned, drying or ready; 0 when nothing of it is there any more.
  here INTEGER NOT NULL CHECK (here IN (0, 1)),
  name TEXT NOT NULL,
  batter REAL NOT NULL,
  facts TEXT NOT NULL CHECK (json_valid(facts))
) STRICT;
CREATE INDEX batch_facts_here ON batch_facts (batch_id) WHERE here = 1;

-- The private address of the calendar; one row. Asked for anew, the old address ends.
CREATE TABLE calendar_feed (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  secret TEXT NOT NULL
) STRICT;
