import type { FattyAcid, FormulaResult } from '#contracts/result'
import type { Trait } from '#contracts/words'
import { isCitric } from '../chemistry/acids'
import { fattyAcidNames } from '../chemistry/fattyAcids'
import { molarMass } from '../chemistry/elements'
import type { Fat } from '../materials/fat'
import type { Library } from '../materials/library'
import { clamp } from '../statistics/clamp'
import { openedFats } from '../materials/opened'
import { sumOf } from '../statistics/sum'
import { dissolves, leastWater, substanceLends, traitRules, usualWater } from './coefficients'

export type Traits = Record<Trait, number>

/** The seven, in the order they are told. */
export const traitIds = Object.keys(traitRules) as Trait[]

/** What of a blend the traits follow from. */
export interface Makeup {
  /** Mass fractions of the fats. */
  acids: Partial<Record<FattyAcid, number>>
  /** Points that waxes, resins and tar lend beside their acids. */
  lends: Partial<Record<Trait, number>>
  /** Total superfat, a fraction. */
  superfat: number
  /** A chelator or antioxidant is in the pot. */
  keeper: boolean
  /** Water to lye. */
  water: number
  /** Share of the moles of alkali that is potash. */
  kohShare: number
}

/**
 * What a fat lends a bar beside its acids, points of each trait for one per cent of it.
 * @example lendsOf(shipped.fats.get('beeswax')).wearLife // 2.1
 */
export function lendsOf({
  chemistry,
  stateAt20,
  parts,
}: Pick<Fat, 'chemistry' | 'stateAt20' | 'parts'>): Partial<Record<Trait, number>> {
  if (chemistry === 'wax-ester' || chemistry === 'rosin')
    return substanceLends[chemistry][stateAt20]
  return lentBy(parts ?? [])
}

/** What several fats lend together, each by its share. */
function lentBy(fats: readonly { fat: Fat | null; share: number }[]) {
  const lends: Partial<Record<Trait, number>> = {}
  for (const { fat, share } of fats)
    for (const [trait, points] of Object.entries(fat ? lendsOf(fat) : {}) as [Trait, number][])
      lends[trait] = (lends[trait] ?? 0) + points * share
  return lends
}

/**
 * Per cent of soap that hardly dissolves.
 * @example Math.round(hardlyDissolving({ palmitic: 0.48, stearic: 0.5 })) // 74
 */
export const hardlyDissolving = (acids: Makeup['acids']): number =>
  100 * sumOf(fattyAcidNames, (acid) => (dissolves.acids[acid] ?? 0) * (acids[acid] ?? 0))

/**
 * One trait of a blend, unclamped: the solver and the search for better formulas need its true slope.
 * @example traitOf('gentleness', blendOf({ palmitic: 0.3, oleic: 0.7 })) // 81
 */
export function traitOf(trait: Trait, makeup: Makeup): number {
  const rule = traitRules[trait]
  const { acids, superfat, keeper, water, kohShare, lends } = makeup
  let value = rule.constant + rule.superfat * superfat * 100 + (keeper ? rule.keeper : 0)
  value += (lends[trait] ?? 0) + rule.potash * kohShare
  value += rule.lessWater * (usualWater - clamp(water, 1, 3.5))
  value +=
    rule.lessWaterOleic *
    (acids.oleic ?? 0) *
    100 *
    (usualWater - clamp(water, leastWater, usualWater))
  // Asked for hundreds of blends at once: only where it counts.
  if (rule.undissolved)
    value += rule.undissolved * Math.max(0, hardlyDissolving(acids) - dissolves.upTo)
  for (const acid of fattyAcidNames) {
    const percent = (acids[acid] ?? 0) * 100
    const counts =
      acid === 'ricinoleic' && rule.ricinoleicUpTo !== null
        ? Math.min(percent, rule.ricinoleicUpTo)
        : percent
    value += rule.acids[acid] * counts
  }
  return value
}

/**
 * A blend of acids alone, at the usual water and 5 % superfat, unless something else is said.
 * @example blendOf({ lauric: 1 }).superfat // 0.05
 */
export const blendOf = (acids: Makeup['acids'], more: Partial<Makeup> = {}): Makeup => ({
  acids,
  lends: {},
  superfat: 0.05,
  keeper: false,
  water: usualWater,
  kohShare: 0,
  ...more,
})

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
 * Share of the alkali's moles that is potash, 0–1.
 * @example potashOf(made) // 0
 */
export function potashOf({ lye }: Pick<FormulaResult, 'lye'>): number {
  const koh = lye.pureKoh / molarMass.koh
  const all = koh + lye.pureNaoh / molarMass.naoh
  return all > 0 ? koh / all : 0
}

/**
 * What of a formula its traits follow from.
 * @example makeupOf(made, shipped).keeper // false
 */
export function makeupOf(result: FormulaResult, library: Library): Makeup {
  const lends = lentBy(
    result.fats.map(({ id, share }) => ({ fat: library.fats.get(id) ?? null, share: share * 100 })),
  )
  return {
    acids: result.fattyAcids,
    lends,
    superfat: result.superfat.total,
    keeper: hasKeeper(result, library),
    water: result.water.ratio > 0 ? result.water.ratio : usualWater,
    kohShare: potashOf(result),
  }
}

/**
 * The seven traits of a blend, unclamped.
 * @example traitsFrom(blendOf({ lauric: 0.48, myristic: 0.19, oleic: 0.33 })).greaseLift // 84
 */
export const traitsFrom = (makeup: Makeup): Traits =>
  Object.fromEntries(traitIds.map((trait) => [trait, traitOf(trait, makeup)])) as Traits

/**
 * The seven traits of a formula, unclamped estimates of about 0 to 100 (docs/science.md, what the bar will be like).
 * They follow from the fatty acids of its fats, from what waxes and resins lend, from superfat, water and potash.
 * @example Math.round(traitsOf(made, shipped).keeping) // 81
 */
export const traitsOf = (result: FormulaResult, library: Library): Traits =>
  traitsFrom(makeupOf(result, library))

/**
 * Share of the fats of which nothing says what bar they make: no fatty acids, and no wax or resin either.
 * @example unknownShare(made, shipped) // 0
 */
export const unknownShare = (result: FormulaResult, library: Library): number =>
  sumOf(openedFats(result.fats, library), ({ fat, share }) => {
    const known = fat && (Object.keys(fat.profile.value).length || Object.keys(lendsOf(fat)).length)
    return known ? 0 : share
  })

/**
 * A trait as it is shown: within 0 and 100.
 * @example shownTrait(104.4) // 100
 */
export const shownTrait = (value: number): number => Math.min(100, Math.max(0, value))
