import type { Effect } from '#contracts/scent'
import type { Reading } from '#contracts/trial'
import type { PaceWord } from '#contracts/trialWords'
import { clamp } from '../statistics/clamp'
import { normalShare } from '../statistics/normal'
import { sum, sumOf } from '../statistics/sum'

/*
 * What a scent does to the time a batter leaves: b, the logarithm of its time over that of the plain batter. What the supplier says
 * is where it begins, what was tried is what it learns from (docs/science.md, scent trials).
 */

/** ln of what a supplier's word usually means, and how far from it scents stray (judgement from makers' reports). */
const said: Record<PaceWord, number> = { hurries: -0.9, behaves: 0, slows: 0.3 }
const nothingSaid = -0.15
const saidSd = 0.6
/** How far two pots of the same scent in the same batter lie apart, as ln (judgement: a look every minute or so, and the stirring). */
const readingSd = 0.25
/** A mark that somebody was not sure of, and a trial at another water, say half as much. */
const doubtful = 2
/** Water : lye within which two batters count as the same water. */
export const sameWater = 0.1
/** Bounds of how far an effect follows the rate. */
const [leastScale, mostScale] = [0.3, 1.5]
/** Points of the grid, and how far it reaches, where something is known only to be longer. */
const points = 200
const reach = 4
/** Standard normal deviate of a 90 % range. */
const z90 = 1.6448536

/**
 * An effect by its logarithm and that one's standard deviation.
 * @example effectFrom(-1.1328, 0.1696, 2).from // 0.243712
 */
export const effectFrom = (
  b: number,
  sd: number,
  pots: number,
  word: PaceWord | null = null,
): Effect => ({
  b,
  sd,
  factor: Math.exp(b),
  from: Math.exp(b - z90 * sd),
  to: Math.exp(b + z90 * sd),
  pots,
  rests: pots > 0 ? 'own' : word ? 'word' : 'nothing',
})

/** Readings at the water nearest to where it is to be used, scaled to its rate, each with its own spread. */
function used(readings: readonly Reading[], at: { rate: number; ratio: number } | null) {
  const nearest = at ? Math.min(...readings.map(({ ratio }) => Math.abs(ratio - at.ratio))) : 0
  return readings
    .filter(({ ratio }) => !at || Math.abs(ratio - at.ratio) <= nearest + sameWater)
    .map(({ d, is, unsure, rate, ratio }) => ({
      d: at && rate > 0 ? d * clamp(at.rate / rate, leastScale, mostScale) : d,
      is,
      sd:
        readingSd *
        (unsure ? doubtful : 1) *
        (at && Math.abs(ratio - at.ratio) > sameWater ? doubtful : 1),
    }))
}

/**
 * What a scent does to the time a batter leaves. Repeats that agree narrow its band, repeats that do not widen it.
 * @param word of its supplier
 * @param readings one for each pot it was tried in
 * @param at rate of the oils and water : lye where it is to be used; null for as it was tried
 * @example
 * effectOf(null, [
 *   { d: Math.log(10 / 40), is: 'seen', unsure: false, rate: 0.05, ratio: 2.14 },
 *   { d: Math.log(14 / 40), is: 'seen', unsure: false, rate: 0.05, ratio: 2.14 },
 * ], null).factor // 0.322146
 */
export function effectOf(
  word: PaceWord | null,
  readings: readonly Reading[],
  at: { rate: number; ratio: number } | null = null,
): Effect {
  const prior = word ? said[word] : nothingSaid
  const known = used(readings, at)
  const seen = known.filter(({ is }) => is === 'seen')
  const precision = 1 / saidSd ** 2 + sumOf(seen, ({ sd }) => sd ** -2)
  const b = (prior / saidSd ** 2 + sumOf(seen, ({ d, sd }) => d / sd ** 2)) / precision
  const middle = seen.length
    ? sumOf(seen, ({ d, sd }) => d / sd ** 2) / sumOf(seen, ({ sd }) => sd ** -2)
    : 0
  const strays =
    seen.length > 1
      ? Math.sqrt(sumOf(seen, ({ d, sd }) => ((d - middle) / sd) ** 2) / (seen.length - 1))
      : 1
  const sd = precision ** -0.5 * Math.max(1, strays)
  const bounds = known.filter(({ is }) => is !== 'seen')
  if (!bounds.length) return effectFrom(b, sd, known.length, word)

  // "Longer than" has no closed form: what was seen so far, weighed by how likely each bound is, on a grid.
  const low = Math.min(b, ...bounds.map(({ d }) => d)) - reach * sd
  const high = Math.max(b, ...bounds.map(({ d }) => d)) + reach * sd
  const grid = Array.from({ length: points }, (_, at) => low + ((high - low) * at) / (points - 1))
  const weights = grid.map((value) =>
    bounds.reduce(
      (weight, bound) => {
        const above = normalShare((value - bound.d) / bound.sd)
        return weight * (bound.is === 'atLeast' ? above : 1 - above)
      },
      Math.exp(-(((value - b) / sd) ** 2) / 2),
    ),
  )
  const all = sum(weights)
  const mean = sumOf(grid, (value, at) => value * weights[at]!) / all
  const spread = Math.sqrt(sumOf(grid, (value, at) => (value - mean) ** 2 * weights[at]!) / all)
  return effectFrom(mean, spread, known.length, word)
}
