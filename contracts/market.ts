import { z } from 'zod'
import { barsSchema, daySchema, idSchema } from './basics'
import type { Stored } from './document'

/*
 * A day on which bars are sold away from home: what is packed, what goes at the table, what comes back. Each press is an event with
 * an id of its own, so that a phone without a net tells all of it later, and once.
 */

const minor = z.number().int().min(0).max(100_000_000)

export const marketSchema = z.strictObject({
  name: z.string().trim().min(1, 'Say where.').max(80),
  day: daySchema,
  /** Money in the tin when it began. */
  tin: minor.default(0),
})
export type Market = z.infer<typeof marketSchema>

const base = { id: idSchema, at: z.iso.datetime({ error: 'This must be an instant, UTC.' }) }
/** How a bar that did not come home went. */
export const marketWays = ['sold', 'given', 'broken'] as const
export type MarketWay = (typeof marketWays)[number]

export const marketEventSchema = z.discriminatedUnion('kind', [
  /** So many bars of a batch are taken along, at a price each; the last word counts. */
  z.strictObject({
    ...base,
    kind: z.literal('packed'),
    batchId: idSchema,
    bars: z.number().int().min(0).max(10_000),
    price: minor,
  }),
  /** The box is closed: from now on bars are sold. */
  z.strictObject({ ...base, kind: z.literal('left') }),
  z.strictObject({
    ...base,
    kind: z.literal('gone'),
    batchId: idSchema,
    bars: barsSchema.default(1),
    how: z.enum(marketWays),
    price: minor,
    card: z.boolean().default(false),
  }),
  /** Bars that were counted at home. */
  z.strictObject({
    ...base,
    kind: z.literal('home'),
    batchId: idSchema,
    bars: z.number().int().min(0).max(10_000),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('said'),
    batchId: idSchema,
    says: z.string().trim().min(1).max(500),
  }),
  /** Somebody asked for more of it, by a day: it becomes a promise. */
  z.strictObject({
    ...base,
    kind: z.literal('asked'),
    formulaId: idSchema,
    bars: barsSchema,
    who: z.string().trim().min(1, 'Say who.').max(60),
    on: daySchema,
  }),
  /** All is counted, and how much money was in the tin. From now on the batches know of it. */
  z.strictObject({ ...base, kind: z.literal('closed'), tin: minor.nullable().default(null) }),
  z.strictObject({ ...base, kind: z.literal('undone'), event: idSchema }),
])
export type MarketEvent = z.infer<typeof marketEventSchema>
type Untold<Event> = Event extends unknown ? Omit<Event, 'id' | 'at'> : never
export type NewMarketEvent = Untold<z.input<typeof marketEventSchema>>
export const marketEventsSchema = z.strictObject({
  events: z.array(marketEventSchema).min(1).max(500),
})
export type ToldMarketEvent = MarketEvent & { seq: number }

/** A market day in a list: bars sold, what was taken for them, and whether it is counted home. */
export type MarketDay = Stored<Market> & { sold: number; taken: number; closed: boolean }

/** What usually goes on such a day. */
export interface MarketWish {
  formulaId: string
  name: string
  /** Bars that went on each of the last such days, the last first. */
  sold: number[]
}

/** A market day with all that happened on it. */
export interface WholeMarket {
  id: string
  revision: number
  changedAt: string
  changedBy: string
  document: Market
  events: ToldMarketEvent[]
}
