import type { RandomSource } from './randomSource'

/** How a posterior is drawn from: points to begin with, chains, their rounds, and the rounds of which each chain is kept. */
export interface SamplingEffort {
  first: number
  chains: number
  rounds: number
  kept: number
}

/** Chains of all that begin at different points, at least. */
const apart = 0.5
/** How often a chain jumps by the whole way between two others, and how often one parameter is drawn anew from the prior. */
const leaps = 0.1
const anew = 0.15
/** A hair by which every jump strays, so that chains never only walk between each other's places. */
const stray = 1e-3

type LogFit = (point: readonly number[]) => number

const logPrior = (point: readonly number[]): number => {
  let squares = 0
  for (const value of point) squares += value * value
  return -squares / 2
}

/** Weights that sum to 1, from their logarithms. */
function normalised(logs: readonly number[]): number[] {
  let most = -Infinity
  for (const log of logs) if (log > most) most = log
  const weights = logs.map((log) => (most === -Infinity ? 1 : Math.exp(log - most)))
  let all = 0
  for (const weight of weights) all += weight
  return weights.map((weight) => weight / all)
}
/** How many points of equal weight these are worth. */
function effectiveOf(weights: readonly number[]): number {
  let squares = 0
  for (const weight of weights) squares += weight * weight
  return 1 / squares
}

/** As many points as wanted, each as often as its weight says. */
function resampled<T>(
  items: readonly T[],
  weights: readonly number[],
  count: number,
  begin: number,
): T[] {
  const chosen: T[] = []
  let reached = weights[0]!
  let at = 0
  for (let one = 0; one < count; one++) {
    const wanted = (one + begin) / count
    while (reached < wanted && at < items.length - 1) reached += weights[++at]!
    chosen.push(items[at]!)
  }
  return chosen
}

interface Place {
  point: number[]
  fit: number
}

/** Where the chains begin: points of the prior that explain what was seen, believed so little that many different ones do. */
function beginnings(
  size: number,
  fits: LogFit,
  random: RandomSource,
  { first, chains }: SamplingEffort,
): Place[] {
  const drawn = Array.from({ length: first }, (): Place => {
    const point = Array.from({ length: size }, () => random.normal())
    return { point, fit: fits(point) }
  }).filter(({ fit }) => fit > -Infinity)
  if (!drawn.length) throw new Error('Nothing that was drawn is possible.')
  const weightsAt = (belief: number) => normalised(drawn.map(({ fit }) => belief * fit))
  let [low, high] = [0, 1]
  if (effectiveOf(weightsAt(1)) >= apart * chains) low = 1
  else
    for (let step = 0; step < 20; step++) {
      const middle = (low + high) / 2
      if (effectiveOf(weightsAt(middle)) >= apart * chains) low = middle
      else high = middle
    }
  return resampled(drawn, weightsAt(low), chains, random.uniform())
}

/**
 * Draws from a posterior by an ensemble of Metropolis chains that jump along the differences between each other (differential
 * evolution), so that no shape and no scale is assumed of it. The same random source gives the same points, each of equal weight.
 *
 * Parameters are in units in which the prior is a standard normal, each by itself.
 * @param size how many parameters, 1 or more
 * @param fits log of how well a point explains what was seen; -Infinity where it cannot be
 * @throws {Error} when no point of the prior is possible
 * @example
 * samplePosterior(1, ([z]) => -((z - 1) ** 2) / 0.02, random, effort).every(([z]) => z > 0.4 && z < 1.6)
 * // true
 */
export function samplePosterior(
  size: number,
  fits: LogFit,
  random: RandomSource,
  effort: SamplingEffort,
): number[][] {
  const { chains, rounds, kept } = effort
  const places = beginnings(size, fits, random, effort)
  const usual = 2.38 / Math.sqrt(2 * size)
  const pick = () => Math.floor(random.uniform() * chains)
  const points: number[][] = []
  // The last rounds that are kept lie as far apart as the second half of all allows.
  const every = Math.max(1, Math.floor(rounds / 2 / kept))
  for (let round = rounds; round > 0; round--) {
    for (let chain = 0; chain < chains; chain++) {
      const { point, fit } = places[chain]!
      const next = point.slice()
      let prior = 0
      if (random.uniform() < anew) {
        // Drawn from the prior itself: only the fit has a say in whether it is taken.
        next[Math.floor(random.uniform() * size)] = random.normal()
      } else {
        const jump = random.uniform() < leaps ? 1 : usual
        const from = places[pick()]!.point
        const to = places[pick()]!.point
        for (let at = 0; at < size; at++)
          next[at] = point[at]! + jump * (to[at]! - from[at]!) + stray * random.normal()
        prior = logPrior(next) - logPrior(point)
      }
      const fitNext = fits(next)
      if (Math.log(random.uniform()) < fitNext - fit + prior)
        places[chain] = { point: next, fit: fitNext }
    }
    if ((round - 1) % every === 0 && (round - 1) / every < kept)
      for (const { point } of places) points.push(point)
  }
  return points
}
