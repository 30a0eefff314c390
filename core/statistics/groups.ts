import type { RandomSource } from './randomSource'
import { median } from './quantile'
import { mean, sum } from './sum'

/*
 * Two small groups of numbers held against each other, without a word about how they are spread: the middle of all differences, what
 * chance alone would do, and between what the true difference lies.
 */

/** By how much one group lies above another. */
export interface Shift {
  /** The middle of all differences, each of the one group less each of the other (Hodges and Lehmann). */
  at: number
  /** Between what it lies nine times in ten, by inverting the permutation test; null where the groups are too small for that. */
  band: { low: number; high: number } | null
  /** Of so many ways to deal the numbers out by chance, so many part the means at least this far. */
  chance: { times: number; ways: number; drawn: boolean }
}

/** Share of ways that may lie beyond either end of the band. */
const beyond = 0.05
/** Ways up to which all are gone through; of more, so many are drawn. */
const allWays = 60_000
const drawnWays = 20_000
/** Numbers that are dealt out in all: of very large groups fewer ways are drawn, two thousand at least. */
const dealtInAll = 6_000_000
/** Differences up to which all are written down. */
const allDifferences = 200_000
const hair = 1e-9

/**
 * In how many ways so many can be chosen out of all.
 * @example waysToChoose(11, 5) // 462
 */
export function waysToChoose(all: number, some: number): number {
  let ways = 1
  for (let one = 1; one <= Math.min(some, all - some); one++)
    ways = (ways * (all - Math.min(some, all - some) + one)) / one
  return Math.round(ways)
}

/** Every way to choose `some` places of `all`, the first of them the places as they are. */
function* choices(all: number, some: number): Generator<readonly number[]> {
  const places = Array.from({ length: some }, (_, place) => place)
  for (;;) {
    yield places
    let last = some - 1
    while (last >= 0 && places[last] === all - some + last) last--
    if (last < 0) return
    places[last]!++
    for (let next = last + 1; next < some; next++) places[next] = places[next - 1]! + 1
  }
}

function* drawn(all: number, some: number, random: RandomSource): Generator<readonly number[]> {
  const places = Array.from({ length: all }, (_, place) => place)
  const count = Math.max(2000, Math.min(drawnWays, Math.floor(dealtInAll / some)))
  for (let way = 0; way < count; way++) {
    for (let place = 0; place < some; place++) {
      const other = place + Math.floor(random.uniform() * (all - place))
      ;[places[place], places[other]] = [places[other]!, places[place]!]
    }
    yield places.slice(0, some)
  }
}

/** The middle of all differences of two groups: of very many by halving, to the last digit that counts. */
function middleDifference(one: readonly number[], other: readonly number[]): number {
  if (one.length * other.length <= allDifferences)
    return median(one.flatMap((value) => other.map((beside) => value - beside)))
  const [a, b] = [Float64Array.from(one).sort(), Float64Array.from(other).sort()]
  const half = (one.length * other.length) / 2
  /** How many differences are below a value. */
  const below = (value: number) => {
    let count = 0
    let from = 0
    for (const larger of a) {
      while (from < b.length && larger - b[from]! >= value) from++
      count += b.length - from
    }
    return count
  }
  let [low, high] = [a[0]! - b.at(-1)!, a.at(-1)! - b[0]!]
  for (let step = 0; step < 60 && high - low > 1e-12; step++) {
    const middle = (low + high) / 2
    if (below(middle) < half) low = middle
    else high = middle
  }
  return Math.round(((low + high) / 2) * 1e9) / 1e9
}

/**
 * By how much one group lies above another. With a band of nine in ten only where each group has three at least and the ways to deal
 * them out are twenty or more. Small groups are gone through exactly; of large ones 20,000 ways are drawn.
 * @param one numbers of the first group, one at least, and of the other
 * @param random for groups with more than 60,000 ways
 * @example shiftOf([3, 3, 4, 2, 3], [1, 2, 1, 2, 1, 2], random)
 *   // { at: 1.5, band: { low: 1, high: 2 }, chance: { times: 4, ways: 462, drawn: false } }
 */
export function shiftOf(
  one: readonly number[],
  other: readonly number[],
  random: RandomSource,
): Shift {
  const at = middleDifference(one, other)
  const both = [...one, ...other]
  const all = sum(both)
  const apart = (chosen: number) => chosen / one.length - (all - chosen) / other.length
  const seen = Math.abs(mean(one) - mean(other))
  const ways = waysToChoose(both.length, one.length)
  const isDrawn = ways > allWays
  let times = 0
  let counted = 0
  /** The shift at which each other way to deal them out parts the groups as far as they are parted. */
  const turning: number[] = []
  const own = sum(one)
  for (const places of isDrawn
    ? drawn(both.length, one.length, random)
    : choices(both.length, one.length)) {
    counted++
    let chosen = 0
    let swapped = 0
    for (const place of places) {
      chosen += both[place]!
      if (place >= one.length) swapped++
    }
    if (Math.abs(apart(chosen)) >= seen - hair) times++
    if (swapped) turning.push((own - chosen) / swapped)
  }
  // Of ways that were drawn, the one that was seen is one more.
  const chance = { times: times + Number(isDrawn), ways: counted + Number(isDrawn), drawn: isDrawn }
  const outside = Math.floor(beyond * chance.ways + hair)
  const sorted = Float64Array.from(turning).sort()
  const band =
    one.length < 3 || other.length < 3 || outside < 1
      ? null
      : { low: sorted[outside - 1]!, high: sorted[sorted.length - outside]! }
  return { at, band, chance }
}

/** Two-sided 90 % of the normal distribution. */
const z90 = 1.6448536269514722

/**
 * Between what a share lies nine times in ten, by Wilson's score.
 * @param times how often, of how many, 1 at least
 * @example shareBand(7, 9) // { low: 0.503643, high: 0.923505 }
 */
export function shareBand(times: number, of: number): { low: number; high: number } {
  const share = times / of
  const square = z90 ** 2
  const middle = (share + square / (2 * of)) / (1 + square / of)
  const half =
    (z90 * Math.sqrt((share * (1 - share)) / of + square / (4 * of * of))) / (1 + square / of)
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) }
}

/**
 * By how much a share lies above another, and between what nine times in ten, by Newcombe's way of two Wilson bands.
 * @example shareApart({ times: 4, of: 5 }, { times: 1, of: 6 })
 *   // { at: 0.633333, low: 0.137612, high: 0.833971 }
 */
export function shareApart(
  one: { times: number; of: number },
  other: { times: number; of: number },
): { at: number; low: number; high: number } {
  const [a, b] = [one.times / one.of, other.times / other.of]
  const [bandA, bandB] = [shareBand(one.times, one.of), shareBand(other.times, other.of)]
  return {
    at: a - b,
    low: a - b - Math.hypot(a - bandA.low, bandB.high - b),
    high: a - b + Math.hypot(bandA.high - a, b - bandB.low),
  }
}
