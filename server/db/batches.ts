import {
  batchEventSchema,
  type AlongBatch,
  type Batch,
  type BatchEvent,
  type BatchFacts,
  type BatchSummary,
  type Cure,
  type FormulaLesson,
  type ToldBatchEvent,
} from '#contracts/batch'
import type { FormulaDocument } from '#contracts/formula'
import type { CauseFigure, Trouble } from '#contracts/rackWords'
import type { Frozen } from '#contracts/result'
import type { BarsOut, LotTrace, StoresAhead } from '#contracts/store'
import { upgradedFormula } from '#contracts/upgrade'
import { thaw } from '#core/formula/frozen'
import { factsAtOnce, factsOf, forecastToKeep } from '#core/rack/facts'
import type { Felt } from '#core/rack/feel'
import { lessonsOf } from '#core/rack/lessons'
import { standingOf } from '#core/rack/standing'
import { figuresOf } from '#core/learning/figures'
import { cameTrueOf } from '#core/learning/scorecard'
import { sightings } from '#core/troubles/along'
import { caseOf } from '#core/troubles/case'
import { figureKinds } from '#core/troubles/figures'
import { needsOf } from '#core/stores/things'
import { dayIn, daysBetween } from '#core/units/days'
import { formatter } from '#core/units/formatter'
import type { Db } from './connection'
import { v7 } from 'uuid'
import { keepCameTrue } from './forecasts'
import { dryingRoom } from './room'

/** What a batch kept, with its document in today's version. */
function frozenIn(text: string): Frozen {
  const kept = JSON.parse(text) as Frozen
  return thaw({ ...kept, document: upgradedFormula(kept.document) as FormulaDocument })
}

/** The way facts are worked out; raise it when the core says something else of the same events. */
const madeBy = 9

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
  thumbnail: JSON.parse(row.face) as BatchSummary['thumbnail'],
  batterGrams: row.batter,
  facts: JSON.parse(row.facts) as BatchFacts,
})

/**
 * What was parsed of the batch that was read last, by what stands in the database: each event is read several times while it is
 * told and worked out, and a batch may have thousands.
 */
let parsed = { batchId: '', events: new Map<string, ToldBatchEvent>() }

/** Events are parsed on the way out too, so that one written before a key existed gets its usual value. */
function eventsOf(db: Db, batchId: string): ToldBatchEvent[] {
  const before = parsed.batchId === batchId ? parsed.events : new Map<string, ToldBatchEvent>()
  const events = new Map<string, ToldBatchEvent>()
  const rows = db
    .prepare<[string], { payload: string; at: string }>(
      'SELECT payload, at FROM batch_events WHERE batch_id = ? ORDER BY at, rowid',
    )
    .all(batchId)
  const read = rows.map(({ payload, at }) => {
    const written = at + payload
    const event = before.get(written) ?? {
      ...batchEventSchema.parse(JSON.parse(payload)),
      at,
    }
    events.set(written, event)
    return event
  })
  parsed = { batchId, events }
  return read
}

/** What facts are worked out from. */
export interface FactsNeed {
  bars: number
  frozen: Frozen
  events: ToldBatchEvent[]
}

/** What the facts of a batch are worked out from; null when there is no such batch. */
export function factsNeed(db: Db, id: string): FactsNeed | null {
  const row = db
    .prepare<[string], { bars: number; frozen: string }>(
      'SELECT bars, frozen FROM batches WHERE id = ?',
    )
    .get(id)
  return row ? { bars: row.bars, frozen: frozenIn(row.frozen), events: eventsOf(db, id) } : null
}

/** Figures are compared, not said. */
const unsaid = formatter({})

/** Marks facts whose fit is still to be worked out. */
const outstanding = 0

/** Keeps what the events of a batch come to. */
function writeFacts(db: Db, id: string, need: FactsNeed, facts: BatchFacts, by: number): void {
  const cure = db
    .prepare<[string], Cure>(
      'SELECT cure_rule AS rule, cure_days AS days FROM batches WHERE id = ?',
    )
    .get(id)!
  const { stage } = standingOf({ facts, cure }, '')
  const { document, result } = need.frozen
  const figures = figuresOf({ ...need, facts }, unsaid)
  db.prepare(
    `INSERT INTO batch_facts (batch_id, made_by, here, name, batter, facts, figures) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT (batch_id) DO UPDATE SET made_by = excluded.made_by, here = excluded.here, facts = excluded.facts,
       figures = excluded.figures`,
  ).run(
    id,
    by,
    stage === 'left' ? 0 : 1,
    document.name,
    result.batter,
    JSON.stringify(facts),
    JSON.stringify(figures),
  )
  keepCameTrue(db, id, cameTrueOf({ events: need.events, facts }))
}

/** Keeps what the fit foretells as an event of the batch, where something new was told since it last was. */
function keepForecast(db: Db, id: string, need: FactsNeed, facts: BatchFacts): void {
  const forecast = forecastToKeep(need.events, facts)
  const at = need.events.at(-1)?.at
  if (!forecast || !at) return
  const event = { kind: 'foretold' as const, id: v7(), ...forecast }
  db.prepare(
    'INSERT INTO batch_events (id, batch_id, kind, payload, at) VALUES (?, ?, ?, ?, ?)',
  ).run(event.id, id, event.kind, JSON.stringify(event), at)
}

/** When the facts are worked out: the fit of the weigh-ins with the rest, or by itself after the answer. */
export type WhenFitted = 'now' | 'later'

function keepFacts(db: Db, id: string, when: WhenFitted): void {
  const need = factsNeed(db, id)!
  if (when === 'now') return writeFacts(db, id, need, factsOf(need, dryingRoom(db)), madeBy)
  // What an older Mantle fitted says other things than today's.
  const before = db
    .prepare<[string, number, number], string>(
      'SELECT facts FROM batch_facts WHERE batch_id = ? AND made_by IN (?, ?)',
    )
    .pluck()
    .get(id, madeBy, outstanding)
  const fitted = before ? (JSON.parse(before) as BatchFacts) : null
  writeFacts(db, id, need, factsAtOnce(need, fitted), outstanding)
}

/** Keeps facts that were worked out meanwhile. False when something was told since, so that they are old already. */
export function keepFitted(db: Db, id: string, need: FactsNeed, facts: BatchFacts): boolean {
  return db
    .transaction(() => {
      const events = db
        .prepare<[string], number>('SELECT count(*) FROM batch_events WHERE batch_id = ?')
        .pluck()
        .get(id)
      if (events !== need.events.length) return false
      writeFacts(db, id, need, facts, madeBy)
      keepForecast(db, id, need, facts)
      return true
    })
    .immediate()
}

/**
 * Marks the facts of all that is still drying as to be worked out again, as when the room has become another. What is foretold
 * stays as it was until then.
 */
export const outdateHere = (db: Db): void =>
  void db.prepare('UPDATE batch_facts SET made_by = ? WHERE here = 1').run(outstanding)

/**
 * Batches whose facts are still to be worked out, what is here first. What another Mantle wrote is brought into today's form at
 * once, since every list shows it.
 */
export function staleFacts(db: Db): string[] {
  const otherwise = db
    .prepare<[number, number], string>(
      `SELECT batches.id FROM batches LEFT JOIN batch_facts ON batch_id = batches.id
       WHERE made_by IS NULL OR made_by NOT IN (?, ?)`,
    )
    .pluck()
    .all(madeBy, outstanding)
  if (otherwise.length)
    db.transaction(() => {
      for (const id of otherwise) keepFacts(db, id, 'later')
    }).immediate()
  return db
    .prepare<[number], string>(
      'SELECT batch_id FROM batch_facts WHERE made_by = ? ORDER BY here DESC, batch_id DESC',
    )
    .pluck()
    .all(outstanding)
}

/** Works out all that is outstanding before it returns: for the command line and the demo. */
export function refreshFacts(db: Db): void {
  const ids = staleFacts(db)
  db.transaction(() => {
    for (const id of ids) keepFacts(db, id, 'now')
  })()
}

/** A batch for lists as JSON, put together by SQLite: nothing of it is read here, only sent. */
const asJson = `json_object('id', id, 'number', number, 'formulaId', formula_id, 'name', name, 'madeAt', made_at,
  'bars', bars, 'cure', json_object('rule', cure_rule, 'days', cure_days), 'thumbnail', json(face), 'batterGrams', batter,
  'facts', json(json_remove(facts, '$.drying.curve')))`
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
         AND (instr(plain(name), plain(?)) > 0 OR number = ?) ORDER BY number DESC LIMIT ?`,
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

export const batchExists = (db: Db, id: string): boolean =>
  db.prepare('SELECT 1 FROM batches WHERE id = ?').get(id) !== undefined

export interface BatchToMake {
  id: string
  formulaId: string
  bars: number
  cure: Cure
  frozen: Frozen
  thumbnail: BatchSummary['thumbnail']
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
        JSON.stringify(batch.thumbnail),
      )
      keepFacts(db, batch.id, 'now')
      return getBatch(db, batch.id)!
    })
    .immediate()
}

/** Gives batches other pictures, and sends back those of them that are there. */
export function pictureBatches(
  db: Db,
  pictures: readonly Pick<BatchSummary, 'id' | 'thumbnail'>[],
): Batch[] {
  return db
    .transaction(() => {
      const set = db.prepare('UPDATE batches SET face = ? WHERE id = ?')
      for (const { id, thumbnail } of pictures) set.run(JSON.stringify(thumbnail), id)
      return pictures.flatMap(({ id }) => getBatch(db, id) ?? [])
    })
    .immediate()
}

/** An event of this id was kept with other content: nothing of what was sent was. */
export class OtherContent extends Error {}

/**
 * Writes down what happened, and what it comes to. The same event again is kept once.
 * @throws OtherContent when an id is taken by an event that says something else
 */
export function addEvents(
  db: Db,
  batchId: string,
  events: readonly ToldBatchEvent[],
  when: WhenFitted = 'now',
): void {
  db.transaction(() => {
    const insert = db.prepare(
      `INSERT INTO batch_events (id, batch_id, kind, payload, at) VALUES (?, ?, ?, ?, ?)
       ON CONFLICT (id) DO NOTHING`,
    )
    const kept = db.prepare<[string], { batch_id: string; payload: string }>(
      'SELECT batch_id, payload FROM batch_events WHERE id = ?',
    )
    for (const { at, ...event } of events) {
      const payload = JSON.stringify(event)
      if (insert.run(event.id, batchId, event.kind, payload, at).changes) continue
      const before = kept.get(event.id)!
      const same =
        before.batch_id === batchId &&
        JSON.stringify(batchEventSchema.parse(JSON.parse(before.payload))) === payload
      if (!same) throw new OtherContent()
    }
    keepFacts(db, batchId, when)
  }).immediate()
}

/** An event that was not taken back, in SQL: `batch_events` as e. */
export const notTakenBack = `NOT EXISTS (SELECT 1 FROM batch_events AS back WHERE back.kind = 'undone' AND back.batch_id = e.batch_id
  AND json_extract(back.payload, '$.event') = e.id)`

/** Bars by formula that were sold, given or used from a day on. */
export const goneSince = (db: Db, day: string): Record<string, number> =>
  Object.fromEntries(
    db
      .prepare<[string], [string, number]>(
        `SELECT formula_id, sum(json_extract(e.payload, '$.bars')) FROM batch_events AS e
         JOIN batches ON batches.id = e.batch_id
         WHERE e.kind = 'out' AND json_extract(e.payload, '$.day') >= ?
           AND json_extract(e.payload, '$.how') IN ('sold', 'given', 'used') AND ${notTakenBack}
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
       WHERE formula_id = ? AND pouredOn IS NOT NULL AND ${notTakenBack}`,
    )
    .all(formulaId)
    .map(({ payload, pouredOn }) => {
      const { day, scores } = JSON.parse(payload) as Extract<BatchEvent, { kind: 'felt' }>
      return { day: daysBetween(pouredOn, day), scores }
    })

/** What the batches of a formula taught and nobody dropped, the newest first. */
export function lessonsOfFormula(db: Db, formulaId: string): FormulaLesson[] {
  const rows = db
    .prepare<[string], { batchId: string; number: number; payload: string; at: string }>(
      `SELECT batches.id AS batchId, number, e.payload, e.at FROM batches
       JOIN batch_events AS e ON e.batch_id = batches.id
       WHERE formula_id = ? AND e.kind IN ('noted', 'cut', 'felt', 'dropped', 'undone') ORDER BY e.rowid`,
    )
    .all(formulaId)
  const byBatch = new Map<string, typeof rows>()
  for (const row of rows) byBatch.set(row.batchId, [...(byBatch.get(row.batchId) ?? []), row])
  return [...byBatch]
    .flatMap(([batchId, own]) =>
      lessonsOf(own.map(({ payload, at }) => ({ ...(JSON.parse(payload) as BatchEvent), at }))).map(
        (lesson) => ({ ...lesson, batchId, number: own[0]!.number }),
      ),
    )
    .sort((a, b) => b.day.localeCompare(a.day))
}

/** Batches that are planned and not poured, with what they take out of the stores. */
export const plannedBatches = (db: Db, timeZone: string): StoresAhead['planned'] =>
  db
    .prepare<[], Row & { frozen: string }>(
      `SELECT ${columns}, frozen FROM ${joined} WHERE here = 1 AND json_extract(facts, '$.pouredOn') IS NULL`,
    )
    .all()
    .map((row) => {
      const { id, number, name, formulaId, thumbnail, madeAt } = summary(row)
      const frozen = frozenIn(row.frozen)
      return {
        id,
        number,
        name,
        formulaId,
        thumbnail,
        day: dayIn(timeZone, new Date(madeAt)),
        needs: needsOf(frozen),
        superfat: frozen.result.superfat.asked,
        saps: Object.fromEntries(frozen.result.fats.map((fat) => [fat.id, fat.sap])),
        purity: frozen.document.alkali.naohPurity,
      }
    })

/** Some batches for lists, with the bars of each that went. */
export const batchesWithOuts = (db: Db, ids: readonly string[]): LotTrace['batches'] =>
  db
    .prepare<[string], Row>(
      `SELECT ${columns} FROM ${joined} WHERE id IN (SELECT value FROM json_each(?)) ORDER BY number`,
    )
    .all(JSON.stringify(ids))
    .map((row) => ({ ...summary(row), outs: outsOf(db, row.id) }))

/** Bars of a batch that went, and to whom. */
function outsOf(db: Db, batchId: string): BarsOut[] {
  const rows = db
    .prepare<[string], { payload: string }>(
      `SELECT e.payload FROM batch_events AS e WHERE e.batch_id = ? AND e.kind = 'out' AND ${notTakenBack} ORDER BY e.at, e.rowid`,
    )
    .all(batchId)
  return rows.map(({ payload }) => {
    const {
      bars,
      how,
      to,
      day,
      price = null,
    } = JSON.parse(payload) as Extract<BatchEvent, { kind: 'out' }>
    return { bars, how, to, day, price }
  })
}

/** Every poured batch whose figure is known, with when it showed a trouble, the newest first. */
export const alongFigure = (db: Db, figure: CauseFigure, trouble: Trouble): AlongBatch[] =>
  db
    .prepare<[], Row & { frozen: string }>(
      `SELECT ${columns}, frozen FROM ${joined}
       WHERE json_extract(facts, '$.pouredOn') IS NOT NULL ORDER BY number DESC`,
    )
    .all()
    .flatMap((row) => {
      const { id, number, name, thumbnail, facts } = summary(row)
      const events = eventsOf(db, id)
      const { pouredOn, leftOn } = facts
      const about = caseOf({ frozen: frozenIn(row.frozen), events }, pouredOn!, 0, unsaid)
      const value = figureKinds[figure].of(about)
      const seenOn =
        sightings(events, trouble)
          .map(({ day }) => day)
          .sort()[0] ?? null
      return value === null
        ? []
        : [{ id, number, name, thumbnail, value, pouredOn: pouredOn!, leftOn, seenOn }]
    })
