import { z } from 'zod'
import type { Frozen } from './result'

/** A calendar day, as 2026-11-23. */
export const daySchema = z.iso.date({ error: 'This must be a day, as 2026-11-23.' })
export const idSchema = z.uuid({ error: 'This must be an id made by Mantle.' })

const bars = z.number().int({ error: 'Bars are counted in whole numbers.' }).min(1).max(10_000)

/** How long a batch cures: days, and the rule they come from. */
export const cureSchema = z.strictObject({
  rule: z.string().min(1).max(40),
  days: z.number().int({ error: 'Days are whole numbers.' }).min(1).max(1500),
})
export type Cure = z.infer<typeof cureSchema>

/** What the app sends to make a batch. The id is the client's, so that a repeated request makes only one batch. */
export const newBatchSchema = z.strictObject({
  id: idSchema,
  formulaId: idSchema,
  /** The revision the maker saw; a formula that has moved on is not made by mistake. */
  revision: z.number().int().min(1),
  bars,
  cure: cureSchema,
  overruled: z.record(z.string(), z.string().trim().min(3).max(500)).default({}),
})
export type NewBatch = z.infer<typeof newBatchSchema>

/** What a batch is by the weights that went in. Fractions and grams. */
const madeSchema = z.strictObject({
  superfat: z.number(),
  ratio: z.number(),
  strength: z.number(),
  oils: z.number(),
  pure: z.number(),
  water: z.number(),
  scent: z.number(),
  batter: z.number(),
})
export type Made = z.infer<typeof madeSchema>

/** Something to do about a poured batch, and between which instants. */
const checkSchema = z.strictObject({
  kind: z.enum(['peek', 'unwrap', 'unmould']),
  from: z.iso.datetime(),
  to: z.iso.datetime(),
})
export type Check = z.infer<typeof checkSchema>

/** What happened to a batch. Nothing is overwritten: a mistake is taken back by an event of its own. */
export const batchEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    id: idSchema,
    kind: z.literal('poured'),
    day: daySchema,
    /** The batch as weighed at the bench, and when to look after it; not there when it was poured without the bench. */
    made: madeSchema.optional(),
    checks: z.array(checkSchema).max(10).optional(),
    /** Kept for laundry at the bench: not for skin, whatever its weights. */
    laundry: z.boolean().optional(),
  }),
  /** A check after the pour that was done. */
  z.strictObject({
    id: idSchema,
    kind: z.literal('checked'),
    day: daySchema,
    check: z.enum(['peek', 'unwrap']),
  }),
  z.strictObject({ id: idSchema, kind: z.literal('cut'), day: daySchema, bars }),
  z.strictObject({
    id: idSchema,
    kind: z.literal('left'),
    day: daySchema,
    why: z.enum(['gone', 'spoiled']),
    note: z.string().trim().max(500).default(''),
  }),
  z.strictObject({
    id: idSchema,
    kind: z.literal('noted'),
    day: daySchema,
    note: z.string().trim().min(1).max(2000),
  }),
  z.strictObject({ id: idSchema, kind: z.literal('undone'), event: idSchema }),
])
export type BatchEvent = z.infer<typeof batchEventSchema>

/** A batch as the routes send it. `at` of an event is the instant it was written down, UTC. */
export interface Batch {
  id: string
  number: number
  formulaId: string
  name: string
  madeAt: string
  bars: number
  cure: Cure
  frozen: Frozen
  events: (BatchEvent & { at: string })[]
}

/** A batch without its frozen formula, for lists: only what a picture and a due list need. */
export type BatchSummary = Omit<Batch, 'frozen'> & {
  face: { base: string; wave: string; lift: number }
  batterGrams: number
}
