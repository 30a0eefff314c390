import { z } from 'zod'
import {
  additiveMoments,
  additiveGroups,
  fatOrigins,
  liquidMoments,
  waysOfLiquid,
  fattyAcidIds,
} from './words'

/*
 * Materials of the workshop's own, and its own values for those of the library. A record under a library id replaces that
 * material's values; one under an id that begins with "own-" is a material the library does not have. Fractions, g/ml,
 * mg KOH per g, °C.
 */

/** Ids of materials: words in small letters joined by hyphens. */
export const materialIdSchema = z
  .string()
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'An id is words in small letters joined by hyphens.')
  .max(80)

const share = z.number().min(0).max(1)
const common = {
  id: materialIdSchema,
  name: z.string().trim().min(1).max(120),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written like #d9b24a.'),
  /** Number of the supplier's certificate that the values come from; empty when they are the maker's own. */
  certificate: z.string().trim().max(80).default(''),
}

const saponification = z.number().min(0).max(400)
const ownFat = z
  .strictObject({
    kind: z.literal('fat'),
    ...common,
    inci: z.string().trim().max(200).default(''),
    sap: z.strictObject({ low: saponification, typical: saponification, high: saponification }),
    profile: z.partialRecord(z.enum(fattyAcidIds), share).default({}),
    unsaponifiables: share.default(0.01),
    density: z.number().min(0.7).max(1.3).default(0.905),
    stateAt20: z.enum(['liquid', 'soft', 'hard']).default('liquid'),
    softens: z.number().min(-30).max(120).nullable().default(null),
    origin: z.array(z.enum(fatOrigins)).max(5).default([]),
    chemistry: z.enum(['triglyceride', 'free-acid', 'wax-ester', 'rosin']).default('triglyceride'),
  })
  .refine(({ sap }) => sap.low <= sap.typical && sap.typical <= sap.high, {
    path: ['sap', 'typical'],
    error: 'The usual value must lie between the lowest and the highest.',
  })
  .refine(({ profile }) => Object.values(profile).reduce((sum, part) => sum + part, 0) <= 1.0005, {
    path: ['profile'],
    error: 'The fatty acids sum to more than 100 %.',
  })

const ownLiquid = z
  .strictObject({
    kind: z.literal('liquid'),
    ...common,
    water: share,
    fat: share.default(0),
    fatSap: saponification.default(0),
    sugar: share.default(0),
    /** g pure NaOH that a gram takes before the fats do. */
    naohTaken: z.number().min(0).max(1).default(0),
    moment: z.enum(liquidMoments).default('lye'),
    way: z.enum(waysOfLiquid).default('poured'),
    mind: z.string().trim().max(300).default(''),
  })
  .refine(({ water, fat, sugar }) => water + fat + sugar <= 1.0005, {
    path: ['water'],
    error: 'Water, fat and sugar sum to more than 100 %.',
  })
  .refine(({ water }) => water > 0, { path: ['water'], error: 'A liquid holds some water.' })
  .refine(({ fat, fatSap }) => fat === 0 || fatSap > 0, {
    path: ['fatSap'],
    error: 'Its fat takes lye too: give the fat’s saponification value (milk fat is about 230).',
  })

const ownAdditive = z
  .strictObject({
    kind: z.literal('additive'),
    ...common,
    group: z.enum(additiveGroups).default('other'),
    moment: z.enum(additiveMoments).default('trace'),
    usualRate: share,
    highRate: share,
    density: z.number().min(0.05).max(5).default(1),
    disperse: z
      .strictObject({ in: z.enum(['oil', 'water']), ratio: z.number().min(0.1).max(20) })
      .nullable()
      .default(null),
    pace: z.union([z.literal(-1), z.literal(0), z.literal(1)]).default(0),
    heats: z.boolean().default(false),
    tints: z.boolean().default(false),
    does: z.string().trim().max(300).default(''),
  })
  .refine(({ usualRate, highRate }) => usualRate <= highRate, {
    path: ['highRate'],
    error: 'The most that is used is less than the usual rate.',
  })

export const ownMaterialSchema = z.discriminatedUnion('kind', [ownFat, ownLiquid, ownAdditive])
export type OwnMaterial = z.infer<typeof ownMaterialSchema>
export type OwnFat = z.infer<typeof ownFat>
export type OwnLiquid = z.infer<typeof ownLiquid>
export type OwnAdditive = z.infer<typeof ownAdditive>
