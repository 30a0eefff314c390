import { z } from 'zod'

/*
 * The formula document, version 1 (docs/formula-format.md). The schema holds the shape only, so that a draft
 * with a share missing or shares that do not add up is still a document; what makes it computable and complete
 * is told by `faultsInFormula` in core/formula/faults. Fractions, grams, °C.
 */

/** What the soap is for. */
export const uses = [
  'body',
  'face',
  'hands',
  'hair',
  'shaving',
  'baby',
  'dishes',
  'laundry',
  'scrub',
] as const
export type Use = (typeof uses)[number]

const number = z.number()
const missing = number.nullable()
const id = z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, {
  error: 'An id is words in small letters joined by hyphens.',
})
const label = z.string().trim().min(1).max(120)

/** Refuses a key whose feature is not built yet, unless it says nothing more than its default. */
const notBuiltYet = <T>(key: string, fallback: T) =>
  z
    .unknown()
    .optional()
    .superRefine((value, context) => {
      if (value === undefined || JSON.stringify(value) === JSON.stringify(fallback)) return
      context.addIssue({
        code: 'custom',
        message: `"${key}" belongs to a feature that Mantle does not have yet.`,
      })
    })
    .transform(() => fallback)

const sizeSchema = z
  .looseObject({ by: z.enum(['oils', 'lines', 'batter', 'bars', 'fattyMatter', 'mould']) })
  .superRefine((size, context) => {
    if (size.by !== 'oils' && size.by !== 'lines')
      context.addIssue({
        code: 'custom',
        path: ['by'],
        message: `Sizing by "${size.by}" belongs to a feature that Mantle does not have yet; use "oils" or "lines".`,
      })
  })
  .pipe(
    z.discriminatedUnion('by', [
      z.strictObject({ by: z.literal('oils'), grams: missing }),
      z.strictObject({ by: z.literal('lines') }),
    ]),
  )

const fatLine = z.strictObject({
  id,
  name: label.optional(),
  share: missing.optional(),
  grams: missing.optional(),
  sap: missing.optional(),
  moment: z.enum(['pot', 'trace']).default('pot'),
  inLye: z.boolean().default(true),
})

const liquidLine = z.strictObject({
  id,
  share: missing,
  moment: z.enum(['lye', 'oils', 'trace']).default('oils'),
  way: z.enum(['poured', 'frozen', 'into-cooled-lye']).default('poured'),
})

/** When an additive goes in, in the order of the work. */
export const additiveMoments = ['water', 'lye', 'cooled-lye', 'oils', 'trace'] as const

const rateOf = z.enum(['oils', 'batter']).superRefine((base, context) => {
  if (base === 'batter')
    context.addIssue({
      code: 'custom',
      message: 'A rate of "batter" belongs to a feature that Mantle does not have yet; use "oils".',
    })
})

const additiveLine = z.strictObject({
  id,
  rate: missing.optional(),
  of: rateOf.optional(),
  grams: missing.optional(),
  amount: notBuiltYet('amount', undefined),
  moment: z.enum(additiveMoments).optional(),
  carrier: notBuiltYet('carrier', null),
})

const scentLine = z.strictObject({
  id,
  name: label.optional(),
  rate: missing,
  of: rateOf.default('oils'),
  moment: z.enum(['oils', 'trace']).default('trace'),
  maxOfBar: missing.optional(),
})

const methodSchema = z.strictObject({
  lyeC: number.min(-20).max(100).default(35),
  oilsC: number.min(0).max(100).default(35),
  gel: z.enum(['leave', 'force', 'prevent']).default('leave'),
  pattern: notBuiltYet('pattern', 'plain'),
  blender: z.boolean().default(true),
})

const alkaliSchema = z.strictObject({
  naohPurity: number.default(1),
  kohShare: number.default(0),
  kohPurity: number.default(0.9),
  solutionStrength: missing.default(null),
})

/** The three ways to say how much water; the one in `held` stays when anything else changes. */
export const waysOfWater = ['ratio', 'strength', 'shareOfOils'] as const

const waterSchema = z.strictObject({ held: z.enum(waysOfWater), value: missing })

const common = {
  format: z.literal('mantle.formula'),
  version: z.literal(1),
  name: z.string().trim().min(1).max(120),
  use: z.enum(uses).default('body'),
  notes: z.string().max(20_000).default(''),
  alkali: z.preprocess((value) => value ?? {}, alkaliSchema),
  fats: z.array(fatLine).max(60),
  liquids: z.array(liquidLine).max(20).default([]),
  iceShare: notBuiltYet('iceShare', 0),
  additives: z.array(additiveLine).max(60).default([]),
  scents: z.array(scentLine).max(30).default([]),
  parts: notBuiltYet('parts', []),
  method: z.preprocess((value) => value ?? {}, methodSchema),
}

export const formulaSchema = z.strictObject({
  ...common,
  size: sizeSchema,
  superfat: missing.default(0.05),
  water: waterSchema.default({ held: 'ratio', value: 2.2 }),
})
export type FormulaDocument = z.infer<typeof formulaSchema>

/** A document whose lye and water are known and whose superfat is asked for. */
export const checkSchema = z.strictObject({
  ...common,
  size: sizeSchema,
  lyeGrams: number.min(0),
  waterGrams: number.min(0),
})
export type CheckDocument = z.infer<typeof checkSchema>

export type FatLine = FormulaDocument['fats'][number]
export type LiquidLine = FormulaDocument['liquids'][number]
export type AdditiveLine = FormulaDocument['additives'][number]
export type ScentLine = FormulaDocument['scents'][number]
export type WaterHeld = (typeof waysOfWater)[number]
export type AdditiveMoment = (typeof additiveMoments)[number]
