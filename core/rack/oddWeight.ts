import type { BatchFacts } from '#contracts/batch'
import type { Formatter } from '../units/formatter'
import { daysBetween, type Day } from '../units/days'
import { leftAfter, weighNoise } from './dryingModel'

/** Share by which a reading may stray from what is to be expected before it is asked about. */
const strays = 0.08
/** Share that a bar may seem to gain: a damp week, a draught on the scale. */
const gains = 0.004

/**
 * What is odd about a weight, as a question; null when it is as it should be. Odd weights are asked about, never refused and
 * never dropped: bars do take up water in a damp week.
 */
export function oddWeight(
  { drying, weighed, pouredOn }: BatchFacts,
  bar: number,
  grams: number,
  day: Day,
  say: Formatter,
): string | null {
  const last = weighed.find((one) => one.bar === bar)
  if (last && grams > last.grams * (1 + gains) + 2 * weighNoise)
    return `Heavier than last time (${say.mass(last.grams)}). Is it the right bar?`
  if (!drying || !pouredOn) return null
  const expected = last
    ? last.grams
    : drying.grams * leftAfter(drying.shape, daysBetween(pouredOn, day))
  if (Math.abs(grams / expected - 1) <= (last ? 1.5 : 2.5) * strays) return null
  return last
    ? `Far from last time (${say.mass(last.grams)}).`
    : `About ${say.mass(expected)} was to be expected.`
}
