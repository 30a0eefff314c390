import type { RecipeLine } from './read'

export const sum = (numbers: number[]) => numbers.reduce((total, value) => total + value, 0)

/** A recipe in per cent is judged on 1000 g of oils. */
const assumedOils = 1000

/** Potash is never sold pure; this is usual. */
export const kohPurity = 0.9

/** What each line weighs, and the sums that a verdict needs. Grams. */
export function amounts(lines: RecipeLine[]) {
  const fats = lines.filter((line) => line.kind === 'fat')
  const byShare =
    fats.length > 0 && fats.every((line) => line.grams === null && line.share !== null)
  const grams = (line: RecipeLine) =>
    line.grams ?? (line.share === null ? null : byShare ? line.share * assumedOils : null)
  const oils = sum(fats.map((line) => grams(line) ?? 0))
  const of = (line: RecipeLine) => line.grams ?? (line.share === null ? 0 : line.share * oils)
  const weight = (kind: RecipeLine['kind']) =>
    sum(lines.filter((line) => line.kind === kind).map(of))
  return {
    fats: fats.map((line) => ({ line, grams: grams(line) ?? 0 })),
    byShare,
    oils,
    of,
    naoh: weight('naoh') + weight('lye'),
    koh: weight('koh'),
    water: weight('water'),
  }
}
