import type { FattyAcid, FormulaResult } from '#contracts/result'
import type { Trait } from '#contracts/words'
import { fattyAcidNames } from '../chemistry/fattyAcids'
import type { Library } from '../materials/library'
import { traitRules } from './coefficients'
import { isCitric } from '../chemistry/acids'

export type Traits = Record<Trait, number>

/** The seven, in the order they are told. */
export const traitIds = Object.keys(traitRules) as Trait[]

/**
 * One trait of a profile, unclamped: the solver and the search for better formulas need its true slope.
 * @example traitOf('gentleness', { palmitic: 0.3, oleic: 0.7 }, 0.05, false) // 81
 */
export function traitOf(
  trait: Trait,
  profile: Partial<Record<FattyAcid, number>>,
  superfat: number,
  keeper: boolean,
): number {
  const { acids, superfat: perPoint, constant, ricinoleicUpTo, keeper: bonus } = traitRules[trait]
  let value = constant + perPoint * superfat * 100 + (keeper ? bonus : 0)
  for (const acid of fattyAcidNames) {
    const percent = (profile[acid] ?? 0) * 100
    const counts =
      acid === 'ricinoleic' && ricinoleicUpTo !== null ? Math.min(percent, ricinoleicUpTo) : percent
    value += acids[acid] * counts
  }
  return value
}

/**
 * Whether something in the pot binds metals or takes up oxygen: a keeper, or citric acid, which becomes citrate.
 * @example hasKeeper(made, shipped) // false
 */
export function hasKeeper(result: FormulaResult, library: Library): boolean {
  return result.additives.some(({ id, grams }) => {
    const additive = library.additives.get(id)
    return grams > 0 && (additive?.group === 'keeper' || isCitric(additive?.acid))
  })
}

/**
 * The seven traits of a profile, unclamped.
 * @example traitsFrom({ lauric: 0.48, myristic: 0.19, oleic: 0.33 }, 0.05, false).greaseLift // 84
 */
export const traitsFrom = (
  profile: Partial<Record<FattyAcid, number>>,
  superfat: number,
  keeper: boolean,
): Traits =>
  Object.fromEntries(
    traitIds.map((trait) => [trait, traitOf(trait, profile, superfat, keeper)]),
  ) as Traits

/**
 * The seven traits of a formula, unclamped estimates of about 0 to 100 (docs/science.md, what the bar will be like).
 * They follow from the fatty acids of the formula's fats and the total superfat.
 * @example Math.round(traitsOf(made, shipped).keeping) // 81
 */
export const traitsOf = (result: FormulaResult, library: Library): Traits =>
  traitsFrom(result.fattyAcids, result.superfat.total, hasKeeper(result, library))

/**
 * A trait as it is shown: within 0 and 100.
 * @example shownTrait(104.4) // 100
 */
export const shownTrait = (value: number): number => Math.min(100, Math.max(0, value))
