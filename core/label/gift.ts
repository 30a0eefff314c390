import { sumOf } from '../statistics/sum'

/**
 * Money of a box shared among its batches by their bars, in whole coins that sum to it; null where there is none.
 * @param bars of each batch in a box
 * @example sharedOut(1000, [1, 1, 1]) // [334, 333, 333]
 */
export function sharedOut(total: number | null, bars: readonly number[]): (number | null)[] {
  const all = sumOf(bars, (count) => count)
  if (total === null || all <= 0) return bars.map(() => null)
  let given = 0
  let seen = 0
  return bars.map((count) => {
    seen += count
    const upTo = Math.ceil((total * seen) / all - 1e-9)
    const own = Math.min(total, upTo) - given
    given += own
    return own
  })
}
