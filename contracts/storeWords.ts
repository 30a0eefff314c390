/*
 * The words of the stores that are lists of choices. Apart from the schemas, so that a screen that only offers the choices does not
 * load what validates them.
 */

/** What a lot stands in, as it is drawn. */
export const vesselForms = [
  'bottle',
  'jar',
  'bucket',
  'drum',
  'sack',
  'box',
  'can',
  'packet',
] as const
export type VesselForm = (typeof vesselForms)[number]

/** Why a lot is not to be used. */
export const heldWhys = ['recalled', 'smells', 'waits'] as const
export type HeldWhy = (typeof heldWhys)[number]

/** What became of what is missing, or where more came from, when it was counted. */
export const countWhys = ['batch', 'spilled', 'unwritten', 'other-vessel', 'unknown'] as const
export type CountWhy = (typeof countWhys)[number]

/** Kinds of moves as they are kept. `came`: received, or what was wrong about that put right. */
export const moveKinds = [
  'came',
  'drawn',
  'counted',
  'spilled',
  'thrown',
  'back',
  'undone',
] as const
export type MoveKind = (typeof moveKinds)[number]

/** What is made up ahead: a blend of fats, a solution of lye, a colour rubbed into oil. */
export const blendKinds = ['oils', 'lye', 'coloured'] as const
export type BlendKind = (typeof blendKinds)[number]

/** What lies in the stores and goes into no batter, counted in pieces. */
export const goodsIds = [
  'goods-wrap',
  'goods-label',
  'goods-box',
  'goods-bag',
  'goods-liner',
  'goods-strips',
  'goods-gloves',
] as const
export type GoodsId = (typeof goodsIds)[number]
