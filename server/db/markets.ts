import {
  marketEventSchema,
  type Market,
  type MarketDay,
  type MarketEvent,
  type ToldMarketEvent,
  type WholeMarket,
} from '#contracts/market'
import type { BatchEvent } from '#contracts/batch'
import { marketOf, outsOfMarket } from '#core/stores/market'
import { standingEvents } from '#core/units/standingEvents'
import { addEvents } from './batches'
import type { Db } from './connection'
import { goals, markets } from './documents'
import { otherwiseKept } from './sameEvents'

/** Events of a market day after a number, in the order in which they were taken. */
export const marketEventsAfter = (db: Db, marketId: string, seq = 0): ToldMarketEvent[] =>
  db
    .prepare<[string, number], { seq: number; payload: string }>(
      'SELECT seq, payload FROM market_events WHERE market_id = ? AND seq > ? ORDER BY seq',
    )
    .all(marketId, seq)
    .map(({ seq: number, payload }) => ({ ...(JSON.parse(payload) as MarketEvent), seq: number }))

/** Every market day, with how it went. */
export function listMarkets(db: Db): MarketDay[] {
  const told = new Map<string, MarketEvent[]>()
  for (const { market, payload } of db
    .prepare<[], { market: string; payload: string }>(
      'SELECT market_id AS market, payload FROM market_events ORDER BY seq',
    )
    .all()) {
    const events = told.get(market) ?? []
    events.push(JSON.parse(payload) as MarketEvent)
    told.set(market, events)
  }
  return markets.list(db).map((stored) => {
    const { sold, cash, card, stage } = marketOf(told.get(stored.id) ?? [])
    return { ...stored, sold, taken: cash + card, closed: stage === 'closed' }
  })
}

/** A market day with all that happened; null when there is none. */
export function getMarket(db: Db, id: string): WholeMarket | null {
  const stored = markets.get(db, id)
  return stored ? { ...stored, events: marketEventsAfter(db, id) } : null
}

/** What somebody asked for is promised under the id of the press; taken back, it is none. */
function keepAsked(
  db: Db,
  { name }: Market,
  fresh: readonly MarketEvent[],
  all: readonly MarketEvent[],
  now: string,
): void {
  const standing = new Set(standingEvents(all).map((event) => event.id))
  const asked = new Set(all.flatMap((event) => (event.kind === 'asked' ? [event.id] : [])))
  for (const event of fresh) {
    if (event.kind === 'asked' && standing.has(event.id)) {
      const { formulaId, bars, on, who } = event
      goals.save(db, event.id, 0, { what: `${who}, ${name}`, on, formulaId, bars }, now)
    }
    if (event.kind === 'undone' && asked.has(event.event)) goals.remove(db, event.event, now)
  }
}

export type TakenOfMarket =
  | { kind: 'taken'; events: ToldMarketEvent[] }
  /** An event of this id says something else: nothing of it was taken. */
  | { kind: 'other-content'; place: number }
  /** The day is closed: nothing of it was taken. */
  | { kind: 'closed' }

/** Takes what a phone tells of a market day, in order and once. When the day is closed its batches learn of it, in the same act. */
export function addMarketEvents(
  db: Db,
  id: string,
  events: readonly MarketEvent[],
  now: string,
): TakenOfMarket {
  return db
    .transaction((): TakenOfMarket => {
      const market = getMarket(db, id)!
      const known = new Map(market.events.map(({ seq: _, ...event }) => [event.id, event]))
      const place = otherwiseKept(events, known, marketEventSchema)
      if (place >= 0) return { kind: 'other-content', place }
      const fresh = events.filter((event) => !known.has(event.id))
      if (fresh.length && market.events.some(({ kind }) => kind === 'closed'))
        return { kind: 'closed' }
      const insert = db.prepare(
        `INSERT INTO market_events (id, market_id, kind, payload, at, kept_at) VALUES (?, ?, ?, ?, ?, ?)`,
      )
      for (const event of fresh)
        insert.run(event.id, id, event.kind, JSON.stringify(event), event.at, now)
      const all = marketEventsAfter(db, id)
      keepAsked(db, market.document, fresh, all, now)
      if (fresh.some(({ kind }) => kind === 'closed'))
        for (const [batchId, told] of outsOfMarket(id, market.document, all))
          addEvents(
            db,
            batchId,
            told.map((event) => ({ ...(event as BatchEvent), at: now })),
            'later',
          )
      return { kind: 'taken', events: all }
    })
    .immediate()
}

/** How many of the last such days tell what usually goes. */
const mostDays = 4

/**
 * Bars that went on the last days of the same name before one, by formula, the last day first.
 * @returns for each formula as many figures as there were days
 */
export function soldBefore(db: Db, id: string): Map<string, number[]> {
  const { name, day } = markets.get(db, id)!.document
  const before = markets
    .list(db)
    .filter(({ document }) => document.name === name && document.day < day)
    .map(({ id: other, document }) => ({
      day: document.day,
      now: marketOf(marketEventsAfter(db, other)),
    }))
    .filter(({ now }) => now.stage === 'closed')
    .sort((a, b) => b.day.localeCompare(a.day))
    .slice(0, mostDays)
  const sold = new Map<string, number[]>()
  const formulaOf = db
    .prepare<[string], string>('SELECT formula_id FROM batches WHERE id = ?')
    .pluck()
  for (const [nth, { now }] of before.entries())
    for (const { batchId, gone } of now.lines) {
      const formulaId = formulaOf.get(batchId)
      if (!formulaId) continue
      const own = sold.get(formulaId) ?? before.map(() => 0)
      own[nth]! += gone.sold
      sold.set(formulaId, own)
    }
  return sold
}
