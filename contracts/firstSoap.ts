import { z } from 'zod'
import { daySchema, idSchema } from './basics'

/* The way of somebody who has never made soap, up to the first bar: what the kitchen has, and how far it has come. */

export const planks = [
  'kitchen',
  'formula',
  'lye',
  'dry',
  'rehearsal',
  'batch',
  'cut',
  'weigh',
  'wash',
] as const
export type Plank = (typeof planks)[number]

export const kitchenSchema = z.strictObject({
  /** Step of the scale, g. */
  scale: z.number().min(0.01).max(5),
  blender: z.boolean(),
  thermometer: z.boolean(),
  /** What the tub holds to its rim, ml. */
  tubMillilitres: z
    .number()
    .min(300, 'A tub holds 300 ml at least: less cannot be weighed well.')
    .max(3000, 'A first batch is small: up to 3 litres.'),
  goggles: z.boolean(),
  gloves: z.boolean(),
  steelPan: z.boolean(),
  aluminium: z.boolean(),
})
export type Kitchen = z.infer<typeof kitchenSchema>

/** Where drops of a dry run landed. */
export const dropPlaces = ['cup and jug', 'jug and pot', 'pot and tub', 'far off'] as const
export type DropPlace = (typeof dropPlaces)[number]

/** Moves of the dry run. */
export const dryMoves = 7

export const firstPathSchema = z.strictObject({
  who: z.string().trim().max(60).default(''),
  begunOn: daySchema,
  kitchen: kitchenSchema.nullable().default(null),
  formulaId: idSchema.nullable().default(null),
  /** When each plank was done. */
  done: z.partialRecord(z.enum(planks), daySchema).default({}),
  moves: z.number().int().min(0).max(dryMoves).default(0),
  drops: z
    .array(
      z.strictObject({
        day: daySchema,
        count: z.number().int().min(0).max(500),
        where: z.enum(dropPlaces),
      }),
    )
    .max(50)
    .default([]),
  worries: z
    .array(z.strictObject({ day: daySchema, text: z.string().trim().min(1).max(300) }))
    .max(30)
    .default([]),
})
export type FirstPath = z.infer<typeof firstPathSchema>
