/*
 * The words of the formula document that are lists of choices. Apart from the schemas, so that a screen that only offers
 * the choices does not load what validates them.
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

/** When an additive goes in, in the order of the work. */
export const additiveMoments = ['water', 'lye', 'cooled-lye', 'oils', 'trace'] as const

/** How a batter is poured. */
export const patterns = [
  'plain',
  'layers',
  'slanted-layers',
  'in-pot-swirl',
  'drop-pour',
  'hanger-swirl',
  'spun-swirl',
  'drizzle',
  'pencil-line',
  'textured-top',
] as const
export type Pattern = (typeof patterns)[number]

/** The three ways to say how much water; the one in `held` stays when anything else changes. */
export const waysOfWater = ['ratio', 'strength', 'shareOfOils'] as const

/** Measures by volume; grams follow from the material's density and are an estimate. */
export const amountUnits = ['tsp', 'tbsp', 'ml', 'drop', 'tsp/kg-oils'] as const

export type WaterHeld = (typeof waysOfWater)[number]
export type AdditiveMoment = (typeof additiveMoments)[number]
