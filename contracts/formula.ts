import { z } from 'zod'
import { thumbnailSchema } from './thumbnail'
import { upgradedFormula } from './upgrade'
import {
  additiveMoments,
  amountBases,
  amountUnits,
  frozenStates,
  liquidMoments,
  meaningsOfFattyMatter,
  patterns,
  tools,
  uses,
  waysOfLiquid,
  waysOfWater,
} from './words'

export type { AdditiveMoment, Pattern, Use, WaterHeld } from './words'

/*
 * The formula document, version 2 (docs/formula-format.md); one of version 1 is upgraded as it is read. The schema holds the shape only, so that a draft
 * with a share missing or shares that do not add up is still a document; what makes it computable and complete
 * is told by `faultsInFormula` in core/formula/faults. Fractions, grams, °C.
 */

const number = z.number()
const missing = number.nullable()
const id = z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, {
  error: 'An id is words in small letters joined by hyphens.',
})
const label = z.string().trim().min(1).max(120)

/** The shapes of a mould with their inside measures: mm, how many cavities, ml of each. */
export const mouldShapes = <
  Length extends z.ZodType<number | null>,
  Count extends z.ZodType<number | null>,
  Volume extends z.ZodType<number | null>,
>(
  length: Length,
  count: Count,
  volume: Volume,
) =>
  z.discriminatedUnion('shape', [
    z.strictObject({
      shape: z.literal('box'),
      lengthMm: length,
      widthMm: length,
      depthMm: length,
    }),
    z.strictObject({ shape: z.literal('cylinder'), diameterMm: length, depthMm: length }),
    z.strictObject({ shape: z.literal('cavities'), count, millilitres: volume }),
  ])

/** A mould by its inside measures. Its volume is what it really takes when filled to the depth given. */
const mouldSchema = mouldShapes(missing, missing, missing)
export type Mould = z.infer<typeof mouldSchema>

const sizeSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('oils'), grams: missing }),
  z.strictObject({ by: z.literal('lines') }),
  z.strictObject({ by: z.literal('batter'), grams: missing }),
  /** Bars of so many grams each when long dried. */
  z.strictObject({ by: z.literal('bars'), count: missing, grams: missing }),
  /** Fatty matter as a share of a batter of so many grams: its fatty acids, or its oils, since makers mean either. */
  z.strictObject({
    by: z.literal('fattyMatter'),
    batterGrams: missing,
    share: missing,
    of: z.enum(meaningsOfFattyMatter).default('fattyAcids'),
  }),
  z.strictObject({ by: z.literal('mould'), mould: mouldSchema, fill: missing.default(1) }),
  /** Several moulds filled from one batter. */
  z.strictObject({
    by: z.literal('moulds'),
    moulds: z
      .array(z.strictObject({ name: label, mould: mouldSchema, fill: missing.default(1) }))
      .max(20),
  }),
])
export type Size = z.infer<typeof sizeSchema>

const fatLine = z.strictObject({
  id,
  name: label.optional(),
  share: missing.optional(),
  grams: missing.optional(),
  sap: missing.optional(),
  moment: z.enum(['pot', 'trace']).default('pot'),
  inLye: z.boolean().default(true),
})

/** Exactly one of a share of all liquid, which moves with the water, and grams, which are held. */
const liquidLine = z.strictObject({
  id,
  share: missing.optional(),
  grams: missing.optional(),
  moment: z.enum(liquidMoments).default('oils'),
  way: z.enum(waysOfLiquid).default('poured'),
})

const rateOf = z.enum(['oils', 'batter'])

/** A spoon, drop or weight, once or for so much of the oils. */
const amount = z.strictObject({
  value: missing,
  unit: z.enum(amountUnits),
  per: z.enum(amountBases).nullable().default(null),
})

const additiveLine = z.strictObject({
  id,
  rate: missing.optional(),
  of: rateOf.optional(),
  grams: missing.optional(),
  amount: amount.optional(),
  moment: z.enum(additiveMoments).optional(),
  /** Oil it is stirred into first: so many parts oil, taken from the formula's fats or extra. */
  carrier: z
    .strictObject({
      id,
      ratio: missing.default(2),
      from: z.enum(['formula', 'extra']).default('formula'),
    })
    .nullable()
    .default(null),
})

const scentLine = z.strictObject({
  id,
  name: label.optional(),
  rate: missing.optional(),
  of: rateOf.optional(),
  grams: missing.optional(),
  amount: amount.optional(),
  moment: z.enum(['oils', 'trace']).default('trace'),
  maxOfBar: missing.optional(),
})

const methodSchema = z.strictObject({
  lyeC: number.min(-20).max(100).default(35),
  oilsC: number.min(0).max(100).default(35),
  gel: z.enum(['leave', 'force', 'prevent']).default('leave'),
  patterns: z.array(z.enum(patterns)).max(4).default([]),
  tool: z.enum(tools).default('blender'),
  /** How frozen a frozen liquid is when the lye meets it; null where nothing is, or nobody knows yet. */
  frozen: z.enum(frozenStates).nullable().default(null),
})

const alkaliSchema = z.strictObject({
  naohPurity: number.default(1),
  kohShare: number.default(0),
  kohPurity: number.default(0.9),
  solutionStrength: missing.default(null),
})

const waterSchema = z.strictObject({ held: z.enum(waysOfWater), value: missing })

/** A part of the batter with its own pot: its share of the oils, its own water, scent or none, its own extras. */
const partLine = z.strictObject({
  name: label,
  share: missing,
  water: waterSchema.optional(),
  scent: z.boolean().default(true),
  additives: z.array(additiveLine).max(20).default([]),
})

/** Where a recipe comes from: whose it is, the link as it was written and never fetched, the day, and the old page it stands on. */
export const sourceSchema = z.strictObject({
  who: z.string().trim().max(120).default(''),
  link: z.string().trim().max(500).default(''),
  day: z.iso.date().nullable().default(null),
  /** Id of the page of the journal with its picture. */
  page: z.string().max(80).nullable().default(null),
})
export type Source = z.infer<typeof sourceSchema>

const common = {
  format: z.literal('mantle.formula'),
  version: z.literal(2),
  name: z.string().trim().min(1).max(120),
  use: z.enum(uses).default('body'),
  notes: z.string().max(20_000).default(''),
  alkali: z.preprocess((value) => value ?? {}, alkaliSchema),
  fats: z.array(fatLine).max(60),
  liquids: z.array(liquidLine).max(20).default([]),
  /** Of the water in the lye; `iceGrams` says it by weight instead. */
  iceShare: number.default(0),
  iceGrams: missing.optional(),
  additives: z.array(additiveLine).max(60).default([]),
  scents: z.array(scentLine).max(30).default([]),
  parts: z.array(partLine).max(12).default([]),
  method: z.preprocess((value) => value ?? {}, methodSchema),
  /** Where it comes from; not there for one of the workshop's own. */
  source: sourceSchema.optional(),
  /** The picture its maker chose; without one it follows from all of the above. */
  thumbnail: thumbnailSchema.optional(),
}

export const formulaSchema = z.preprocess(
  upgradedFormula,
  z.strictObject({
    ...common,
    size: sizeSchema,
    superfat: missing.default(0.05),
    water: waterSchema.default({ held: 'ratio', value: 2.2 }),
  }),
)
export type FormulaDocument = z.infer<typeof formulaSchema>

/** A document whose lye and water are known and whose superfat is asked for. */
export const checkSchema = z.preprocess(
  upgradedFormula,
  z.strictObject({
    ...common,
    size: sizeSchema,
    lyeGrams: number.min(0),
    waterGrams: number.min(0),
  }),
)

export type LiquidLine = FormulaDocument['liquids'][number]
export type FatLine = FormulaDocument['fats'][number]
export type AdditiveLine = FormulaDocument['additives'][number]
export type ScentLine = FormulaDocument['scents'][number]
export type PartLine = FormulaDocument['parts'][number]
export type MeasuredAmount = z.infer<typeof amount>
