import { closeSync, mkdirSync, openSync, writeFileSync, writeSync } from 'node:fs'
import { join } from 'node:path'
import type Database from 'better-sqlite3'
import Papa from 'papaparse'

/*
 * The workshop for other programs and for people: every table of an archive's database as JSON and as CSV, with a text that says what
 * they are. Nothing is restored from these files; the database beside them is what counts.
 */

/** What lies in each table, as the README says it. */
const tells: Record<string, string> = {
  workshop: 'settings of the workshop, one record',
  formulas: 'formulas; "document" is the open format mantle.formula, version 2',
  formula_versions: 'earlier versions of formulas, each with its reason',
  batches: 'batches; "frozen" is the formula as it was made, with every value that was used',
  batch_events: 'what happened to batches; an event of kind "undone" takes another one back',
  batch_facts: 'what the events of each batch come to, for lists',
  runs: 'batches at the bench; "setup" is what stood ready',
  run_events: 'what was done at the bench, in order; "at" is the bench’s clock',
  materials: 'materials of your own and values that differ from those of Mantle',
  moulds: 'moulds, mm and ml',
  goals: 'bars that are promised',
  scents: 'scents of the drawer',
  suppliers: 'suppliers',
  trials: 'trial days; trial_events is what happened on them',
  colours: 'what was found of colours',
  photos: 'what each photo is of; the pictures lie in the folder photos, by their id',
  lots: 'lots in the stores, money in the smallest unit; "stock" in thousandths of a gram',
  moves: 'what came to and went from lots, thousandths of a gram',
  blends: 'stocks that are made up ahead',
  orders: 'what was ordered',
  prices: 'prices that were typed, for a kilogram or a hundred pieces',
  markets: 'market days; market_events is what happened on them',
  designs: 'designs of labels',
  soap_words: 'what customers read of a soap, by the id of its formula',
  gifts: 'boxes of several bars',
  notes:
    'notes and old pages; "text" is a formatted note, "typed" a recipe as it stands on the page',
  imports: 'notebooks and tables that came in together',
  short_words: 'the short words of your notebooks',
  lessons: 'lessons that are followed',
  ribbons: 'searches that are kept',
  paths: 'ways up to a first soap',
  making_days: 'days on which several batches were made, minutes from their beginning',
  room_log: 'the air of the drying room, °C and relative humidity 0–1',
}
/** Tables that only serve Mantle, or belong to this machine. */
const leftOut =
  /^(sqlite_|entries|entry_words|batch_facts_)|^(paired|reach|calendar_feed|backup_plan|epoch)$/

type Row = Record<string, unknown>

/** A value of a row as it is read: JSON unpacked, bytes only counted. */
function readable(value: unknown): unknown {
  if (Buffer.isBuffer(value)) return `${value.length} bytes`
  if (typeof value !== 'string' || !/^[[{]/.test(value)) return value
  try {
    return JSON.parse(value) as unknown
  } catch {
    return value
  }
}
/** A row with what its document says as columns of its own. */
function flat(row: Row): Record<string, string> {
  const cells: Record<string, string> = {}
  const put = (name: string, value: unknown) => {
    cells[name] =
      value === null || value === undefined
        ? ''
        : typeof value === 'object'
          ? JSON.stringify(value)
          : String(value as string | number | boolean)
  }
  for (const [name, value] of Object.entries(row)) {
    const inner = (name === 'document' || name === 'payload') && typeof value === 'object' && value
    if (inner && !Array.isArray(inner))
      for (const [key, part] of Object.entries(inner))
        put(key in row ? `${name}.${key}` : key, part)
    else put(name, value)
  }
  return cells
}

const readme = (madeAt: string, tables: readonly string[]) =>
  `A workshop of Mantle, as it was on ${madeAt}.

mantle.sqlite       the workshop itself, an SQLite database: what Mantle restores
manifest.json       what is in this archive, with lengths and SHA-256
photos/             pictures, each named by its id (JPEG, PNG or WebP)
readable/json/      every record, one file a table: a list of objects, UTF-8
readable/csv/       the same as tables: comma between cells, a first row of heads, UTF-8
readable/README.txt this text

Weights are grams, temperatures °C, shares fractions (0.05 is 5 %), instants UTC in ISO 8601, days dates of the workshop, money the
smallest unit of its currency. A record with "deleted_at" was deleted and can be brought back. Ids are UUIDs and join the tables:
batch_events.batch_id is batches.id, and so on. In CSV what lies deeper than one level is JSON in its cell; cells that a spreadsheet
would run as a formula begin with '.

${tables.map((table) => `${table.padEnd(20)}${tells[table] ?? 'records of Mantle'}`).join('\n')}
`

/**
 * Writes every record of a database as JSON and CSV into a folder, row by row, so that a large one needs no more memory than a small
 * one.
 * @returns names of the files below the folder
 */
export function writeReadable(db: Database.Database, folder: string, madeAt: string): string[] {
  for (const part of ['json', 'csv']) mkdirSync(join(folder, part), { recursive: true })
  const tables = db
    .prepare<[], string>("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name")
    .pluck()
    .all()
    .filter((name) => !leftOut.test(name))
  const names: string[] = []
  for (const table of tables) {
    const rows = () => db.prepare<[], Row>(`SELECT * FROM "${table}"`).iterate()
    const read = (row: Row): Row =>
      Object.fromEntries(Object.entries(row).map(([name, value]) => [name, readable(value)]))
    const heads = new Set<string>()
    const json = openSync(join(folder, 'json', `${table}.json`), 'w')
    let first = true
    writeSync(json, '[')
    for (const row of rows()) {
      const whole = read(row)
      for (const head of Object.keys(flat(whole))) heads.add(head)
      writeSync(json, `${first ? '' : ','}\n${JSON.stringify(whole)}`)
      first = false
    }
    writeSync(json, '\n]\n')
    closeSync(json)
    const fields = [...heads]
    const csv = openSync(join(folder, 'csv', `${table}.csv`), 'w')
    writeSync(csv, `\uFEFF${Papa.unparse([fields])}\r\n`)
    for (const row of rows()) {
      const cells = flat(read(row))
      writeSync(
        csv,
        `${Papa.unparse([fields.map((field) => cells[field] ?? '')], { escapeFormulae: /^[=+@\t\r]|^-(?!\d*[.,]?\d+(e[+-]?\d+)?$)/i })}\r\n`,
      )
    }
    closeSync(csv)
    names.push(`json/${table}.json`, `csv/${table}.csv`)
  }
  writeFileSync(join(folder, 'README.txt'), readme(madeAt, tables))
  return ['README.txt', ...names]
}
