import { z } from 'zod'
import { barsSchema, daySchema, idSchema } from './basics'
import { gels, outs, rejectReasons, stripPlaces } from './rackWords'

/*
 * What happens to a batch. Nothing is overwritten: a mistake is taken back by an event of its own. Grams, days by the
 * workshop's calendar, fractions.
 */

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

const base = { id: idSchema, day: daySchema }
const note = z.string().trim().max(500).default('')
/** The number scratched into a bar, or the place of a pot in the formula; null for the batch as a whole. */
const bar = z.number().int().min(1).max(99).nullable().default(null)
const pot = z.number().int().min(0).max(11).nullable().default(null)
const sideMm = z.number().min(5).max(400)

export const batchEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...base,
    kind: z.literal('poured'),
    /** The batch as weighed at the bench, and when to look after it; not there when it was poured without the bench. */
    made: madeSchema.optional(),
    checks: z.array(checkSchema).max(10).optional(),
    /** Kept for laundry at the bench: not for skin, whatever its weights. */
    laundry: z.boolean().optional(),
  }),
  /** A check after the pour that was done. */
  z.strictObject({ ...base, kind: z.literal('checked'), check: z.enum(['peek', 'unwrap']) }),
  /** How far it turned translucent. */
  z.strictObject({ ...base, kind: z.literal('gelled'), gel: z.enum(gels), pot }),
  z.strictObject({
    ...base,
    kind: z.literal('cut'),
    /** Good bars, end pieces and rejects not counted. */
    bars: barsSchema,
    ends: z.number().int().min(0).max(1000).default(0),
    rejects: z
      .array(z.strictObject({ why: z.enum(rejectReasons), bars: barsSchema }))
      .max(10)
      .default([]),
    /** g of a fresh bar on the mean, and its sides in mm; null where nobody weighed or measured. */
    grams: z.number().min(1).max(20_000).nullable().default(null),
    sidesMm: z.tuple([sideMm, sideMm, sideMm]).nullable().default(null),
  }),
  /** Marked bars on the scale. */
  z.strictObject({
    ...base,
    kind: z.literal('weighed'),
    bars: z
      .array(
        z.strictObject({
          bar: z.number().int().min(1).max(99),
          grams: z.number({ error: 'This is not a weight.' }).min(0.1).max(20_000),
        }),
      )
      .min(1)
      .max(24),
  }),
  /** A pH strip on wet lather or a wetted face. Too dry, it reads wrong and says nothing. */
  z.strictObject({
    ...base,
    kind: z.literal('strip'),
    ph: z.number().min(5).max(14),
    where: z.enum(stripPlaces),
    tooDry: z.boolean().default(false),
    bar,
    pot,
  }),
  z.strictObject({ ...base, kind: z.literal('zapped'), zap: z.boolean(), bar, pot }),
  /** The maker trusts the weights and does not test. */
  z.strictObject({ ...base, kind: z.literal('trusted') }),
  /** The maker's own decision that it may be sold or given, and on what it rests. */
  z.strictObject({
    ...base,
    kind: z.literal('released'),
    basis: z.string().trim().min(3, 'Say what it rests on.').max(300),
  }),
  z.strictObject({ ...base, kind: z.literal('turned') }),
  /** Bars that went, to whom or where. */
  z.strictObject({
    ...base,
    kind: z.literal('out'),
    bars: barsSchema,
    how: z.enum(outs),
    to: z.string().trim().max(120).default(''),
  }),
  /** The whole batch is off the rack. */
  z.strictObject({ ...base, kind: z.literal('left'), why: z.enum(['gone', 'spoiled']), note }),
  z.strictObject({
    ...base,
    kind: z.literal('noted'),
    note: z.string().trim().min(1).max(2000),
  }),
  z.strictObject({ id: idSchema, kind: z.literal('undone'), event: idSchema }),
])
export type BatchEvent = z.infer<typeof batchEventSchema>
type Untold<Event> = Event extends unknown ? Omit<Event, 'id'> : never
/** What happens, before it has an id; what has a usual value may be left out. */
export type NewBatchEvent = Untold<z.input<typeof batchEventSchema>>
/** An event as it is kept. `at` is the instant it was written down, UTC. */
export type ToldBatchEvent = BatchEvent & { at: string }
