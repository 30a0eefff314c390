import { z } from 'zod'
import { limitedRecord } from './basics'
import { idSchema } from './batch'
import { materialIdSchema } from './material'
import {
  batterStages,
  lyeFaults,
  rescues,
  treatments,
  usualSetup,
  vesselKinds,
  vesselStuffs,
} from './benchWords'
import { frozenStates, tools } from './words'

/*
 * A run: a batch being made at the bench. What the maker sets before the start, and what happens after it, as events that are
 * only ever added. Grams, °C, instants in UTC by the bench's clock.
 */

const stepId = z
  .string()
  .min(1)
  .max(160)
  .regex(/^[a-z0-9:@.-]+$/, { error: 'This is not the id of a step.' })
const grams = z.number().min(-100_000).max(1_000_000)
const celsius = z.number().min(-40).max(150)
const says = z.string().trim().min(1)

/** How this batch is to be made: the day's room, scale and ways, and what the maker changed in the plan. */
export const setupSchema = z.strictObject({
  roomC: z.number().min(-10).max(45).default(usualSetup.roomC),
  /** The lye jug: g empty, and what it is of, for the heat that it takes. */
  jug: z
    .strictObject({ grams: z.number().min(10).max(20_000), stuff: z.enum(vesselStuffs) })
    .default(usualSetup.jug),
  /** The most that the scale weighs, g, its vessel included. */
  scaleMax: z.number().min(50).max(500_000).default(usualSetup.scaleMax),
  /** °C that milk and other sugary liquids stay under. */
  guardC: z.number().min(20).max(60).default(usualSetup.guardC),
  /** Whether a thermometer is at hand; without one both vessels are judged by hand. */
  thermometer: z.boolean().default(usualSetup.thermometer),
  /** Hard fats melted by the hot lye instead of by the stove. */
  meltBy: z.enum(['stove', 'lye']).default(usualSetup.meltBy),
  /** What it is blended or stirred with today; as the formula says where nobody chose. */
  tool: z.enum(tools).nullable().default(usualSetup.tool),
  /** Whether a scale sends what it shows; without one every weight is typed. */
  sends: z.boolean().default(usualSetup.sends),
  /** How frozen the milk is that takes the lye; as the formula says where nobody chose. */
  frozen: z.enum(frozenStates).nullable().default(usualSetup.frozen),
  /** The one exception to lye into oils, for lye made on frozen milk. */
  oilsOntoLye: z.boolean().default(usualSetup.oilsOntoLye),
  /** Pots divided before the lye goes in, or as batter at emulsion. */
  divide: z.enum(['upfront', 'batter']).nullable().default(usualSetup.divide),
  /** The scent of several pots weighed once and divided; each cup by itself in runs from before that was done. */
  bulkScent: z.boolean().default(false),
  /** The making day that it is part of: several devices may tell of it, and all fats are weighed before they go on the plate. */
  day: idSchema.nullable().default(usualSetup.day),
  /** The order the maker put the steps in; those not named keep their usual place. */
  order: z.array(stepId).max(300).default([]),
  leftOut: z.array(stepId).max(100).default([]),
  own: z
    .array(
      z.strictObject({
        id: stepId,
        /** The step it comes after; null for the very beginning. */
        after: stepId.nullable(),
        says: says.max(120),
        minutes: z.number().min(0).max(600).default(1),
      }),
    )
    .max(40)
    .default([]),
})
export type RunSetup = z.infer<typeof setupSchema>

const base = { id: idSchema, at: z.iso.datetime({ error: 'This must be an instant, UTC.' }) }
const pot = z.number().int().min(0).max(11)

export const runEventSchema = z.discriminatedUnion('kind', [
  /** One point of the safety check, confirmed. */
  z.strictObject({ ...base, kind: z.literal('confirmed'), point: stepId }),
  /** One scoop in the vessel; negative when some was taken out. */
  z.strictObject({
    ...base,
    kind: z.literal('scooped'),
    step: stepId,
    grams,
    typed: z.boolean(),
    /** It does not stand on the paper, and is taken as planned. */
    assumed: z.boolean().optional(),
  }),
  /**
   * The lot of something that stands at the scale from here on, by the id of the thing, and what its paper says: mg KOH per g, purity
   * as a fraction; null where it is silent.
   */
  z.strictObject({
    ...base,
    kind: z.literal('stood'),
    thing: materialIdSchema,
    lotId: idSchema,
    code: says.max(40),
    sap: z.number().min(1).max(1600).nullable().default(null),
    purity: z.number().min(0.05).max(1).nullable().default(null),
  }),
  /** Weights still to be taken that follow from an over-pour, and what was chosen. */
  z.strictObject({
    ...base,
    kind: z.literal('chose'),
    step: stepId,
    choice: z.enum(['accept', 'scale', 'match']),
    targets: limitedRecord(stepId, grams.min(0), 300),
  }),
  z.strictObject({ ...base, kind: z.literal('done'), step: stepId }),
  /** °C of a vessel; of a pot's own lye jug where every pot has one. */
  z.strictObject({
    ...base,
    kind: z.literal('read'),
    vessel: z.enum(vesselKinds),
    pot: pot.optional(),
    celsius,
    typed: z.boolean(),
  }),
  /** A spoon of lye stirred into milk; g left in its cup, where somebody weighed it. */
  z.strictObject({
    ...base,
    kind: z.literal('spooned'),
    step: stepId,
    left: grams.min(0).nullable(),
  }),
  /** How frozen the milk turned out to be. */
  z.strictObject({ ...base, kind: z.literal('chilled'), how: z.enum(frozenStates) }),
  z.strictObject({
    ...base,
    kind: z.literal('treated'),
    vessel: z.enum(vesselKinds),
    how: z.enum(treatments),
  }),
  z.strictObject({ ...base, kind: z.literal('marked'), pot, stage: z.enum(batterStages) }),
  z.strictObject({
    ...base,
    kind: z.literal('blended'),
    pot,
    seconds: z.number().min(0).max(36_000),
  }),
  /** Warm water stirred into a batter that ran away. */
  z.strictObject({ ...base, kind: z.literal('watered'), pot, grams: grams.min(0) }),
  z.strictObject({ ...base, kind: z.literal('rescued'), pot, how: z.enum(rescues) }),
  z.strictObject({
    ...base,
    kind: z.literal('noted'),
    says: says.max(1000),
    photo: z.string().max(80).optional(),
  }),
  /** The lye was thrown away and is made anew: its jug and cups start from nothing. */
  z.strictObject({ ...base, kind: z.literal('restarted'), because: z.enum(lyeFaults) }),
  /** Whatever the weights say, this batch is for laundry and no skin. */
  z.strictObject({ ...base, kind: z.literal('laundry') }),
  /** What was left in a cup that had been weighed, in everything that was in it alike. */
  z.strictObject({
    ...base,
    kind: z.literal('leftover'),
    vessel: stepId,
    grams: grams.min(0),
  }),
  /** What a vessel weighed once more before lye met oils, its own weight taken off. */
  z.strictObject({
    ...base,
    kind: z.literal('checked'),
    vessel: z.enum(vesselKinds),
    grams: grams.min(0),
  }),
  /** Somebody takes up a piece of a making day's work: its id in the day's plan, and who. */
  z.strictObject({ ...base, kind: z.literal('took'), task: says.max(120), by: says.max(60) }),
  /** This device leads from here on. */
  z.strictObject({ ...base, kind: z.literal('drove'), name: says.max(60) }),
  z.strictObject({
    ...base,
    kind: z.literal('finished'),
    pouredDay: z.iso.date(),
    /** Instant of the pour, where the bench's clock does not know it: a batch written up from paper. */
    pouredAt: z.iso.datetime().optional(),
  }),
  z.strictObject({ ...base, kind: z.literal('undone'), event: idSchema }),
])
export type RunEvent = z.infer<typeof runEventSchema>

type Untold<Event> = Event extends RunEvent ? Omit<Event, 'id' | 'at'> : never
/** What happens, before it has an id and a moment. */
export type NewRunEvent = Untold<RunEvent>

/** What a device sends: its own name for itself, and what happened there, in order. */
export const runEventsSchema = z.strictObject({
  device: idSchema,
  events: z.array(runEventSchema).min(1).max(500),
})

export const startRunSchema = z.strictObject({
  id: idSchema,
  device: idSchema,
  setup: setupSchema,
  /** Written up from paper: everything is entered afterwards. */
  paper: z.boolean().default(false),
  at: base.at,
})

/** An event as the server keeps it. */
export type ToldEvent = RunEvent & { seq: number; device: string }

/** A run as the routes send it. */
export interface Run {
  id: string
  batchId: string
  setup: RunSetup
  /** Resolution of the scale, g. */
  scale: number
  paper: boolean
  startedAt: string
  /** The device that leads. */
  driver: string
  events: ToldEvent[]
}
