import type { MeasuredAmount } from '#contracts/formula'
import type { AmountBase, AmountUnit, SpoonKind } from '#contracts/words'
import { gramsOfBase, gramsOfUnit, isVolume } from '../units/measures'
import { roundTo } from '../statistics/roundTo'

/** How much of an extra, in exactly one of these ways. */
export interface Measure {
  rate?: number | null
  of?: 'oils' | 'batter'
  grams?: number | null
  amount?: MeasuredAmount
}

/**
 * g of a line, however it is said. What is missing counts as nothing.
 * @param density g/ml, for amounts by volume
 * @param oils g of the pot's fats
 * @param batter g of the whole pot
 * @param spoons which teaspoon the workshop has
 * @example lineGrams({ rate: 0.02, of: 'oils' }, 1, 1000, 1500) // 20
 */
export function lineGrams(
  line: Measure,
  density: number,
  oils: number,
  batter: number,
  spoons: SpoonKind = 'us',
): number {
  if (line.grams != null) return line.grams
  if (line.rate != null) return line.rate * (line.of === 'batter' ? batter : oils)
  if (!line.amount) return 0
  const { value, unit, per } = line.amount
  const once = (value ?? 0) * gramsOfUnit(unit, density, spoons)
  return per ? once * (oils / gramsOfBase[per]) : once
}

/**
 * Whether the grams of a line are worked out from a volume.
 * @example isEstimate({ amount: { value: 1, unit: 'tsp', per: null } }) // true
 */
export const isEstimate = (line: Measure): boolean =>
  line.grams == null && line.rate == null && !!line.amount && isVolume(line.amount.unit)

/**
 * Says whether any line is a share of the batter, itself included.
 * @example usesBatter([{ rate: 0.03, of: 'batter' }]) // true
 */
export const usesBatter = (lines: Measure[]) =>
  lines.some((line) => line.of === 'batter' && line.rate != null)

/**
 * g/ml of a scent: what its record says, else about 0.95; citrus oils are lighter, 0.85.
 * @example scentDensity('Clove bud') // 0.95
 */
export const scentDensity = (name: string, known?: { scent: { density: number | null } }): number =>
  known?.scent.density ?? (isCitrus(name) ? 0.85 : 0.95)
const peels =
  /\b(orange|lemon|lime|grapefruit|mandarin|bergamot|citrus|tangerine|clementine|yuzu|pomelo)\b/i
/** Of the tree but not of the peel, or only named after it. */
const noPeel =
  /\b(blossoms?|flowers?|leaf|leaves|petit\s?grain|neroli|verbena|balm|myrtle|grass|thyme|tea tree|eucalyptus|tea)\b/i
/**
 * Whether a scent is the oil of a citrus peel by its name: light, and gone within days unless something holds it.
 * @example isCitrus('Orange blossom') // false
 */
export const isCitrus = (name: string): boolean => peels.test(name) && !noPeel.test(name)

/**
 * A line so many times as much. Rates, and spoons per kg of oils, grow with the oils and stay as they are.
 * @param round what to do with the new figures; nothing by default
 * @example scaleMeasure({ grams: 12 }, 2) // { grams: 24 }
 */
export function scaleMeasure<T extends Measure>(
  line: T,
  factor: number,
  round: (value: number) => number = (value) => value,
): T {
  return {
    ...line,
    ...(line.grams == null ? {} : { grams: round(line.grams * factor) }),
    ...(line.amount && !line.amount.per
      ? { amount: { ...line.amount, value: round((line.amount.value ?? 0) * factor) } }
      : {}),
  }
}

/** The ways an extra's amount can be said. */
export const waysToMeasure = [
  { id: 'oils', says: 'share of the oils' },
  { id: 'batter', says: 'share of the batter' },
  { id: 'grams', says: 'weight' },
  { id: 'tsp', says: 'teaspoons' },
  { id: 'tsp/kg', says: 'teaspoons per kg of oils' },
  { id: 'tsp/lb', says: 'teaspoons per lb of oils' },
  { id: 'tbsp', says: 'tablespoons' },
  { id: 'ml', says: 'millilitres' },
  { id: 'drop', says: 'drops' },
] as const
export type WayToMeasure = (typeof waysToMeasure)[number]['id']

/**
 * The same weight said another way.
 * @param grams what it weighs now
 * @param density g/ml of what is measured
 * @example sayAs('grams', 20, 1, 1000, 1500) // { rate: undefined, of: undefined, grams: 20, amount: undefined }
 */
export function sayAs(
  way: WayToMeasure,
  grams: number,
  density: number,
  oils: number,
  batter: number,
  spoons: SpoonKind = 'us',
): Measure {
  const none = { rate: undefined, of: undefined, grams: undefined, amount: undefined }
  if (way === 'oils') return { ...none, rate: oils > 0 ? roundTo(grams / oils, 5) : 0, of: 'oils' }
  if (way === 'batter')
    return { ...none, rate: batter > 0 ? roundTo(grams / batter, 5) : 0, of: 'batter' }
  if (way === 'grams') return { ...none, grams: roundTo(grams, 5) }
  const [unit, per = null] = way.split('/') as [AmountUnit, AmountBase?]
  const perBase = per && oils > 0 ? oils / gramsOfBase[per] : 1
  const value = roundTo(grams / gramsOfUnit(unit, density, spoons) / perBase, 5)
  return { ...none, amount: { value, unit, per } }
}
