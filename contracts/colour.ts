import { z } from 'zod'
import { daySchema, idSchema } from './basics'
import { swatchSchema } from './scent'
import { bleedWords, colourCarriers } from './trialWords'

const share = z.number().min(0.00001).max(0.2, { error: 'More than 20 % is no colour any more.' })

/** How a colourant came out in a bar on a day. */
const seenSchema = z.strictObject({
  id: idSchema,
  on: daySchema,
  /** Days since that bar was poured. */
  day: z.number().int().min(0).max(4000),
  /** Whether the bar went through gel. */
  gelled: z.boolean(),
  /** Share of the oils of its pot. */
  rate: share,
  swatch: swatchSchema,
  /** Whether a white or grey card was beside it. */
  card: z.boolean(),
  batchId: idSchema.nullable().default(null),
})
export type ColourSeen = z.infer<typeof seenSchema>

/** What the workshop knows of a colourant, which is a material of its library: how it is used here, and how it came out. */
export const colourSchema = z.strictObject({
  /** Share of the oils of its pot that is usual here. */
  rate: share.nullable().default(null),
  carrier: z.enum(colourCarriers).nullable().default(null),
  /** g of the carrier to a g of colour. */
  parts: z.number().min(0.1).max(50).nullable().default(null),
  /** What it does to the lather. */
  bleeds: z.enum(bleedWords).nullable().default(null),
  seen: z.array(seenSchema).max(200).default([]),
  note: z.string().trim().max(2000).default(''),
})
export type Colour = z.infer<typeof colourSchema>
