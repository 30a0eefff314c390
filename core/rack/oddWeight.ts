import type { BatchFacts } from '#contracts/batch'
import type { Formatter } from '../units/formatter'
import { daysBetween, type Day } from '../units/days'
import { leftAfter, weighNoise } from './drying/model'

/** Share by which a first reading may stray from what is to be expected before it is asked about. */
const firstStrays = 0.2
/** Share that a bar may seem to gain: a damp week, a draught on the scale. */
const gains = 0.004
/** How many times the loss to be expected, and what share beside it, a bar may lose before it is asked about. */
const losesTimes = 2
const losesMore = 0.012

/**
 * What is odd about a weight, as a question; null when it is as it should be: a slip of the hand goes both ways. Odd weights are
 * asked about, never refused and never dropped: bars do take up water in a damp week.
 * @example oddWeight(cut.facts, 1, 200, '2026-03-08', say) // 'About 115.6 g was to be expected.'
 */
export function oddWeight(
  { drying, weighed, weighedOn, pouredOn }: BatchFacts,
  bar: number,
  grams: number,
  day: Day,
  say: Formatter,
): string | null {
  const last = weighed.find((one) => one.bar === bar)
  if (last && grams > last.grams * (1 + gains) + 2 * weighNoise)
    return `Heavier than last time (${say.mass(last.grams)}). Is it the right bar?`
  if (!drying || !pouredOn) return null
  const left = (on: Day) => leftAfter(drying.shape, daysBetween(pouredOn, on))
  if (!last || !weighedOn) {
    const expected = drying.grams * left(day)
    return Math.abs(grams / expected - 1) > firstStrays
      ? `About ${say.mass(expected)} was to be expected.`
      : null
  }
  const toLose = Math.max(0, 1 - left(day) / left(weighedOn))
  return grams < last.grams * (1 - losesTimes * toLose - losesMore) - 2 * weighNoise
    ? `Much lighter than last time (${say.mass(last.grams)}): about ${say.mass(last.grams * (1 - toLose))} was to be expected. Is it the right bar?`
    : null
}
