import { ratioFrom, waysFrom, type WaterProportion } from './ways'
import { roundTo } from '../statistics/roundTo'

/*
 * A "water discount of 10 %" is 10 % less than some full water, and makers mean different ones. The figure says nothing
 * without its reference, so the two always go together here.
 */

/** What makers call full water. */
export const fullWaters = [
  { id: 'oils-38', says: '38 % of the oils', held: 'shareOfOils', value: 0.38 },
  { id: 'strength-25', says: '25 % lye strength (3 : 1)', held: 'strength', value: 0.25 },
  { id: 'strength-28', says: '28 % lye strength (2.57 : 1)', held: 'strength', value: 0.28 },
  { id: 'ratio-2.5', says: '2.5 : 1 water to lye', held: 'ratio', value: 2.5 },
] as const satisfies { id: string; says: string; held: WaterProportion; value: number }[]
export type FullWater = (typeof fullWaters)[number]

/**
 * Water to lye at a discount from a full water.
 * @param discount fraction, below 1; 0 is the full water itself
 * @param lye g of pure alkali in the pot, above 0
 * @param oils g of the formula's oils
 * @example ratioAtDiscount(fullWaters[3], 0.2, 136, 1000) // 2
 */
export function ratioAtDiscount(
  full: FullWater,
  discount: number,
  lye: number,
  oils: number,
): number {
  return ratioFrom(full.held, full.value, lye, oils) * (1 - discount)
}

/**
 * How much less than a full water a ratio is, as a fraction; negative when it is more.
 * @example discountOf(fullWaters[3], 2, 136, 1000) // 0.2
 */
export function discountOf(full: FullWater, ratio: number, lye: number, oils: number): number {
  return 1 - ratio / ratioFrom(full.held, full.value, lye, oils)
}

/**
 * The water of a discount in the way its full water is said: what a formula then holds.
 * @example waterAtDiscount(fullWaters[3], 0.2, 136, 1000) // { held: 'ratio', value: 2 }
 */
export function waterAtDiscount(full: FullWater, discount: number, lye: number, oils: number) {
  const ratio = ratioAtDiscount(full, discount, lye, oils)
  return { held: full.held, value: roundTo(waysFrom(ratio, lye, oils)[full.held]) }
}
