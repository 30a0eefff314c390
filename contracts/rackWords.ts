/* The words of the rack that are lists of choices. */

/** How far the mass turned translucent. */
export const gels = ['none', 'partial', 'full'] as const
export type Gel = (typeof gels)[number]

/** Why a bar is not a good one. */
export const rejectReasons = ['crumbled', 'air', 'cracked', 'crooked', 'colour', 'other'] as const
export type RejectReason = (typeof rejectReasons)[number]

/** Where a strip was held. */
export const stripPlaces = ['lather', 'face'] as const
export type StripPlace = (typeof stripPlaces)[number]

/** Where bars went. */
export const outs = ['sold', 'given', 'used', 'reworked', 'binned', 'sample'] as const
export type Out = (typeof outs)[number]

/** What was seen under the cover after the pour. */
export const peekFinds = ['fine', 'ring', 'hot', 'wet'] as const
export type PeekFind = (typeof peekFinds)[number]

/** How a loaf in its mould feels to a gloved finger. */
export const touches = ['soft', 'sticky', 'firm', 'hard'] as const
export type Touch = (typeof touches)[number]

/** What is done to bars after the cut. */
export const finishes = ['trimmed', 'bevelled', 'stamped', 'planed'] as const
export type Finish = (typeof finishes)[number]

/** Tests of a bar in use, each scored 1 to 5. */
export const feelTests = [
  'quickFoam',
  'lastingFoam',
  'skinAfter',
  'keepsShape',
  'scent',
  'colour',
  'rinseSpots',
  'soiledCloth',
  'glide',
] as const
export type FeelTest = (typeof feelTests)[number]

/** What of the work a lesson is about. */
export const lessonAbouts = [
  'ready',
  'weighing',
  'lye',
  'temperatures',
  'batter',
  'pour',
  'cover',
  'cut',
] as const
export type LessonAbout = (typeof lessonAbouts)[number]

/** What becomes of a batch that went wrong: melted again with what it lacks, grated for laundry, or kept and looked at again. */
export const salvageWays = ['remelted', 'laundry', 'kept'] as const
export type SalvageWay = (typeof salvageWays)[number]

/** What can be wrong with bars. */
export const troubles = [
  'orange-spots',
  'ash',
  'crystals',
  'sweating',
  'cracks',
  'rings',
  'soft',
  'air',
  'crumbled',
  'specks',
  'coloured-lather',
  'scent-gone',
  'oil-on-top',
] as const
export type Trouble = (typeof troubles)[number]

/** What of a batch a cause is followed along, through all batches. */
export const causeFigures = [
  'spoiling-fat',
  'superfat',
  'water',
  'mixed-at',
  'vessels-apart',
  'citric',
  'colour',
  'scent',
  'cut-after',
  'gelled',
] as const
export type CauseFigure = (typeof causeFigures)[number]
