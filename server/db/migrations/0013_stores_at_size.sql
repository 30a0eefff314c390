-- Lists of a store with many lots: what they ask of every lot stands where it need not be read out of its document, and the newest
-- lot of a thing is the first that is found.
ALTER TABLE lots ADD COLUMN amount REAL GENERATED ALWAYS AS (document ->> '$.amount') VIRTUAL;
ALTER TABLE lots ADD COLUMN shipping INTEGER GENERATED ALWAYS AS (document ->> '$.shipping') VIRTUAL;
ALTER TABLE lots ADD COLUMN supplier_id TEXT GENERATED ALWAYS AS (document ->> '$.supplierId') VIRTUAL;
ALTER TABLE lots ADD COLUMN best_before TEXT GENERATED ALWAYS AS (document ->> '$.bestBefore') VIRTUAL;
DROP INDEX lots_priced;
CREATE INDEX lots_priced ON lots (thing, came_on DESC) WHERE price IS NOT NULL AND deleted_at IS NULL;
CREATE INDEX lots_packs ON lots (thing, amount, supplier_id, came_on DESC)
WHERE price IS NOT NULL AND deleted_at IS NULL;
-- What went: drawn, or counted as gone into a batch; and what of it was taken back.
DROP INDEX moves_by_day;
CREATE INDEX moves_by_day ON moves (day, kind, batch_id, lot_id, thousandths);
