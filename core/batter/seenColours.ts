import type { Colour, ColourSeen } from '#contracts/colour'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { sumOf } from '../statistics/sum'

/** How a colourant is used in a pot: share of its oils, and whether the soap goes through gel; null where that is open. */
export interface UsedColour {
  rate: number | null
  gelled: boolean | null
}

/** How far two rates are apart: twice as much is as far as half as much. */
const apart = (rate: number, other: number) => Math.abs(Math.log(rate / other))

/**
 * The bar that tells best how a colourant comes out in a pot: of those that gelled, or did not, as this one will, the one of the
 * nearest rate; of several the one that was looked at last in its life. Null where nobody has looked at one.
 * @example seenLike({ rate: 0.01, seen: [] }, { rate: 0.02, gelled: null }) // null
 */
export function seenLike(
  { rate: usual, seen }: Pick<Colour, 'rate' | 'seen'>,
  { rate, gelled }: UsedColour,
): ColourSeen | null {
  const same = seen.filter((one) => one.gelled === gelled)
  const want = rate ?? usual
  const far = (one: ColourSeen) => (want ? apart(one.rate, want) : 0)
  const [best] = [...(same.length ? same : seen)].sort(
    (a, b) => far(a) - far(b) || b.day - a.day || b.on.localeCompare(a.on),
  )
  return best ?? null
}

/** One row of the ladder of a colourant: bars of one rate that gelled, or did not, from fresh to old. */
export interface SwatchRow {
  rate: number
  gelled: boolean
  seen: ColourSeen[]
}

/**
 * All that was seen of a colourant, a row for each rate and gel, the strongest first.
 * @example swatchRows([]) // []
 */
export function swatchRows(seen: readonly ColourSeen[]): SwatchRow[] {
  const rows = new Map<string, SwatchRow>()
  for (const one of [...seen].sort((a, b) => a.day - b.day)) {
    const key = `${one.rate} ${one.gelled}`
    const row = rows.get(key) ?? { rate: one.rate, gelled: one.gelled, seen: [] }
    row.seen.push(one)
    rows.set(key, row)
  }
  return [...rows.values()].sort((a, b) => b.rate - a.rate || Number(b.gelled) - Number(a.gelled))
}

/**
 * At which rates a colourant is in the pots of a formula: share of the oils of each pot that it is in, the strongest first.
 * @example ratesIn('rose-clay', computeFormula(example, shipped)) // []
 */
export function ratesIn(
  additiveId: string,
  result: Pick<FormulaResult, 'oils' | 'additives' | 'parts'>,
): number[] {
  const pots = result.parts.length ? result.parts.map((part) => part.result) : [result]
  return pots
    .flatMap(({ oils, additives }) => {
      const grams = sumOf(
        additives.filter(({ id }) => id === additiveId),
        (one) => one.grams,
      )
      return grams > 0 && oils > 0 ? [grams / oils] : []
    })
    .sort((a, b) => b - a)
}

/**
 * Ids of all extras of a formula, those of its pots among them.
 * @example [...extrasIn(example)] // []
 */
export const extrasIn = ({
  additives,
  parts,
}: Pick<FormulaDocument, 'additives' | 'parts'>): Set<string> =>
  new Set([...additives, ...parts.flatMap((part) => part.additives)].map(({ id }) => id))

/**
 * The rate of a colour by its cup on the scale before and after: what went in, less what it was stirred smooth in.
 * @param before g of the cup with the colour, and `after` it was used
 * @param parts g of carrier to a g of colour
 * @param oils g of oils in the pot
 * @returns share of the oils; null where nothing went in, or the pot has no oils
 * @example rateByCup({ before: 61.5, after: 43.5, parts: 2, oils: 600 }) // 0.01
 */
export function rateByCup(cup: {
  before: number
  after: number
  parts: number
  oils: number
}): number | null {
  const colour = (cup.before - cup.after) / (1 + cup.parts)
  return colour > 0 && cup.oils > 0 ? colour / cup.oils : null
}
