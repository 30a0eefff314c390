import { z } from 'zod'
import { daySchema, idSchema } from './basics'
import type { Stored } from './document'
import { formulaSchema } from './formula'
import { codeSchema, swatchSchema } from './scent'
import { noseDays, sniffWords, strengths, trialSigns, trialStages, trialVaries } from './trialWords'
import type { SniffWord, TrialStage } from './trialWords'

/*
 * A trial day: scents stirred into pots of one batter. The plan is a document; what happens on the day and after it is in events that
 * are only ever added. Grams, °C, instants in UTC by the bench's clock; minutes on the clock that all pots share.
 */

const grams = z.number().min(0).max(20_000)
const text = (most: number) => z.string().trim().max(most)
const rate = z.number().min(0).max(0.25)
const ratio = z.number().min(0.8).max(6)

const potSchema = z.strictObject({
  code: codeSchema,
  /** The scent; null for a plain pot. */
  scentId: idSchema.nullable(),
  /** As it was called on the day of the plan. */
  name: text(80),
  grams: z.number().min(5).max(2000),
  rate,
  ratio,
  /** Oils in its batter without scent, 0–1. */
  oilShare: z.number().min(0).max(1),
})
export type TrialPot = z.infer<typeof potSchema>

export const trialSchema = z.strictObject({
  number: z.number().int().min(1).max(100_000),
  day: daySchema,
  formulaId: idSchema.nullable().default(null),
  /** The formula as it was on the day of the plan. */
  formula: formulaSchema,
  /** Batch of whose batter it is the tail; null for a batter of its own. */
  batchId: idSchema.nullable().default(null),
  /** How far the batter is when it is weighed into the pots. */
  stage: z.enum(['emulsion', 'light']).default('emulsion'),
  varies: z.enum(trialVaries).default('nothing'),
  pots: z.array(potSchema).min(1, 'A trial day has a pot at least.').max(40),
  /** Resolution of the scale for scents, g. */
  scale: z.number().min(0.001).max(1).default(0.01),
  /** Minutes after which whatever still pours is left. */
  minutes: z.number().int().min(10).max(240).default(60),
  roomC: z.number().min(-10).max(45).default(19),
  /** °C that the pots are kept at afterwards; null where they stand in the room. */
  keptC: z.number().min(20).max(90).nullable().default(null),
  note: text(2000).default(''),
})
export type Trial = z.infer<typeof trialSchema>

const pot = z.number().int().min(0).max(39)
const base = { id: idSchema, at: z.iso.datetime({ error: 'This must be an instant, UTC.' }) }

/** A colour as CIELAB (D65). */
const labSchema = z.strictObject({
  l: z.number().min(0).max(110),
  a: z.number().min(-150).max(150),
  b: z.number().min(-150).max(150),
})

export const trialEventSchema = z.discriminatedUnion('kind', [
  /** Lye and oils met: the shared clock begins. Written up from paper afterwards, or as it happens. */
  z.strictObject({ ...base, kind: z.literal('began'), paper: z.boolean().default(false) }),
  z.strictObject({
    ...base,
    kind: z.literal('weighed'),
    pot,
    what: z.enum(['batter', 'scent']),
    grams,
    typed: z.boolean(),
  }),
  /** Its scent is stirred in: its own clock begins. */
  z.strictObject({ ...base, kind: z.literal('zeroed'), pot }),
  z.strictObject({
    ...base,
    kind: z.literal('marked'),
    pot,
    saw: z.enum([...trialStages, ...trialSigns]),
    unsure: z.boolean().default(false),
  }),
  /** Looked at, and as it was. */
  z.strictObject({ ...base, kind: z.literal('looked'), pot }),
  /** It leaves the round with its lid, or comes back. */
  z.strictObject({ ...base, kind: z.literal('lidded'), pot, on: z.boolean().default(true) }),
  z.strictObject({
    ...base,
    kind: z.literal('noted'),
    pot: pot.nullable(),
    says: text(500).min(1),
    photo: idSchema.nullable().default(null),
  }),
  z.strictObject({ ...base, kind: z.literal('ended') }),
  /** What one nose wrote of its jars, by pot, not knowing which they were. */
  z.strictObject({
    ...base,
    kind: z.literal('sniffed'),
    nose: text(60).min(1),
    day: z.union(noseDays.map((day) => z.literal(day))),
    strengths: z
      .array(
        z.strictObject({
          pot,
          strength: z.union(strengths.map((one) => z.literal(one))),
          unsure: z.boolean().optional(),
          words: z.array(z.enum(sniffWords)).max(sniffWords.length).optional(),
        }),
      )
      .min(1)
      .max(40),
    /** Smelt something in a plain jar: kept, and not counted. */
    apart: z.boolean().default(false),
  }),
  /** Sample and plain picked in one photo. */
  z.strictObject({
    ...base,
    kind: z.literal('coloured'),
    pot,
    day: z.number().int().min(0).max(2000),
    sample: labSchema,
    plain: labSchema,
    swatch: swatchSchema,
    plainSwatch: swatchSchema,
    /** Whether a white or grey card was in it. */
    card: z.boolean(),
    photo: idSchema.nullable().default(null),
  }),
  z.strictObject({ ...base, kind: z.literal('undone'), event: idSchema }),
])
export type TrialEvent = z.infer<typeof trialEventSchema>
type Untold<Event> = Event extends TrialEvent ? Omit<Event, 'id' | 'at'> : never
/** What happens, before it has an id and a moment. */
export type NewTrialEvent = Untold<TrialEvent>
/** An event as the server keeps it. */
export type ToldTrialEvent = TrialEvent & { seq: number }

export const trialEventsSchema = z.strictObject({
  events: z.array(trialEventSchema).min(1).max(500),
})

/** When a pot reached a stage, in minutes from its own zero. */
export interface Reached {
  minutes: number
  unsure: boolean
}

/** What one pot of one round says of what its scent does to time. */
export interface Reading {
  /** ln(time of the pot / time of the control) to the stage that is compared. */
  d: number
  /** It is that, or more, or less: a pot, or a control, that never got there. */
  is: 'seen' | 'atLeast' | 'atMost'
  /** Of a mark that somebody was not sure of. */
  unsure: boolean
  /** Share of the oils and water : lye at which it was tried. */
  rate: number
  ratio: number
}

/** What one nose wrote of one jar on one day. */
export interface Sniff {
  nose: string
  day: number
  strength: (typeof strengths)[number]
  /** What it smelt of besides; not there where nothing was said. */
  words?: SniffWord[]
}

/** What a pot looks like beside plain on a day, CIEDE2000. */
export interface ColourOn {
  day: number
  from: number
  swatch: string
  plain: string
  card: boolean
  /** The photo it was picked in, where it was kept. */
  photo?: string
}

/** What a pot of a trial showed. */
export interface PotFound {
  pot: number
  code: string
  scentId: string | null
  name: string
  /** g really in it, and the rate they come to. */
  batter: number
  scent: number
  rate: number
  ratio: number
  /** Whether the rate is not the one that was wanted. */
  off: boolean
  /** Minutes on the shared clock at which its own clock began. */
  zero: number
  /** Minutes on the shared clock until which it was watched. */
  until: number
  stages: Partial<Record<TrialStage, Reached>>
  riced: { from: number; to: number | null } | null
  seized: number | null
  loosened: boolean
  separated: boolean
  reading: Reading | null
  strength: Sniff[]
  colour: ColourOn[]
  notes: string[]
  /** Photos that were taken of it in the round; not there in what an older Mantle kept. */
  photos?: string[]
}

/** A trial as the list of them has it. */
export interface TrialSummary extends Stored<Trial> {
  state: 'planned' | 'going' | 'done'
  found: PotFound[]
  /** Days on which noses were here. */
  sniffed: number[]
}
/** A trial with all that happened. */
export interface WholeTrial extends TrialSummary {
  events: ToldTrialEvent[]
}
