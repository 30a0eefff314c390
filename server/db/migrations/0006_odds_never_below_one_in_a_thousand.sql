-- A wish for smaller odds than 1 in 1,000 is not one that the spread of the fats can answer.
UPDATE workshop SET settings = json_set(settings, '$.lyeRisk', 0.001)
WHERE json_extract(settings, '$.lyeRisk') < 0.001;
