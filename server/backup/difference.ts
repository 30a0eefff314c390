import Database from 'better-sqlite3'
import type { RecordDifference } from '#contracts/backup'

/*
 * What putting an older state in place would change: what is there now and not in it would be gone, what is in it and not there
 * now would come back.
 */

interface Found {
  name: string
  number: number | null
  face: string | null
  event: string
  count: number
  changed: number
}

/** Documents that live in a table of their own, with how one is called. */
const documents = [
  ['formula', 'formulas', "document ->> '$.name'"],
  ['material', 'materials', "document ->> '$.name'"],
  ['mould', 'moulds', "document ->> '$.name'"],
  ['goal', 'goals', "document ->> '$.what'"],
  ['scent', 'scents', "document ->> '$.name'"],
  ['colour', 'colours', "replace(here.id, '-', ' ')"],
  ['supplier', 'suppliers', "document ->> '$.name'"],
  ['trial', 'trials', "'Trial day ' || (document ->> '$.number')"],
  ['lot', 'lots', "document ->> '$.code'"],
  ['blend', 'blends', "document ->> '$.name'"],
  ['order', 'orders', "'of ' || (document ->> '$.on')"],
  ['market', 'markets', "(document ->> '$.name') || ' ' || (document ->> '$.day')"],
  ['design', 'designs', "document ->> '$.name'"],
  ['gift', 'gifts', "document ->> '$.name'"],
  ['note', 'notes', "coalesce(nullif(document ->> '$.title', ''), document ->> '$.when.day', '')"],
  ['import', 'imports', "document ->> '$.name'"],
  ['shortWord', 'short_words', "document ->> '$.short'"],
  ['lesson', 'lessons', "document ->> '$.says'"],
  ['makingDay', 'making_days', "document ->> '$.day'"],
  ['path', 'paths', "document ->> '$.who'"],
  ['ribbon', 'ribbons', "document ->> '$.name'"],
  ['soap', 'soap_words', "coalesce(document ->> '$.tagline', '')"],
] as const

/** Live documents of `one` that `other` lacks, and those that are another there. */
const documentsSql = (table: string, name: string, one: string, other: string) =>
  `
  SELECT ${name} AS name, NULL AS number, NULL AS face, '' AS event, 1 AS count, there.id IS NOT NULL AS changed
  FROM ${one}.${table} AS here
  LEFT JOIN ${other}.${table} AS there ON there.id = here.id AND there.deleted_at IS NULL
  WHERE here.deleted_at IS NULL AND (there.id IS NULL OR there.document <> here.document)
  ORDER BY here.changed_at DESC`.replaceAll('document ->>', 'here.document ->>')

const batchSql = (one: string, other: string) => `
  SELECT frozen ->> '$.document.name' AS name, number, face, '' AS event, 1 AS count, 0 AS changed
  FROM ${one}.batches WHERE id NOT IN (SELECT id FROM ${other}.batches) ORDER BY number DESC`

/** Events of batches that both have, by batch and kind. */
const entriesSql = (one: string, other: string) => `
  SELECT frozen ->> '$.document.name' AS name, number, face, kind AS event, count(*) AS count, 0 AS changed
  FROM ${one}.batch_events AS e JOIN ${one}.batches AS b ON b.id = e.batch_id
  WHERE e.id NOT IN (SELECT id FROM ${other}.batch_events) AND b.id IN (SELECT id FROM ${other}.batches)
  GROUP BY b.id, kind ORDER BY max(e.at) DESC`

const runSql = (one: string, other: string) => `
  SELECT frozen ->> '$.document.name' AS name, number, face, '' AS event, count(*) AS count, 0 AS changed
  FROM ${one}.run_events AS e JOIN ${one}.runs AS r ON r.id = e.run_id JOIN ${one}.batches AS b ON b.id = r.batch_id
  WHERE e.id NOT IN (SELECT id FROM ${other}.run_events) GROUP BY b.id ORDER BY number DESC`

/** What came and went of lots that both have, by lot. */
const moveSql = (one: string, other: string) => `
  SELECT l.document ->> '$.code' AS name, NULL AS number, NULL AS face, '' AS event, count(*) AS count, 0 AS changed
  FROM ${one}.moves AS m JOIN ${one}.lots AS l ON l.id = m.lot_id
  WHERE m.id NOT IN (SELECT id FROM ${other}.moves) AND l.id IN (SELECT id FROM ${other}.lots) GROUP BY l.id`

const versionSql = (one: string, other: string) => `
  SELECT notes ->> '$.name' AS name, number, NULL AS face, '' AS event, 1 AS count, 0 AS changed
  FROM ${one}.formula_versions WHERE id NOT IN (SELECT id FROM ${other}.formula_versions)`

const photoSql = (one: string, other: string) => `
  SELECT '' AS name, NULL AS number, NULL AS face, '' AS event, count(*) AS count, 0 AS changed
  FROM ${one}.photos WHERE id NOT IN (SELECT id FROM ${other}.photos) HAVING count(*) > 0`

const found =
  (kind: RecordDifference['kind']) =>
  ({ face, changed, ...row }: Found): RecordDifference => ({
    ...row,
    kind,
    thumbnail: face ? (JSON.parse(face) as RecordDifference['thumbnail']) : null,
    changed: changed === 1,
  })

/** What one database has and the other has not, or has otherwise. Both in today's form. */
function only(db: Database.Database, one: string, other: string): RecordDifference[] {
  const ask = (kind: RecordDifference['kind'], sql: string) =>
    db.prepare<[], Found>(sql).all().map(found(kind))
  return [
    ...ask('batch', batchSql(one, other)),
    ...ask('run', runSql(one, other)),
    ...ask('entries', entriesSql(one, other)),
    ...documents.flatMap(([kind, table, name]) => ask(kind, documentsSql(table, name, one, other))),
    ...ask('move', moveSql(one, other)),
    ...ask('version', versionSql(one, other)),
    ...ask('photo', photoSql(one, other)),
  ]
}

/**
 * What would be gone and what would come back if `older` were put in place of `current`. A document that is another one in both is
 * told once, as what would be gone of it.
 */
export function differences(
  current: string,
  older: string,
): { gone: RecordDifference[]; back: RecordDifference[] } {
  const db = new Database(current, { readonly: true })
  try {
    db.prepare('ATTACH ? AS older').run(older)
    return {
      gone: only(db, 'main', 'older'),
      back: only(db, 'older', 'main').filter(({ changed }) => !changed),
    }
  } finally {
    db.close()
  }
}
