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
  'other-palm',
  'stem',
  'leaf',
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
export const fattyAcidIds = [
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

/** The ways to say how much water; the one in `held` stays when anything else changes. Grams are water weighed as water. */
export const waysOfWater = ['ratio', 'strength', 'shareOfOils', 'grams'] as const

/** How much of an extra, once or for so much of the oils. Of a volume the grams follow from the density: an estimate. */
export const amountUnits = ['tsp', 'tbsp', 'ml', 'drop', 'g', 'oz'] as const
export const amountBases = ['kg', '500g', '100g', 'lb'] as const

/** A teaspoon is 5 ml where spoons are metric, 4.93 ml in the US. */
export const spoonKinds = ['us', 'metric'] as const

/** How long a tin of lye has been open. */
export const lyeOpenSince = ['month', 'year', 'longer', 'unknown'] as const
export type LyeOpenSince = (typeof lyeOpenSince)[number]

/** What is asked once, where it first matters. */
export const firstQuestions = [
  'scale',
  'weights',
  'degrees',
  'lye-label',
  'lye-open',
  'citric-acid',
] as const
export type FirstQuestion = (typeof firstQuestions)[number]

/** Steps that scales show, g, in the unit they show them in. An ounce is 28.349523125 g. */
export const scaleSteps = [
  { grams: 0.01, says: '0.01 g', units: 'metric' },
  { grams: 0.1, says: '0.1 g', units: 'metric' },
  { grams: 0.5, says: '0.5 g', units: 'metric' },
  { grams: 1, says: '1 g', units: 'metric' },
  { grams: 2, says: '2 g', units: 'metric' },
  { grams: 5, says: '5 g', units: 'metric' },
  { grams: 0.141747615625, says: '0.005 oz', units: 'imperial' },
  { grams: 0.28349523125, says: '0.01 oz', units: 'imperial' },
  { grams: 1.41747615625, says: '0.05 oz', units: 'imperial' },
  { grams: 2.8349523125, says: '0.1 oz', units: 'imperial' },
] as const

/** What fatty matter is a share of: the fatty acids bound or free, or the oils as they were weighed. */
export const meaningsOfFattyMatter = ['fattyAcids', 'oils'] as const

/** What the batter is brought together with. */
export const tools = ['blender', 'whisk', 'spoon'] as const

/** A frozen liquid: hard as ice, slushy, or no more than cold. */
export const frozenStates = ['hard', 'slush', 'cold'] as const
export type FrozenState = (typeof frozenStates)[number]

export type AmountUnit = (typeof amountUnits)[number]
export type AmountBase = (typeof amountBases)[number]
export type SpoonKind = (typeof spoonKinds)[number]
export type Tool = (typeof tools)[number]
export type WaterHeld = (typeof waysOfWater)[number]
export type AdditiveMoment = (typeof additiveMoments)[number]
export type WayOfLiquid = (typeof waysOfLiquid)[number]
export type MouldMaterial = (typeof mouldMaterials)[number]
export type LinerKind = (typeof linerKinds)[number]
export type LiquidMoment = (typeof liquidMoments)[number]
export type Trait = (typeof traits)[number]
export type FattyAcid = (typeof fattyAcidIds)[number]

/** How the bar of a thumbnail is drawn: the first colour is the ground, the others lie in it. */
export const thumbnailPatterns = [
  'plain',
  'wave',
  'layers',
  'shades',
  'swirl',
  'line',
  'flecks',
  'stamp',
  'split',
  'rind',
] as const
export type ThumbnailPattern = (typeof thumbnailPatterns)[number]

/** Settings whose fields are kept one by one. */
export const insideKeys = [
  'rack',
  'lyeTin',
  'begin',
  'dates',
  'emergency',
  'costing',
  'selling',
  'learning',
] as const
export const keptByField: ReadonlySet<string> = new Set(insideKeys)
/** What is drawn in the room besides places for bars. */
export const fixtureKinds = ['door', 'window', 'posts', 'boxes', 'hygrometer'] as const
