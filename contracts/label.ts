import { z } from 'zod'
import { idSchema, limitedRecord } from './basics'
import {
  allergenListIds,
  labelForms,
  labelParts,
  listCustoms,
  netSteps,
  pageSizes,
  placeIds,
  plantNames,
} from './labelWords'
import { swatchSchema } from './scent'

/*
 * A design of a label: a piece of paper in millimetres, what stands where on it, and how many of them lie on a sheet.
 */

const mm = (least: number, most: number) => z.number().min(least).max(most)

export const labelElementSchema = z.strictObject({
  id: z.string().trim().min(1).max(40),
  part: z.enum(labelParts),
  /** From the left and the top of the piece, mm. */
  x: mm(-10, 400),
  y: mm(-10, 400),
  width: mm(1, 400),
  height: mm(1, 400),
  /** Height of an x, mm; what has no words does without. */
  size: mm(0.7, 40).default(1.4),
  bold: z.boolean().default(false),
  align: z.enum(['left', 'center', 'right']).default('left'),
  colour: swatchSchema.default('#182022'),
  /** Set along the edge of a round label: over its middle, or under it. */
  bent: z.enum(['no', 'over', 'under']).default('no'),
  /** Words of its own, in place of what the part says. */
  text: z.string().trim().max(400).default(''),
  /** Of a logo: the picture, kept with the design. */
  picture: idSchema.nullable().default(null),
})
export type LabelElement = z.infer<typeof labelElementSchema>

/** Where labels lie on a sheet, mm. */
export const labelSheetSchema = z.strictObject({
  page: z.enum(pageSizes).default('A4'),
  columns: z.number().int().min(1).max(20).default(1),
  rows: z.number().int().min(1).max(40).default(1),
  left: mm(0, 200).default(10),
  top: mm(0, 200).default(10),
  /** From the edge of one label to the same edge of the next. */
  pitchX: mm(1, 420).default(100),
  pitchY: mm(1, 420).default(50),
  /** A hairline round each, to cut along: for paper that is not cut already. */
  edges: z.boolean().default(false),
})

export const labelDesignSchema = z.strictObject({
  name: z.string().trim().min(1, 'Say what it is called.').max(60),
  form: z.enum(labelForms),
  /** Of a round one both are its diameter. */
  width: mm(10, 400),
  height: mm(10, 400),
  /** Radius of its corners. */
  corner: mm(0, 40).default(0),
  /** Where a band is folded, from its left. */
  folds: z.array(mm(0, 400)).max(8).default([]),
  custom: z.enum(listCustoms).default('in-bar'),
  elements: z.array(labelElementSchema).max(40).default([]),
  sheet: labelSheetSchema.default(labelSheetSchema.parse({})),
  /** A second piece of paper that goes with it and is printed along: a label for the back, a slip. */
  also: idSchema.nullable().default(null),
})
export type LabelDesign = z.infer<typeof labelDesignSchema>
export type NewLabelDesign = z.input<typeof labelDesignSchema>

const words = (most: number) => z.string().trim().max(most)
const money = z.number().int().min(0).max(100_000_000)
const labelName = z.strictObject({
  latin: words(120).min(1, 'Say what it is called on a label.'),
  english: words(120).min(1, 'Say what it is called on a label.'),
  ci: words(20).optional(),
})

/** Where a workshop sells, and what its labels carry there. */
export const sellingSchema = z.strictObject({
  /** Null until somebody said. */
  place: z.enum(placeIds).nullable().default(null),
  /** As labels name it; the workshop's own name where it is empty. */
  maker: words(60).default(''),
  /** Who answers for the bars, with an address. */
  person: words(200).default(''),
  country: words(60).default(''),
  step: z.union(netSteps.map((step) => z.literal(step))).default(1),
  /** Months that a bar is good for once it is opened; null where labels do not say so. */
  opened: z.number().int().min(1).max(60).nullable().default(12),
  care: words(200).default('Let it dry between uses.'),
  warnings: words(300).default('Keep out of eyes.'),
  /** What the square code leads to, with {code} where the batch's stands; empty for the code and the day alone. */
  web: words(200).default(''),
  /** What is otherwise here than the place's customs say. */
  rules: z
    .strictObject({
      water: z.enum(['Aqua', 'Water']).optional(),
      scent: z.enum(['Parfum', 'Fragrance']).optional(),
      plants: z.enum(plantNames).optional(),
      coloursByNumber: z.boolean().optional(),
      coloursLast: z.boolean().optional(),
      allergens: z.enum(allergenListIds).optional(),
      dualUnits: z.boolean().optional(),
      smallestType: z.number().min(0.7).max(5).optional(),
    })
    .default({}),
  /** Names of ingredients that are other than those of the lists, by material. */
  names: limitedRecord(words(80), labelName, 300).default({}),
  /** Allergens that are named besides those of the list. */
  allergens: z.array(words(80).min(1)).max(60).default([]),
})
export type Selling = z.infer<typeof sellingSchema>

/** What customers read of a soap, by its formula: its second line, what it is for, and what it costs. */
export const soapWordsSchema = z.strictObject({
  /** Empty for what is worked out of the formula. */
  tagline: words(80).default(''),
  use: words(200).default(''),
  warnings: words(300).default(''),
  /** Of a bar, and of one that a shop buys; in the smallest unit of money. */
  price: money.nullable().default(null),
  wholesale: money.nullable().default(null),
  /** The design that its labels were last made with. */
  designId: idSchema.nullable().default(null),
})
export type SoapWords = z.infer<typeof soapWordsSchema>

/** Several bars of several batches in one box, with a label of their own. */
export const giftSchema = z.strictObject({
  name: words(60).min(1, 'Say what it is called.'),
  tagline: words(80).default(''),
  bars: z
    .array(z.strictObject({ batchId: idSchema, bars: z.number().int().min(1).max(50) }))
    .max(12)
    .refine(
      (bars) => new Set(bars.map(({ batchId }) => batchId)).size === bars.length,
      'A batch stands in a box once, with so many bars.',
    )
    .default([]),
  price: money.nullable().default(null),
  designId: idSchema.nullable().default(null),
})
export type Gift = z.infer<typeof giftSchema>

/** What labels are made for: a batch, a box of several, or cards for the shelf of what is ready. */
export const labelSubjectSchema = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('batch'), id: idSchema }),
  z.strictObject({ of: z.literal('gift'), id: idSchema }),
  z.strictObject({ of: z.literal('prices'), ids: z.array(idSchema).max(200) }),
])
export type LabelSubject = z.infer<typeof labelSubjectSchema>

/** Labels to be made as a PDF. */
export const labelOrderSchema = z.strictObject({
  designId: idSchema,
  subject: labelSubjectSchema,
  count: z.number().int().min(1, 'At least one label.').max(2000, 'At most 2,000 labels at once.'),
  /** Place of the first on its sheet, from 1. */
  from: z.number().int().min(1).max(800).default(1),
  /** g of the smallest bar that gets one; null to go by the drying. */
  smallest: z.number().min(1).max(5000).nullable().default(null),
  test: z.boolean().default(false),
  /** What was asked about was seen, and is to be printed all the same. */
  anyway: z.boolean().default(false),
})
export type LabelOrder = z.infer<typeof labelOrderSchema>
export type NewLabelOrder = z.input<typeof labelOrderSchema>

/** A line of the answer while a PDF is made: how far it is, or the file itself, in base 64. */
export type LabelProgress = { done: number; of: number } | { pdf: string }

/** What a label says, word for word. */
export interface LabelWords {
  name: string
  tagline: string
  net: string
  list: string
  use: string
  care: string
  dates: string
  code: string
  maker: string
  person: string
  warnings: string
  price: string
  /** What its square code leads to. */
  qr: string
  /** The bar's own colours, the deeper first: of the wave. */
  colours: readonly [deep: string, pale: string]
}
