-- What can be asked of a batch, by figures; worked out with its facts.
ALTER TABLE batch_facts ADD COLUMN figures TEXT NOT NULL DEFAULT '{"figures":{},"seen":{}}';

-- Forecasts that have come due, as they were kept, beside what came: one of a kind and batch.
CREATE TABLE came_true (
  batch_id TEXT NOT NULL REFERENCES batches (id) ON DELETE CASCADE,
  what TEXT NOT NULL,
  of TEXT,
  said_on TEXT NOT NULL,
  due TEXT NOT NULL,
  at REAL NOT NULL,
  low REAL NOT NULL,
  high REAL NOT NULL,
  raw REAL NOT NULL,
  came REAL NOT NULL,
  PRIMARY KEY (batch_id, what)
) STRICT;
CREATE INDEX came_true_by_kind ON came_true (what, due);
