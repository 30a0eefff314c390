import Database from 'better-sqlite3'
import { performance } from 'node:perf_hooks'
import { v7 } from 'uuid'
import { lotSchema } from '../../contracts/store'
import { addDays } from '../../core/units/days'
import { median } from '../../core/statistics/quantile'
import { openDatabase } from '../../server/db/connection'
import { migrationFiles } from '../../server/db/migrationFiles'
import { demoTemplate, TestServer } from '../support/server'

/*
 * Stores of 2,000 materials, 20,000 lots and 200,000 moves: how long the lists of the station take at the server, against the bare SQL
 * that reads the same rows. One lot in ten is still there.
 */
const [things, allLots, allMoves] = [2000, 20_000, 200_000]
const today = '2026-11-23'
const file = demoTemplate()

function load(): string {
  const db = openDatabase(file, migrationFiles())
  const lot = db.prepare(
    'INSERT INTO lots (id, revision, document, created_at, changed_at) VALUES (?, 1, ?, ?, ?)',
  )
  const move = db.prepare(
    `INSERT INTO moves (id, lot_id, kind, thousandths, day, payload, at) VALUES (?, ?, ?, ?, ?, '{}', ?)`,
  )
  let last = ''
  db.transaction(() => {
    for (let nth = 0; nth < allLots; nth++) {
      const id = v7()
      const cameOn = addDays(today, -Math.floor((nth * 2000) / allLots))
      const at = `${cameOn}T08:00:00.000Z`
      const document = lotSchema.parse({
        thing: `own-thing-${nth % things}`,
        code: `L${nth}`,
        cameOn,
        amount: 9000,
        price: 500 + (nth % 700),
        place: `Shelf ${nth % 12}`,
      })
      lot.run(id, JSON.stringify(document), at, at)
      move.run(v7(), id, 'came', 9_000_000, cameOn, at)
      // Nine draws empty it; one lot in ten lacks the last of them.
      const draws = allMoves / allLots - 1
      const left = nth % 10 === 0
      for (let draw = 0; draw < draws; draw++) {
        const day = addDays(cameOn, draw)
        const taken = left && draw === draws - 1 ? 400_000 : 1_000_000
        move.run(v7(), id, 'drawn', -taken, day < today ? day : today, at)
      }
      last = id
    }
  })()
  console.log(
    `Stores: ${things} materials, ${db.prepare('SELECT count(*) FROM lots').pluck().get()} lots, ${db.prepare('SELECT count(*) FROM moves').pluck().get()} moves`,
  )
  db.close()
  return last
}
const one = load()

async function timed(act: () => unknown, rounds = 20): Promise<number> {
  const times: number[] = []
  for (let round = 0; round < rounds; round++) {
    const since = performance.now()
    await act()
    times.push(performance.now() - since)
  }
  return median(times)
}
const server = await TestServer.start(file)
const db = new Database(file, { readonly: true })
const since = addDays(today, -182)
const bare: [path: string, sql: string][] = [
  [
    '/api/lots',
    'SELECT id, revision, changed_at, changed_by, document, stock, counted_on FROM lots WHERE stock <> 0 AND deleted_at IS NULL',
  ],
  [`/api/lots/${one}`, `SELECT * FROM moves WHERE lot_id = '${one}' ORDER BY seq`],
  [
    '/api/lots/empty',
    'SELECT id, document FROM lots WHERE stock = 0 AND deleted_at IS NULL ORDER BY came_on DESC LIMIT 50',
  ],
  [
    '/api/stores/prices',
    'SELECT id, thing, document, max(came_on) FROM lots WHERE price IS NOT NULL AND deleted_at IS NULL GROUP BY thing',
  ],
  [
    '/api/stores/ahead',
    `SELECT thing, day, sum(thousandths) FROM moves JOIN lots ON lots.id = lot_id WHERE day > '${since}' AND kind = 'drawn' GROUP BY thing, day`,
  ],
  ['/api/stores/minded', 'SELECT document FROM lots WHERE stock <> 0 AND deleted_at IS NULL'],
]
for (const [path, sql] of bare) {
  const rows = db.prepare(sql).all().length
  const asked = await timed(async () => (await fetch(server.url + path)).text())
  const direct = await timed(() => db.prepare(sql).all())
  console.log(
    `${path.replace(one, ':id')}: ${asked.toFixed(1)} ms, bare SQL ${direct.toFixed(1)} ms (${rows} rows), ${(asked / direct).toFixed(1)} times`,
  )
}
db.close()
await server.stop()
