import type { Batch, BatchEvent, BatchSummary, Cure } from '#contracts/batch'
import type { Frozen } from '#contracts/result'
import type { Db } from './connection'

interface Row {
  id: string
  number: number
  formula_id: string
  made_at: string
  bars: number
  cure_rule: string
  cure_days: number
  name: string
  face: string
  batter: number
}

const columns = `id, number, formula_id, made_at, bars, cure_rule, cure_days, face,
  json_extract(frozen, '$.document.name') AS name,
  json_extract(frozen, '$.result.batter') AS batter`

type Told = Batch['events'][number]

function eventsOf(db: Db, batchId?: string): Map<string, Told[]> {
  const rows = db
    .prepare<unknown[], { batch_id: string; payload: string; at: string }>(
      `SELECT batch_id, payload, at FROM batch_events
       ${batchId ? 'WHERE batch_id = ?' : ''} ORDER BY at, rowid`,
    )
    .all(...(batchId ? [batchId] : []))
  const events = new Map<string, Told[]>()
  for (const row of rows) {
    const list = events.get(row.batch_id) ?? []
    list.push({ ...(JSON.parse(row.payload) as BatchEvent), at: row.at })
    events.set(row.batch_id, list)
  }
  return events
}

const summary = (row: Row, events: Told[]): BatchSummary => ({
  id: row.id,
  number: row.number,
  formulaId: row.formula_id,
  name: row.name,
  madeAt: row.made_at,
  bars: row.bars,
  cure: { rule: row.cure_rule, days: row.cure_days },
  face: JSON.parse(row.face) as BatchSummary['face'],
  batterGrams: row.batter,
  events,
})

export function listBatches(db: Db): BatchSummary[] {
  const events = eventsOf(db)
  return db
    .prepare<[], Row>(`SELECT ${columns} FROM batches ORDER BY number DESC`)
    .all()
    .map((row) => summary(row, events.get(row.id) ?? []))
}

export function getBatch(db: Db, id: string): (Batch & BatchSummary) | null {
  const row = db
    .prepare<[string], Row & { frozen: string }>(
      `SELECT ${columns}, frozen FROM batches WHERE id = ?`,
    )
    .get(id)
  if (!row) return null
  return {
    ...summary(row, eventsOf(db, id).get(id) ?? []),
    frozen: JSON.parse(row.frozen) as Frozen,
  }
}

export interface BatchToMake {
  id: string
  formulaId: string
  bars: number
  cure: Cure
  frozen: Frozen
  face: BatchSummary['face']
}

/** Makes a batch with the next number. The same id again gives the batch that is already there. */
export function makeBatch(db: Db, batch: BatchToMake, now: string) {
  return db
    .transaction(() => {
      db.prepare(
        `INSERT INTO batches (id, number, formula_id, made_at, bars, cure_rule, cure_days, frozen, face)
         VALUES (?, (SELECT coalesce(max(number), 0) + 1 FROM batches), ?, ?, ?, ?, ?, ?, ?)
         ON CONFLICT (id) DO NOTHING`,
      ).run(
        batch.id,
        batch.formulaId,
        now,
        batch.bars,
        batch.cure.rule,
        batch.cure.days,
        JSON.stringify(batch.frozen),
        JSON.stringify(batch.face),
      )
      return getBatch(db, batch.id)!
    })
    .immediate()
}

/** Writes down what happened. The same event again is kept once. */
export function addEvent(db: Db, batchId: string, event: BatchEvent, now: string): void {
  db.prepare(
    `INSERT INTO batch_events (id, batch_id, kind, payload, at) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT (id) DO NOTHING`,
  ).run(event.id, batchId, event.kind, JSON.stringify(event), now)
}
