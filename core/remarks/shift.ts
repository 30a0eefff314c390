import { shareOfAcids, shortAcids } from '../chemistry/fattyAcids'
import type { AdditiveLine, FormulaDocument, ScentLine } from '#contracts/formula'
import type { PatchStep } from '#contracts/result'
import type { Library } from '../materials/library'
import type { Subject } from './rule'
import { sumOf } from '../statistics/sum'

/** Half and more of it acids that bear no being more of: short ones, and ricinoleic. */
const isStrong = (library: Library, id: string): boolean => {
  const profile = library.fats.get(id)?.profile.value ?? {}
  return shareOfAcids(profile, [...shortAcids, 'ricinoleic']) >= 0.5
}

/**
 * Lowers some fats to a share of the oils and gives what is freed to the largest of the others; one that strips skin or makes
 * a batter race (coconut and its like, castor) gets it only where there is no other.
 * @returns null when there is no other fat to give it to
 * @example lowerFats(subject({ fats: fats({ olive: 0.6, castor: 0.4 }) }), [1], 0.1)
 *   // [{ path: ['fats', 1, 'share'], value: 0.1 }, { path: ['fats', 0, 'share'], value: 0.9 }]
 */
export function lowerFats(
  { document, result, library }: Subject,
  indices: number[],
  target: number,
): PatchStep[] | null {
  const now = sumOf(indices, (index) => result.fats[index]!.share)
  const others = result.fats
    .map((fat, index) => ({ index, grams: fat.grams }))
    .filter((fat) => !indices.includes(fat.index) && fat.grams > 0)
    .sort((a, b) => b.grams - a.grams)
  const heir = others.find(({ index }) => !isStrong(library, result.fats[index]!.id)) ?? others[0]
  if (!heir || now <= 0) return null
  const byLines = document.size.by === 'lines'
  const key = byLines ? 'grams' : 'share'
  const valueOf = (index: number) => document.fats[index]![key] ?? 0
  const freed = sumOf(indices, (index) => valueOf(index) * (1 - target / now))
  return [
    ...indices.map((index) => ({
      path: ['fats', index, key],
      value: valueOf(index) * (target / now),
    })),
    { path: ['fats', heir.index, key], value: valueOf(heir.index) + freed },
  ]
}

/**
 * Lye and oils at one temperature.
 * @example bothAt(35) // [{ path: ['method', 'lyeC'], value: 35 }, { path: ['method', 'oilsC'], value: 35 }]
 */
export const bothAt = (celsius: number): PatchStep[] =>
  ['lyeC', 'oilsC'].map((vessel) => ({ path: ['method', vessel], value: celsius }))

/**
 * One more additive at a rate of the oils, dispersed in nothing.
 * @example added(example, 'sodium-lactate', 0.02)
 *   // [{ path: ['additives', 0], value: { id: 'sodium-lactate', rate: 0.02, of: 'oils', carrier: null } }]
 */
export const added = (document: FormulaDocument, id: string, rate: number): PatchStep[] => [
  {
    path: ['additives', document.additives.length],
    value: { id, rate, of: 'oils', carrier: null },
  },
]

/**
 * An additive line at a rate of the oils, however much of it was said before.
 * @example atRate(extra('honey', 0.05), 0.02) // { id: 'honey', carrier: null, rate: 0.02, of: 'oils' }
 */
export function atRate(line: AdditiveLine, rate: number): AdditiveLine {
  const { rate: _rate, of: _of, grams: _grams, amount: _amount, ...rest } = line
  return { ...rest, rate, of: 'oils' }
}

/**
 * Scents at so much of what they are, rounded down.
 * @param fits which of the lines
 * @example lowerScents(soap({ scents: [scent('Fir', 0.06)] }), 0.5) // [{ path: ['scents', 0, 'rate'], value: 0.03 }]
 */
export function lowerScents(
  { scents }: FormulaDocument,
  factor: number,
  fits: (line: ScentLine) => boolean = () => true,
): PatchStep[] {
  const down = (value: number | null | undefined) =>
    value == null ? value : Math.floor(value * factor * 10_000) / 10_000
  return scents.flatMap((line, index): PatchStep[] => {
    if (!fits(line)) return []
    const place = (key: string, value: unknown) => [{ path: ['scents', index, key], value }]
    if (line.rate != null) return place('rate', down(line.rate))
    if (line.grams != null) return place('grams', down(line.grams))
    return line.amount ? place('amount', { ...line.amount, value: down(line.amount.value) }) : []
  })
}
