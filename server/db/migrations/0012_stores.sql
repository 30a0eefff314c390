-- Lots of what is bought or made up. How much of one there is, in thousandths of a gram or of a piece, follows from its moves alone:
-- a trigger adds each of them up, so that no list has to.
CREATE TABLE lots (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT,
  stock INTEGER NOT NULL DEFAULT 0,
  counted_on TEXT,
  thing TEXT NOT NULL GENERATED ALWAYS AS (document ->> '$.thing') STORED,
  came_on TEXT NOT NULL GENERATED ALWAYS AS (document ->> '$.cameOn') STORED,
  price INTEGER GENERATED ALWAYS AS (document ->> '$.price') STORED
) STRICT;
CREATE INDEX lots_here ON lots (thing) WHERE stock <> 0 AND deleted_at IS NULL;
CREATE INDEX lots_priced ON lots (thing, came_on) WHERE price IS NOT NULL AND deleted_at IS NULL;
CREATE INDEX lots_came ON lots (came_on);

CREATE TABLE moves (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  lot_id TEXT NOT NULL REFERENCES lots (id),
  kind TEXT NOT NULL,
  thousandths INTEGER NOT NULL,
  day TEXT NOT NULL,
  -- The batch or the made-up lot that it went into, and the run and the step of the bench that weighed it.
  batch_id TEXT REFERENCES batches (id),
  into_lot TEXT REFERENCES lots (id),
  run_id TEXT REFERENCES runs (id),
  step TEXT,
  payload TEXT NOT NULL CHECK (json_valid(payload)),
  at TEXT NOT NULL,
  moved_by TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX moves_by_lot ON moves (lot_id, seq);
CREATE INDEX moves_by_batch ON moves (batch_id) WHERE batch_id IS NOT NULL;
CREATE INDEX moves_into ON moves (into_lot) WHERE into_lot IS NOT NULL;
CREATE INDEX moves_by_run ON moves (run_id) WHERE run_id IS NOT NULL;
CREATE INDEX moves_by_day ON moves (day, kind, lot_id, thousandths);
CREATE TRIGGER moves_are_kept BEFORE UPDATE ON moves
BEGIN SELECT RAISE(ABORT, 'What happened is never changed.'); END;
CREATE TRIGGER moves_add_up AFTER INSERT ON moves
BEGIN
  UPDATE lots SET stock = stock + NEW.thousandths,
    counted_on = CASE NEW.kind WHEN 'counted' THEN NEW.day ELSE counted_on END
  WHERE id = NEW.lot_id;
END;

-- What is made up ahead for many batches: a blend of fats, a solution of lye, a colour in oil.
CREATE TABLE blends (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;

-- What things cost where no lot says it, for a kilogram or a hundred pieces: until now a setting of the workshop.
CREATE TABLE prices (
  thing TEXT PRIMARY KEY,
  price INTEGER NOT NULL CHECK (price >= 0)
) STRICT;
INSERT INTO prices (thing, price)
SELECT key, value FROM workshop, json_each(settings, '$.prices') WHERE json_type(settings, '$.prices') = 'object';
UPDATE workshop SET settings = json_remove(settings, '$.prices');

-- A photo is of a batch, of a trial or of a lot.
CREATE TABLE photos_of_all (
  id TEXT PRIMARY KEY,
  batch_id TEXT REFERENCES batches (id),
  trial_id TEXT REFERENCES trials (id),
  lot_id TEXT REFERENCES lots (id),
  type TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  kept_at TEXT NOT NULL,
  CHECK ((batch_id IS NOT NULL) + (trial_id IS NOT NULL) + (lot_id IS NOT NULL) = 1)
) STRICT;
INSERT INTO photos_of_all (id, batch_id, trial_id, type, bytes, kept_at)
SELECT id, batch_id, trial_id, type, bytes, kept_at FROM photos;
DROP TABLE photos;
ALTER TABLE photos_of_all RENAME TO photos;
CREATE INDEX photos_by_batch ON photos (batch_id);

-- A market day: which bars are taken along at which price is its document; what was packed, sold and brought home are its events.
CREATE TABLE markets (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
CREATE TABLE market_events (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  market_id TEXT NOT NULL REFERENCES markets (id),
  kind TEXT NOT NULL,
  payload TEXT NOT NULL CHECK (json_valid(payload)),
  at TEXT NOT NULL,
  kept_at TEXT NOT NULL
) STRICT;
CREATE INDEX market_events_by_market ON market_events (market_id, seq);
CREATE TRIGGER market_events_are_kept BEFORE UPDATE ON market_events
BEGIN SELECT RAISE(ABORT, 'What happened is never changed.'); END;

-- What was ordered from whom; it arrives as lots.
CREATE TABLE orders (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  changed_by TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;
