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

/** When a liquid goes in, and the three ways of milk: poured, frozen as the lye's own liquid, into the cooled lye. */
export const liquidMoments = ['lye', 'oils', 'trace'] as const
export const waysOfLiquid = ['poured', 'frozen', 'into-cooled-lye'] as const

export const fatOrigins = [
  'fruit',
  'nut',
  'seed',
  'grain',
  'legume',
  'coconut',
  'palm',
  'animal',
  'insect',
  'wood',
] as const

export const additiveGroups = [
  'acid',
  'salt',
  'sugar',
  'clay',
  'keeper',
  'scrub',
  'colour',
  'other',
] as const

export const mouldMaterials = [
  'silicone',
  'wood',
  'pp',
  'hdpe',
  'acrylic',
  'pvc',
  'carton',
  'stainless',
  'glass',
  'aluminium',
  'tin',
] as const
export const linerKinds = ['none', 'paper', 'film', 'silicone', 'grease'] as const

/** The fatty acids that a profile names, in the order they are always listed. */
export const fattyAcids = [
  'caprylic',
  'capric',
  'lauric',
  'myristic',
  'palmitic',
  'stearic',
  'arachidic',
  'behenic',
  'palmitoleic',
  'oleic',
  'gondoic',
  'erucic',
  'linoleic',
  'linolenic',
  'ricinoleic',
] as const

/** What a bar will be like, in seven estimates of 0 to 100. */
export const traits = [
  'greaseLift',
  'gentleness',
  'quickFoam',
  'lastingFoam',
  'firmAtCut',
  'wearLife',
  'keeping',
] as const

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
export type WayOfLiquid = (typeof waysOfLiquid)[number]
export type MouldMaterial = (typeof mouldMaterials)[number]
export type LinerKind = (typeof linerKinds)[number]
export type LiquidMoment = (typeof liquidMoments)[number]
export type Trait = (typeof traits)[number]
export type FattyAcid = (typeof fattyAcids)[number]
