import { millilitresPer } from '../units/measures'
import type { Measure } from './measure'

const millilitresOf = {
  ml: 1,
  tsp: millilitresPer.tsp,
  tbsp: millilitresPer.tbsp,
  drop: millilitresPer.drop,
}

/**
 * g of a line, however it is said. What is missing counts as nothing.
 * @param density g/ml, for amounts by volume
 * @param oils g of the pot's fats
 * @param batter g of the whole pot
 */
export function lineGrams(line: Measure, density: number, oils: number, batter: number): number {
  if (line.grams != null) return line.grams
  if (line.rate != null) return line.rate * (line.of === 'batter' ? batter : oils)
  if (!line.amount) return 0
  const { unit } = line.amount
  const value = line.amount.value ?? 0
  return unit === 'tsp/kg-oils'
    ? value * millilitresPer.tsp * density * (oils / 1000)
    : value * millilitresOf[unit] * density
}

/** Says whether any line is a share of the batter, itself included. */
export const usesBatter = (lines: Measure[]) =>
  lines.some((line) => line.of === 'batter' && line.rate != null)

/** g/ml of a scent: about 0.95; citrus oils are lighter, 0.85. */
export function scentDensity(name: string): number {
  return /\b(orange|lemon|lime|grapefruit|mandarin|bergamot|citrus|tangerine)\b/i.test(name)
    ? 0.85
    : 0.95
}
