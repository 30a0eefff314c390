import {
  batchEventSchema,
  type Batch,
  type BatchEvent,
  type BatchFacts,
  type BatchSummary,
  type Cure,
  type PastPrediction,
  type ToldBatchEvent,
} from '#contracts/batch'
import type { FormulaDocument } from '#contracts/formula'
import type { Frozen } from '#contracts/result'
import { upgradedFormula } from '#contracts/upgrade'
import { thaw } from '#core/formula/freeze'
import { factsOf } from '#core/rack/facts'
import type { Felt } from '#core/rack/feel'
import { standingOf } from '#core/rack/standing'
import { daysBetween } from '#core/units/days'
import type { Db } from './connection'
import { roomHumidity } from './room'

/** What a batch kept, with its document in today's version. */
function frozenIn(text: string): Frozen {
  const kept = JSON.parse(text) as Frozen
  return thaw({ ...kept, document: upgradedFormula(kept.document) as FormulaDocument })
}

/** The way facts are worked out; raise it when the core says something else of the same events. */
const madeBy = 3

interface Row {
  id: string
  number: number
  formula_id: string
  made_at: string
  bars: number
  cure_rule: string
  cure_days: number
  face: string
  name: string
  batter: number
  facts: string
}

const columns = `id, number, formula_id, made_at, bars, cure_rule, cure_days, face, name, batter, facts`
const joined = 'batches JOIN batch_facts ON batch_id = batches.id'

const summary = (row: Row): BatchSummary => ({
  id: row.id,
  number: row.number,
  formulaId: row.formula_id,
  name: row.name,
  madeAt: row.made_at,
  bars: row.bars,
  cure: { rule: row.cure_rule, days: row.cure_days },
  face: JSON.parse(row.face) as BatchSummary['face'],
  batterGrams: row.batter,
  facts: JSON.parse(row.facts) as BatchFacts,
})

/** Events are parsed on the way out too, so that one written before a key existed gets its usual value. */
const eventsOf = (db: Db, batchId: string): ToldBatchEvent[] =>
  db
    .prepare<[string], { payload: string; at: string }>(
      'SELECT payload, at FROM batch_events WHERE batch_id = ? ORDER BY at, rowid',
    )
    .all(batchId)
    .map(({ payload, at }) => ({ ...batchEventSchema.parse(JSON.parse(payload)), at }))

/** Works out what the events of a batch come to and keeps it. */
function keepFacts(db: Db, id: string, humidity: number): void {
  const { bars, cure_days, cure_rule, frozen } = db
    .prepare<[string], Row & { frozen: string }>(
      'SELECT bars, cure_days, cure_rule, frozen FROM batches WHERE id = ?',
    )
    .get(id)!
  const made = frozenIn(frozen)
  const facts = factsOf({ bars, frozen: made, events: eventsOf(db, id) }, humidity)
  const { stage } = standingOf({ facts, cure: { rule: cure_rule, days: cure_days } }, '')
  db.prepare(
    `INSERT INTO batch_facts (batch_id, made_by, here, name, batter, facts) VALUES (?, ?, ?, ?, ?, ?)
     ON CONFLICT (batch_id) DO UPDATE SET made_by = excluded.made_by, here = excluded.here, facts = excluded.facts`,
  ).run(
    id,
    madeBy,
    stage === 'left' ? 0 : 1,
    made.document.name,
    made.result.batter,
    JSON.stringify(facts),
  )
}

/** Works out anew what is missing or was written by another Mantle; with `here`, all that is still drying. */
export function refreshFacts(db: Db, which: 'stale' | 'here' = 'stale'): void {
  const ids = db
    .prepare<[number], string>(
      which === 'here'
        ? 'SELECT batch_id FROM batch_facts WHERE here = 1 AND made_by = ?'
        : `SELECT batches.id FROM batches LEFT JOIN batch_facts ON batch_id = batches.id
           WHERE made_by IS NULL OR made_by <> ?`,
    )
    .pluck()
    .all(madeBy)
  const humidity = roomHumidity(db)
  db.transaction(() => {
    for (const id of ids) keepFacts(db, id, humidity)
  })()
}

/** A batch for lists as JSON, put together by SQLite: nothing of it is read here, only sent. */
const asJson = `json_object('id', id, 'number', number, 'formulaId', formula_id, 'name', name, 'madeAt', made_at,
  'bars', bars, 'cure', json_object('rule', cure_rule, 'days', cure_days), 'face', json(face), 'batterGrams', batter,
  'facts', json(facts))`
const listed = (rows: string[]): string => `[${rows.join(',')}]`

/** Batches that are planned, drying or ready, newest number first, as the JSON of a list of summaries. */
export const listBatches = (db: Db): string =>
  listed(
    db
      .prepare<[], string>(`SELECT ${asJson} FROM ${joined} WHERE here = 1 ORDER BY number DESC`)
      .pluck()
      .all(),
  )

/** Batches of which nothing is left, newest number first, some at a time, as JSON. `find` is part of a name, or a number. */
export const listGone = (db: Db, find: string, before: number, most: number): string =>
  listed(
    db
      .prepare<[number, string, string, number], string>(
        `SELECT ${asJson} FROM ${joined} WHERE here = 0 AND number < ?
         AND (instr(lower(name), lower(?)) > 0 OR number = ?) ORDER BY number DESC LIMIT ?`,
      )
      .pluck()
      .all(before, find, find, most),
  )

export const countByFormula = (db: Db): Record<string, number> =>
  Object.fromEntries(
    db
      .prepare<[], [string, number]>('SELECT formula_id, count(*) FROM batches GROUP BY formula_id')
      .raw()
      .all(),
  )

export function getBatch(db: Db, id: string): Batch | null {
  const row = db
    .prepare<[string], Row & { frozen: string }>(
      `SELECT ${columns}, frozen FROM ${joined} WHERE id = ?`,
    )
    .get(id)
  return row ? { ...summary(row), frozen: frozenIn(row.frozen), events: eventsOf(db, id) } : null
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
export function makeBatch(db: Db, batch: BatchToMake, now: string): Batch {
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
      keepFacts(db, batch.id, roomHumidity(db))
      return getBatch(db, batch.id)!
    })
    .immediate()
}

/** Writes down what happened, and what it comes to. The same event again is kept once. */
export function addEvents(db: Db, batchId: string, events: readonly ToldBatchEvent[]): void {
  db.transaction(() => {
    const insert = db.prepare(
      `INSERT INTO batch_events (id, batch_id, kind, payload, at) VALUES (?, ?, ?, ?, ?)
       ON CONFLICT (id) DO NOTHING`,
    )
    for (const { at, ...event } of events)
      insert.run(event.id, batchId, event.kind, JSON.stringify(event), at)
    keepFacts(db, batchId, roomHumidity(db))
  }).immediate()
}

export const addEvent = (db: Db, batchId: string, event: BatchEvent, now: string): void =>
  addEvents(db, batchId, [{ ...event, at: now }])

/** An event that was not taken back, in SQL: `batch_events` as e. */
const holds = `NOT EXISTS (SELECT 1 FROM batch_events AS back WHERE back.kind = 'undone' AND back.batch_id = e.batch_id
  AND json_extract(back.payload, '$.event') = e.id)`

/** Bars by formula that were sold, given or used from a day on. */
export const goneSince = (db: Db, day: string): Record<string, number> =>
  Object.fromEntries(
    db
      .prepare<[string], [string, number]>(
        `SELECT formula_id, sum(json_extract(e.payload, '$.bars')) FROM batch_events AS e
         JOIN batches ON batches.id = e.batch_id
         WHERE e.kind = 'out' AND json_extract(e.payload, '$.day') >= ?
           AND json_extract(e.payload, '$.how') IN ('sold', 'given', 'used') AND ${holds}
         GROUP BY formula_id`,
      )
      .raw()
      .all(day),
  )

/** How bars of a formula felt in use, by days since the pour. */
export const feltOfFormula = (db: Db, formulaId: string): Felt[] =>
  db
    .prepare<[string], { payload: string; pouredOn: string }>(
      `SELECT e.payload, json_extract(facts, '$.pouredOn') AS pouredOn FROM batches
       JOIN batch_facts ON batch_facts.batch_id = batches.id
       JOIN batch_events AS e ON e.batch_id = batches.id AND e.kind = 'felt'
       WHERE formula_id = ? AND pouredOn IS NOT NULL AND ${holds}`,
    )
    .all(formulaId)
    .map(({ payload, pouredOn }) => {
      const { day, scores } = JSON.parse(payload) as Extract<BatchEvent, { kind: 'felt' }>
      return { day: daysBetween(pouredOn, day), scores }
    })

/** What was foretold of bars and what came, newest first, of batches whose bars were weighed until they were dry. */
export const foretoldAndCame = (db: Db, most: number): PastPrediction[] =>
  db
    .prepare<[number], { id: string; number: number; name: string; facts: string }>(
      `SELECT id, number, name, facts FROM ${joined}
       WHERE json_extract(facts, '$.foretold') IS NOT NULL
         AND json_extract(facts, '$.weighedOn') >= json_extract(facts, '$.drying.dryOn')
       ORDER BY number DESC LIMIT ?`,
    )
    .all(most)
    .map(({ facts, ...batch }) => {
      const { pouredOn, foretold, drying } = JSON.parse(facts) as BatchFacts
      return { ...batch, pouredOn: pouredOn!, foretold: foretold!, dryOn: drying!.dryOn }
    })
