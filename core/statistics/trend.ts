import { median } from './quantile'
import { normalShare } from './normal'

/* How one number goes with another, by the middle of all slopes (Theil and Sen), which no single odd one can pull away. */

export interface Trend {
  /** Of the second number for one more of the first. */
  slope: number
  /** The second number where the first is 0, so that half the points lie above the line. */
  from: number
  /** Between what the slope lies nine times in ten; null below four points. */
  band: { low: number; high: number } | null
  /** How often chance alone would order the points so far, 0–1. */
  p: number
}

const beyond = 0.05
/** Points up to which the ways to order them are counted exactly. */
const exactUpTo = 60

/** Shares of the orders of so many points that have 0, 1, 2 … pairs the wrong way round. */
function wrongPairs(points: number): number[] {
  let shares = [1]
  for (let size = 2; size <= points; size++) {
    const next = new Array<number>((size * (size - 1)) / 2 + 1).fill(0)
    shares.forEach((share, wrong) => {
      for (let more = 0; more < size; more++) next[wrong + more]! += share / size
    })
    shares = next
  }
  return shares
}

/** How often the same number stands there, of each that stands there more than once. */
function ties(numbers: readonly number[]): number[] {
  const times = new Map<number, number>()
  for (const number of numbers) times.set(number, (times.get(number) ?? 0) + 1)
  return [...times.values()].filter((count) => count > 1)
}
/** The spread of pairs in order less pairs in disorder, by chance alone (Kendall). */
function spreadOf(xs: readonly number[], ys: readonly number[]): number {
  const n = xs.length
  const of = (count: number) => count * (count - 1) * (2 * count + 5)
  const all = (numbers: readonly number[]) =>
    ties(numbers).reduce((sum, count) => sum + of(count), 0)
  return Math.sqrt(Math.max(1e-9, (of(n) - all(xs) - all(ys)) / 18))
}

/** Points up to which all pairs are looked at; of more, so many, evenly along the first number. */
const allPairs = 700
function evenly(points: readonly (readonly [number, number])[]) {
  if (points.length <= allPairs) return points
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const step = (sorted.length - 1) / (allPairs - 1)
  return Array.from({ length: allPairs }, (_, nth) => sorted[Math.round(nth * step)]!)
}

/**
 * How the second number of points goes with the first. Null where fewer than two differ in the first. Of more than 700 points 700 are
 * taken, evenly along the first number.
 * @example trendOf([[1, 2], [2, 4.1], [3, 6], [4, 7.9]])
 *   // { slope: 1.93333, from: 0.183333, band: { low: 1.9, high: 2.1 }, p: 0.0833333 }
 */
export function trendOf(all: readonly (readonly [number, number])[]): Trend | null {
  const points = evenly(all)
  const slopes: number[] = []
  let order = 0
  for (const [place, [x, y]] of points.entries())
    for (const [otherX, otherY] of points.slice(place + 1)) {
      if (otherX === x) continue
      slopes.push((otherY - y) / (otherX - x))
      order += Math.sign(otherX - x) * Math.sign(otherY - y)
    }
  if (!slopes.length) return null
  slopes.sort((a, b) => a - b)
  const slope = median(slopes)
  const from = median(points.map(([x, y]) => y - slope * x))
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const isExact = points.length <= exactUpTo && !ties(xs).length
  const spread = spreadOf(xs, ys)
  // How many of the smallest slopes may lie outside.
  let outside = 0
  let p: number
  if (isExact) {
    const shares = wrongPairs(points.length)
    let below = 0
    while (below + shares[outside]! <= beyond) below += shares[outside++]!
    const far = Math.abs(order)
    const pairs = slopes.length
    p = shares.reduce(
      (sum, share, wrong) => (Math.abs(pairs - 2 * wrong) >= far ? sum + share : sum),
      0,
    )
  } else {
    outside = Math.max(0, Math.floor((slopes.length - 1.6448536 * spread) / 2))
    p = 2 * (1 - normalShare(Math.max(0, Math.abs(order) - 1) / spread))
  }
  const band =
    points.length < 4 || outside < 1
      ? null
      : { low: slopes[outside - 1]!, high: slopes[slopes.length - outside]! }
  return { slope, from, band, p: Math.min(1, p) }
}
