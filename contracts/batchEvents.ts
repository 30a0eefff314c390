import { z } from 'zod'
import { barsSchema, daySchema, idSchema } from './basics'
import { batterStages } from './benchWords'
import { tools } from './words'
import {
  feelTests,
  finishes,
  gels,
  lessonAbouts,
  outs,
  peekFinds,
  rejectReasons,
  salvageWays,
  stripPlaces,
  touches,
  troubles,
} from './rackWords'

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

/** A pot as it was made: by its own weights, with the warm water that was stirred in, g, and °C of its lye when it was combined. */
const benchPotSchema = z.strictObject({
  name: z.string().max(60),
  superfat: z.number(),
  ratio: z.number(),
  watered: z.number().min(0),
  lyeC: z.number().nullable(),
})

/** What was done at the bench: °C of the two when they met, the stage at the pour, minutes from then to the pour, s of blending. */
const benchSchema = z.strictObject({
  lyeC: z.number().nullable(),
  oilsC: z.number().nullable(),
  stage: z.enum(batterStages).nullable(),
  minutes: z.number().nullable(),
  blenderSeconds: z.number().min(0),
  /** g of warm water stirred in, in all; what it was blended with; each pot where there were several; what was noted. Not there in older batches. */
  watered: z.number().min(0).optional(),
  tool: z.enum(tools).optional(),
  pots: z.array(benchPotSchema).max(12).optional(),
  notes: z.array(z.string().max(1000)).max(60).optional(),
  /** Names of what was weighed and not written down: taken as planned. */
  assumed: z.array(z.string().max(120)).max(60).optional(),
  /** °C of the lye at its hottest, minutes on the bench's clock when the two met, minutes from there to each stage that was marked. */
  peakC: z.number().nullable().optional(),
  metAt: z.number().nullable().optional(),
  stages: z.partialRecord(z.enum(batterStages), z.number()).optional(),
})
export type AtBench = z.infer<typeof benchSchema>

/**
 * One thing that Mantle foretold: the middle, and between what it lies nine times in ten. °C of the lye jug at its hottest; minutes
 * on the bench's clock until lye and oils meet, and from there to a stage; hours after the pour in which to unmould; days after it
 * until dry; g of a bar for its label; g of batter in the mould. `raw`: the middle before own
 * records moved it, where they did.
 */
const forecastSchema = z.strictObject({
  what: z.enum(['peak', 'meeting', 'stage', 'unmould', 'dry', 'net', 'yield']),
  of: z.string().max(40).optional(),
  at: z.number(),
  low: z.number(),
  high: z.number(),
  raw: z.number().optional(),
})
export type Forecast = z.infer<typeof forecastSchema>

const base = { id: idSchema, day: daySchema }
const note = z.string().trim().max(500).default('')
/** The number scratched into a bar, or the place of a pot in the formula; null for the batch as a whole. */
const bar = z.number().int().min(1).max(99).nullable().default(null)
const pot = z.number().int().min(0).max(11).nullable().default(null)
/** What the maker would do otherwise next time: a lesson for the formula; and what of the work it is about, where somebody said. */
const differently = z.string().trim().max(500).optional()
const about = z.enum(lessonAbouts).nullable().optional()
const sideMm = z.number().min(5).max(400)
/** Photos that go with it; their files are kept by the photo routes. */
const photoIds = z.array(idSchema).max(8)
const photos = photoIds.default([])

/** How what really went into the pot differs from what is written down: more (or less, negative), in g. */
const differenceSchema = z.strictObject({
  /** naoh, koh, water, or a fat or additive of the formula by its id. */
  what: z.string().min(1).max(80),
  grams: z
    .number()
    .min(-500_000)
    .max(500_000)
    .refine((value) => value !== 0, 'A difference of nothing changes nothing.'),
})
export type Difference = z.infer<typeof differenceSchema>

export const batchEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...base,
    kind: z.literal('poured'),
    /** The batch as weighed at the bench, and when to look after it; not there when it was poured without the bench. */
    made: madeSchema.optional(),
    checks: z.array(checkSchema).max(10).optional(),
    /** Kept for laundry at the bench: not for skin, whatever its weights. */
    laundry: z.boolean().optional(),
    /** Instant of the pour, where somebody looked at the clock. */
    pouredAt: z.iso.datetime().optional(),
    bench: benchSchema.optional(),
  }),
  /** What was foretold when another event had just been told; kept as it was said and never worked out anew. */
  z.strictObject({
    ...base,
    kind: z.literal('foretold'),
    after: idSchema,
    forecasts: z.array(forecastSchema).min(1).max(30),
  }),
  /** A check after the pour that was done, and what was seen under the cover. */
  z.strictObject({
    ...base,
    kind: z.literal('checked'),
    check: z.enum(['peek', 'unwrap']),
    found: z.enum(peekFinds).default('fine'),
  }),
  /** The loaf was tried before the cut. `again`: when to try once more; null when it can be cut. */
  z.strictObject({
    ...base,
    kind: z.literal('tried'),
    touch: z.enum(touches),
    frozen: z.boolean().default(false),
    again: z.iso.datetime().nullable().default(null),
  }),
  /** How far it turned translucent, and how long after the pour that was seen. */
  z.strictObject({
    ...base,
    kind: z.literal('gelled'),
    gel: z.enum(gels),
    pot,
    hours: z.number().min(0).max(240).nullable().default(null),
  }),
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
    differently,
    about,
    photos,
  }),
  /** Worked on after the cut. `grams`: taken off a bar on the mean; null where nobody weighed. */
  z.strictObject({
    ...base,
    kind: z.literal('finished'),
    step: z.enum(finishes),
    grams: z.number().min(0).max(500).nullable().default(null),
  }),
  /** Where the bars stand from now on, all of them. */
  z.strictObject({
    ...base,
    kind: z.literal('placed'),
    spread: z
      .array(z.strictObject({ place: idSchema, bars: barsSchema }))
      .min(1)
      .max(20),
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
    /** What was paid for all of them, in the smallest unit of money, where somebody said. */
    price: z.number().int().min(0).max(100_000_000).nullable().optional(),
    /** The market day that they were sold on. */
    market: idSchema.optional(),
  }),
  /** The whole batch is off the rack. */
  z.strictObject({ ...base, kind: z.literal('left'), why: z.enum(['gone', 'spoiled']), note }),
  z.strictObject({
    ...base,
    kind: z.literal('noted'),
    note: z.string().trim().min(1).max(2000),
    /** Who says so, where it is somebody who uses the bars. */
    from: z.string().trim().max(80).default(''),
    /** What the next batch should do otherwise. */
    lesson: z.boolean().default(false),
    about,
    photos,
  }),
  /** A lesson that is not to be shown any more: it was seen to, or was none. */
  z.strictObject({ ...base, kind: z.literal('dropped'), lesson: idSchema }),
  /** Photos of it as it is. */
  z.strictObject({ ...base, kind: z.literal('pictured'), photos: photoIds.min(1), note }),
  /** A bar tried in use: 1 poor to 5 excellent, each test that was made. */
  z.strictObject({
    ...base,
    kind: z.literal('felt'),
    scores: z
      .partialRecord(z.enum(feelTests), z.number().int().min(1).max(5))
      .refine((scores) => Object.keys(scores).length > 0, 'Score one test at least.'),
    note,
    differently,
    about,
    photos,
  }),
  /** Something wrong with the bars: 1 hardly seen, 2 plain, 3 bad; 0 when it went away. */
  z.strictObject({
    ...base,
    kind: z.literal('trouble'),
    trouble: z.enum(troubles),
    how: z.number().int().min(0).max(3),
    /** The day to look at it again, where somebody asked to be reminded. */
    lookOn: daySchema.optional(),
    note,
    photos,
  }),
  /** Found out later: what really went into the pot. */
  z.strictObject({
    ...base,
    kind: z.literal('corrected'),
    differences: z.array(differenceSchema).min(1).max(20),
    note,
  }),
  /** What became of it after it had gone wrong: for the share of it that was left, 0–1, the fat and the water that went in, g. */
  z.strictObject({
    ...base,
    kind: z.literal('salvaged'),
    way: z.enum(salvageWays),
    left: z.number().positive().max(1).default(1),
    fat: z
      .strictObject({ id: z.string().min(1).max(80), grams: z.number().min(0.1).max(500_000) })
      .nullable()
      .default(null),
    water: z.number().min(0).max(500_000).default(0),
    note,
  }),
  z.strictObject({ id: idSchema, kind: z.literal('undone'), event: idSchema }),
])
export type BatchEvent = z.infer<typeof batchEventSchema>
type Untold<Event> = Event extends unknown ? Omit<Event, 'id'> : never
/** What happens, before it has an id; what has a usual value may be left out. */
export type NewBatchEvent = Untold<z.input<typeof batchEventSchema>>
/** An event as it is kept. `at` is the instant it was written down, UTC. */
export type ToldBatchEvent = BatchEvent & { at: string }
