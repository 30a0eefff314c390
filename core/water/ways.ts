import type { WaterHeld } from '#contracts/words'

/** The ways that say water as a proportion; grams are weighed outright. */
export type WaterProportion = Exclude<WaterHeld, 'grams'>

/**
 * Water said in three ways. `ratio` is g water per g pure alkali, `strength` the alkali's share of lye plus water,
 * `shareOfOils` g water per g oils.
 */
export interface Water {
  ratio: number
  strength: number
  shareOfOils: number
}

/** Below this ratio lye does not dissolve: solubility of NaOH near room temperature is about 1.1 g per g water. */
export const waterFloor = 1

/**
 * g water per g pure alkali, from any of the three ways.
 * @param value ratio > 0; strength 0–1 exclusive; share of oils > 0
 * @param lye g pure alkali in the pot
 * @param oils g of the formula's fats
 * @example ratioFrom('strength', 1 / 3, 140, 1000) // 2
 */
export function ratioFrom(held: WaterProportion, value: number, lye: number, oils: number): number {
  switch (held) {
    case 'ratio':
      return value
    case 'strength':
      return 1 / value - 1
    case 'shareOfOils':
      return (value * oils) / lye
  }
}

/**
 * All three ways for one ratio.
 * @example waysFrom(2, 140, 1000) // { ratio: 2, strength: 0.333333, shareOfOils: 0.28 }
 */
export function waysFrom(ratio: number, lye: number, oils: number): Water {
  return { ratio, strength: 1 / (1 + ratio), shareOfOils: (ratio * lye) / oils }
}
