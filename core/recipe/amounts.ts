import type { Library } from '../materials/library'
import { usualKohPurity } from '../chemistry/alkali'
import { scentDensity, lineGrams } from '../formula/measure'
import { isLyeKind } from '../words/reading'
import type { RecipeLine } from './read'
import { sum } from '../statistics/sum'

/** A recipe in per cent is judged on 1000 g of oils where it does not say how much. */
const assumedOils = 1000

/**
 * Lines that count: doubtful ones and notes do not.
 * @example certain(recipe('450 g olive oil\na pinch of luck')).length // 1
 */
export const certain = (lines: RecipeLine[]) => lines.filter(({ doubtful }) => !doubtful)

/**
 * What each line weighs, and the sums that a verdict needs. Grams; alkali pure, potash as its flakes are.
 * @example amounts(recipe('450 g olive oil'), shipped).oils // 450
 */
export function amounts(all: RecipeLine[], library: Library) {
  const lines = certain(all)
  const fats = lines.filter((line) => line.kind === 'fat')
  const size = lines.find((line) => line.kind === 'size')?.grams ?? null
  const byShare =
    fats.length > 0 && fats.every((line) => line.grams === null && line.share !== null)
  const grams = (line: RecipeLine) =>
    line.grams ?? (line.share !== null && byShare ? line.share * (size ?? assumedOils) : 0)
  const oils = sum(fats.map(grams))
  /** g of an extra, scent or liquid, however it is said. */
  const of = (line: RecipeLine): number => {
    if (line.grams !== null) return line.grams
    if (line.share !== null) return line.share * oils
    if (line.amount?.kind !== 'rate') return 0
    const density =
      line.kind === 'scent'
        ? scentDensity(line.name)
        : (library.additives.get(line.id ?? '')?.density ?? 1)
    const { value, unit, per } = line.amount
    return lineGrams({ amount: { value, unit, per } }, density, oils, 0, library.spoons)
  }
  const lyes = lines.filter(({ kind }) => isLyeKind(kind))
  const alkali = (koh: boolean) =>
    sum(lyes.filter(({ kind }) => (kind === 'koh') === koh).map((line) => line.grams ?? 0))
  const inSolution = sum(
    lyes.map((line) => (line.solution === null ? 0 : (line.grams ?? 0) * (1 / line.solution - 1))),
  )
  const proportion = lines.find((line) => line.proportion)?.proportion ?? null
  const pure = alkali(false) + alkali(true) * usualKohPurity
  const plain = sum(
    lines.filter(({ kind }) => kind === 'water' || kind === 'ice').map((line) => line.grams ?? 0),
  )
  const stated = !proportion
    ? 0
    : proportion.held === 'shareOfOils'
      ? proportion.value * oils
      : proportion.held === 'ratio'
        ? proportion.value * pure
        : (1 / proportion.value - 1) * pure
  return {
    lines,
    fats: fats.map((line) => ({ line, grams: grams(line) })),
    byShare,
    size,
    oils,
    of,
    naoh: alkali(false),
    koh: alkali(true),
    inSolution,
    /** Water weighed as water; where only a proportion is said, what that comes to. */
    water: plain || Math.max(0, stated - inSolution),
    proportion,
  }
}
