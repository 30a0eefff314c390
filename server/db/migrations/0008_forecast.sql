-- What the first weigh-ins of a batch said of it is called its forecast.
UPDATE batch_facts
SET facts = json_remove(json_set(facts, '$.forecast', json(json_extract(facts, '$.foretold'))), '$.foretold')
WHERE json_type(facts, '$.foretold') IS NOT NULL;
