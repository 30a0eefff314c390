-- The small picture of a batch has a pattern and any number of colours; until now it was a wave of two.
UPDATE batches SET face = json_object(
  'pattern', 'wave',
  'colours', json_array(json_extract(face, '$.base'), json_extract(face, '$.wave'))
) WHERE json_extract(face, '$.base') IS NOT NULL;
