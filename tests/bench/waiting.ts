import { performance } from 'node:perf_hooks'
import { v7 } from 'uuid'
import type { Batch } from '../../contracts/batch'
import { usualSetup } from '../../contracts/benchWords'
import type { Run } from '../../contracts/run'
import { factsOf } from '../../core/rack/facts'
import { addDays } from '../../core/units/days'
import { factsNeed } from '../../server/db/batches'
import { openDatabase } from '../../server/db/connection'
import { migrationFiles } from '../../server/db/migrationFiles'
import { send } from '../support/send'
import { demoTemplate, TestServer } from '../support/server'

/*
 * Nobody who weighs at the bench waits for a batch that takes long: a batch on the rack with 12 000 weighed bars is told
 * something again and again, while weighings of another batch are kept. How long their answers take, against a quiet server.
 */
const weighIns = 1000
const limit = 50
const today = '2026-11-23'
const file = demoTemplate()

const db = openDatabase(file, migrationFiles())
const batchOf = db.prepare<[string], { id: string; formula_id: string }>(
  `SELECT id, formula_id FROM batches JOIN batch_facts ON batch_id = id
   WHERE name = ? AND here = 1 ORDER BY number LIMIT 1`,
)
const slow = batchOf.get('Hostel Bar')!
const insert = db.prepare(
  'INSERT INTO batch_events (id, batch_id, kind, payload, at) VALUES (?, ?, ?, ?, ?)',
)
db.transaction(() => {
  for (let nth = 0; nth < weighIns; nth++) {
    const id = v7()
    const day = addDays(today, -(nth % 12))
    const bars = Array.from({ length: 12 }, (_, bar) => ({ bar: bar + 1, grams: 118 + (nth % 9) }))
    const told = { id, kind: 'weighed', day, bars }
    insert.run(id, slow.id, told.kind, JSON.stringify(told), `${day}T10:00:00.000Z`)
  }
})()
const since = performance.now()
factsOf(factsNeed(db, slow.id)!, { humidity: 0.6, days: [] })
const alone = performance.now() - since
db.close()

const server = await TestServer.start(file)
const ask = <T>(method: string, path: string, body: unknown) =>
  send<T>(server.url + path, method, body)
const { body: batch } = await ask<Batch>('POST', '/api/batches', {
  id: v7(),
  formulaId: slow.formula_id,
  revision: 1,
  bars: 10,
  cure: { rule: 'most', days: 42 },
})
const device = v7()
const at = `${today}T09:31:00.000Z`
const { body: run } = await ask<Run>('POST', `/api/batches/${batch.id}/run`, {
  id: v7(),
  device,
  setup: usualSetup,
  at,
})
/** ms that each of so many weighings takes until it is kept. */
async function weigh(times: number): Promise<number[]> {
  const took: number[] = []
  for (let time = 0; time < times; time++) {
    const from = performance.now()
    const events = [{ id: v7(), at, kind: 'scooped', step: 'weigh:water', grams: 1, typed: false }]
    const { status } = await ask('POST', `/api/runs/${run.id}/events`, { device, events })
    if (status !== 200) throw new Error(`A weighing was answered ${status}.`)
    took.push(performance.now() - from)
    await new Promise((done) => setTimeout(done, 20))
  }
  return took.sort((a, b) => a - b)
}
const quiet = await weigh(100)
let telling = true
let told = 0
const teller = (async () => {
  while (telling) {
    const note = { id: v7(), kind: 'noted', day: today, note: 'Still here.' }
    const { status } = await ask('POST', `/api/batches/${slow.id}/events`, note)
    if (status !== 200) throw new Error(`A note was answered ${status}.`)
    told++
  }
})()
const busy = await weigh(100)
telling = false
await teller
await server.stop()

const at95 = (took: number[]) => took[Math.floor(took.length * 0.95)]!
const within = at95(busy) < limit
console.log(
  `A batch of ${weighIns} weigh-ins takes ${alone.toFixed(0)} ms to work out and was told ${told} things meanwhile\n` +
    `95 of 100 weighings kept within ${at95(quiet).toFixed(1)} ms on a quiet server, ${at95(busy).toFixed(1)} ms beside it; longest ${busy.at(-1)!.toFixed(1)} ms   (limit ${limit} ms for 95 of 100)  ${within ? 'within' : 'OVER'}`,
)
if (!within) process.exitCode = 1
