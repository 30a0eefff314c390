-- What a batch was made of is never changed; its small picture is for finding it, and its maker may choose another.
DROP TRIGGER batches_are_kept;

-- A picture has a pattern and any number of colours; until now it was a wave of two.
UPDATE batches SET face = json_object(
  'pattern', 'wave',
  'colours', json_array(json_extract(face, '$.base'), json_extract(face, '$.wave'))
) WHERE json_extract(face, '$.base') IS NOT NULL;

CREATE TRIGGER batches_are_kept
BEFORE UPDATE OF id, number, formula_id, made_at, bars, cure_rule, cure_days, frozen ON batches
BEGIN SELECT RAISE(ABORT, 'A batch is never changed.'); END;
