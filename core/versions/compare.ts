import type { FormulaResult } from '#contracts/result'
import type { Substance } from '../formula/makingOrder'

/** One thing in one or both of two formulas. */
export interface ComparedLine {
  key: string
  id: string
  name: string
  substance: Substance
  /** g in each; null where it has none. */
  grams: [number | null, number | null]
  /** Share of each formula's oils. */
  shares: [number | null, number | null]
}

interface Weighed {
  key: string
  id: string
  name: string
  substance: Substance
  grams: number
}

function weighed(result: FormulaResult): Weighed[] {
  const { lye, water } = result
  const of = (substance: Substance, list: { id: string; name: string; grams: number }[]) =>
    list.map(({ id, name, grams }) => ({ key: `${substance} ${id}`, id, name, substance, grams }))
  const all = [
    ...of('fat', result.fats),
    ...of('lye', [
      { id: 'solution', name: 'Ready-mixed lye', grams: lye.solution ?? 0 },
      { id: 'naoh', name: 'Sodium hydroxide', grams: lye.naoh },
      { id: 'koh', name: 'Potassium hydroxide', grams: lye.koh },
    ]),
    ...of('water', [{ id: 'water', name: 'Water', grams: water.weighed }]),
    ...of('liquid', result.liquids),
    ...of('additive', result.additives),
    ...of(
      'fat',
      result.carriers.filter(({ from }) => from === 'extra'),
    ).map((line) => ({
      ...line,
      key: `${line.key} extra`,
      name: `${line.name}, extra to disperse in`,
    })),
    ...of('scent', result.scents),
  ]
  const sums = new Map<string, Weighed>()
  for (const line of all) {
    if (!(line.grams > 0)) continue
    const before = sums.get(line.key)
    sums.set(line.key, before ? { ...before, grams: before.grams + line.grams } : line)
  }
  return [...sums.values()]
}

const order: Substance[] = ['fat', 'lye', 'water', 'liquid', 'additive', 'scent']

/**
 * Two formulas side by side, thing by thing: fats, lye, water, liquids, extras, scents; in each, the larger first.
 * @example compareWeights(made, made).length // 3
 */
export function compareWeights(one: FormulaResult, other: FormulaResult): ComparedLine[] {
  const [left, right] = [one, other].map(
    (result) => new Map(weighed(result).map((line) => [line.key, line])),
  ) as [Map<string, Weighed>, Map<string, Weighed>]
  const keys = [...new Set([...left.keys(), ...right.keys()])]
  const share = (line: Weighed | undefined, { oils }: FormulaResult) =>
    line && oils > 0 ? line.grams / oils : null
  return keys
    .map((key): ComparedLine => {
      const [a, b] = [left.get(key), right.get(key)]
      const { id, name, substance } = (a ?? b)!
      return {
        key,
        id,
        name,
        substance,
        grams: [a?.grams ?? null, b?.grams ?? null],
        shares: [share(a, one), share(b, other)],
      }
    })
    .sort(
      (a, b) =>
        order.indexOf(a.substance) - order.indexOf(b.substance) ||
        Math.max(b.shares[0] ?? 0, b.shares[1] ?? 0) - Math.max(a.shares[0] ?? 0, a.shares[1] ?? 0),
    )
}
