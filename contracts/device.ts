import { z } from 'zod'

/** One reading of a scale or a thermometer (docs/devices.md): a line of JSON. */
export const readingSchema = z.strictObject({
  /** The device's own name for itself, the same each time. */
  device: z.string().trim().min(1).max(80),
  kind: z.enum(['grams', 'celsius', 'humidity'], {
    error: 'A reading is of kind "grams", "celsius" or "humidity" (0 to 1).',
  }),
  /** null when the device has nothing to say: overload, a probe in the air. */
  value: z.number().min(-1_000_000).max(1_000_000).nullable(),
  stable: z.boolean().optional(),
})
export type Reading = z.infer<typeof readingSchema>

/** A reading as it is streamed: with the instant by the clock of the bench it belongs to. */
export type StreamedReading = Reading & { at: number }

const grams = z.number().min(0).max(500_000)
const vessel = z.enum(['lye', 'oils'])
const jug = z.strictObject({
  naoh: grams,
  koh: grams,
  readyNaoh: grams,
  readyWater: grams,
  water: grams,
  ice: grams,
  other: grams,
  roomC: z.number(),
  iceC: z.number(),
  liquidC: z.number().optional(),
  bySpoon: z.boolean().optional(),
  jugHeat: grams,
})

/** What can be done with the stand-in devices. */
export const standInActSchema = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('place'), grams }),
  z.strictObject({ act: z.literal('lift') }),
  z.strictObject({ act: z.literal('pour'), grams, perSecond: z.number().min(0.1).max(500) }),
  z.strictObject({ act: z.literal('take'), grams }),
  /** The scale's own tare key. */
  z.strictObject({ act: z.literal('tare') }),
  /** Lye meets water: all the heat of this jug, or of lye that lay open for a year. */
  z.strictObject({ act: z.literal('dissolve'), jug, weak: z.boolean() }),
  /** A spoon of lye into milk, of which a share is in already. */
  z.strictObject({
    act: z.literal('spoon'),
    jug,
    share: z.number().min(0).max(1),
    spoon: z.number().min(0).max(1),
  }),
  /** On the stove until it is so warm. */
  z.strictObject({ act: z.literal('warm'), vessel, toC: z.number().min(0).max(120), grams }),
  z.strictObject({ act: z.literal('ice'), vessel, on: z.boolean() }),
  /** Something colder or warmer goes in. */
  z.strictObject({ act: z.literal('add'), vessel, grams, celsius: z.number().min(-30).max(100) }),
  z.strictObject({
    act: z.literal('silence'),
    device: z.enum(['scale', 'lye', 'oils']),
    on: z.boolean(),
  }),
  z.strictObject({ act: z.literal('skip'), minutes: z.number().min(0.1).max(600) }),
  z.strictObject({ act: z.literal('speed'), times: z.number().min(1).max(60) }),
])
/** What thermometers showed so many minutes into a time that was let pass. */
export interface SkippedReading {
  minutes: number
  lye: number | null
  oils: number | null
}
export type StandInAct = z.infer<typeof standInActSchema>

export const standInSchema = z.strictObject({
  /** The instant at which its clock begins. */
  at: z.iso.datetime(),
  speed: z.number().min(1).max(60).default(1),
  roomC: z.number().min(-10).max(45),
  resolution: z.number().min(0.001).max(10),
  most: grams,
  seed: z.number().int().default(1),
})
export type StandInSetup = z.infer<typeof standInSchema>
