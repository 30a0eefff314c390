import type { BatchEvent } from '#contracts/batch'
import type { Market, MarketEvent, MarketWay } from '#contracts/market'
import type { Out } from '#contracts/rackWords'
import { sumOf } from '../statistics/sum'
import { standingEvents } from '../units/standingEvents'

/** Bars of one batch on a market day. */
export interface MarketLine {
  batchId: string
  packed: number
  /** Smallest unit of money for one. */
  price: number
  gone: Record<MarketWay, number>
  /** Bars that should be there: packed, and not gone. */
  left: number
  /** Bars counted at home; null until they are. */
  home: number | null
  /** Bars that nobody has told of: negative where more came home than should. */
  missing: number
  said: string[]
}

export interface MarketNow {
  lines: MarketLine[]
  stage: 'pack' | 'sell' | 'home' | 'closed'
  packed: number
  sold: number
  left: number
  cash: number
  card: number
  /** Who asked for what, in their order. */
  asked: Extract<MarketEvent, { kind: 'asked' }>[]
  /** The last that went, while it can be taken back. */
  last: Extract<MarketEvent, { kind: 'gone' }> | null
}

/**
 * Where a market day stands, by what was told of it. Total and repeatable: an event twice counts once.
 * @example marketOf([]).stage // 'pack'
 */
export function marketOf(events: readonly MarketEvent[]): MarketNow {
  const lines = new Map<string, MarketLine>()
  const now: MarketNow = {
    lines: [],
    stage: 'pack',
    packed: 0,
    sold: 0,
    left: 0,
    cash: 0,
    card: 0,
    asked: [],
    last: null,
  }
  const line = (batchId: string): MarketLine => {
    const known = lines.get(batchId)
    if (known) return known
    const fresh: MarketLine = {
      batchId,
      packed: 0,
      price: 0,
      gone: { sold: 0, given: 0, broken: 0 },
      left: 0,
      home: null,
      missing: 0,
      said: [],
    }
    lines.set(batchId, fresh)
    return fresh
  }
  for (const event of standingEvents(events)) {
    switch (event.kind) {
      case 'packed':
        line(event.batchId).packed = event.bars
        line(event.batchId).price = event.price
        break
      case 'left':
        now.stage = 'sell'
        break
      case 'gone':
        line(event.batchId).gone[event.how] += event.bars
        now.last = event
        if (event.how === 'sold') now[event.card ? 'card' : 'cash'] += event.bars * event.price
        break
      case 'home':
        line(event.batchId).home = event.bars
        now.stage = 'home'
        break
      case 'said':
        line(event.batchId).said.push(event.says)
        break
      case 'asked':
        now.asked.push(event)
        break
      case 'closed':
        now.stage = 'closed'
        break
    }
  }
  now.lines = [...lines.values()]
    .filter(({ packed, gone }) => packed + gone.sold + gone.given + gone.broken > 0)
    .map((one) => {
      const left = one.packed - one.gone.sold - one.gone.given - one.gone.broken
      return { ...one, left, missing: one.home === null ? 0 : left - one.home }
    })
  now.packed = sumOf(now.lines, ({ packed }) => packed)
  now.sold = sumOf(now.lines, ({ gone }) => gone.sold)
  now.left = sumOf(now.lines, ({ left }) => left)
  return now
}

/** How a way out of the market is called among the ways out of a batch. */
const wayOut: Record<MarketWay, Out> = { sold: 'sold', given: 'given', broken: 'binned' }

/**
 * What the batches learn of a market day when it is closed: for each one event for every way its bars went, and what was said of it.
 * Ids follow from the day's, so that closing it twice tells them once.
 * @example outsOfMarket('m', { name: 'Ferry market', day: '2026-11-28', tin: 0 }, []).size // 0
 */
export function outsOfMarket(
  marketId: string,
  { name, day }: Market,
  events: readonly MarketEvent[],
): Map<string, BatchEvent[]> {
  const told = new Map<string, BatchEvent[]>()
  const add = (batchId: string, event: BatchEvent) =>
    told.set(batchId, [...(told.get(batchId) ?? []), event])
  const standing = standingEvents(events)
  for (const { batchId, gone } of marketOf(events).lines)
    for (const how of ['sold', 'given', 'broken'] as const) {
      if (!gone[how]) continue
      const own = standing.filter(
        (event) => event.kind === 'gone' && event.batchId === batchId && event.how === how,
      ) as Extract<MarketEvent, { kind: 'gone' }>[]
      add(batchId, {
        // The first press that told of it, made the batch's own.
        id: own[0]!.id,
        kind: 'out',
        day,
        bars: gone[how],
        how: wayOut[how],
        to: name,
        price: how === 'sold' ? sumOf(own, ({ bars, price }) => bars * price) : null,
        market: marketId,
      })
    }
  for (const event of standing)
    if (event.kind === 'said')
      add(event.batchId, {
        id: event.id,
        kind: 'noted',
        day,
        note: event.says,
        from: name,
        lesson: false,
        photos: [],
      })
  return told
}
