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

/** Grams between which a bar is looked for, and the likeliest; `low` is 0 where nothing is known of how it dries. */
export interface LookedFor {
  low: number
  likely: number
  high: number
}

/**
 * Whether a weight lies where a bar is looked for.
 * @example isWithin({ low: 118, likely: 120, high: 122 }, 118) // true
 */
export const isWithin = ({ low, high }: LookedFor, grams: number): boolean =>
  grams >= low && grams <= high

/**
 * What a bar should weigh on a day, from its last weight and from how its batch dries; null where neither is known.
 * @example lookedFor(cut.facts, 1, '2026-03-08').likely // 115.556
 */
export function lookedFor(
  { drying, weighed, weighedOn, pouredOn }: BatchFacts,
  bar: number,
  day: Day,
): LookedFor | null {
  const last = weighed.find((one) => one.bar === bar)
  const left = (on: Day) =>
    drying && pouredOn ? leftAfter(drying.shape, daysBetween(pouredOn, on)) : null
  const now = left(day)
  if (last && weighedOn) {
    const then = left(weighedOn)
    const toLose = now !== null && then ? Math.max(0, 1 - now / then) : 0
    return {
      low: now === null ? 0 : last.grams * (1 - losesTimes * toLose - losesMore) - 2 * weighNoise,
      likely: last.grams * (1 - toLose),
      high: last.grams * (1 + gains) + 2 * weighNoise,
    }
  }
  if (now === null) return null
  const likely = drying!.grams * now
  return { low: likely * (1 - firstStrays), likely, high: likely * (1 + firstStrays) }
}

/**
 * What is odd about a weight, as a question; null when it is as it should be: a slip of the hand goes both ways. Odd weights are
 * asked about, never refused and never dropped: bars do take up water in a damp week.
 * @example oddWeight(cut.facts, 1, 200, '2026-03-08', say) // 'About 115.6 g was to be expected.'
 */
export function oddWeight(
  facts: BatchFacts,
  bar: number,
  grams: number,
  day: Day,
  say: Formatter,
): string | null {
  const looked = lookedFor(facts, bar, day)
  if (!looked || isWithin(looked, grams)) return null
  const last = facts.weighedOn ? facts.weighed.find((one) => one.bar === bar) : undefined
  if (!last) return `About ${say.mass(looked.likely)} was to be expected.`
  return grams > looked.high
    ? `Heavier than last time (${say.mass(last.grams)}). Is it the right bar?`
    : `Much lighter than last time (${say.mass(last.grams)}): about ${say.mass(looked.likely)} was to be expected. Is it the right bar?`
}

/**
 * The other marked bar that a weight is of, where exactly one fits: bars get mixed up along a plank.
 * @param others marked bars that are not weighed yet
 * @example mixedUpWith(cut.facts, 115, '2026-03-08', [2]) // 2
 */
export function mixedUpWith(
  facts: BatchFacts,
  grams: number,
  day: Day,
  others: readonly number[],
): number | null {
  const fits = others.filter((bar) => {
    const looked = lookedFor(facts, bar, day)
    return looked !== null && isWithin(looked, grams)
  })
  return fits.length === 1 ? fits[0]! : null
}
