/**
 * The value below which a share of sorted values lies, between neighbours linearly; at 0.5 the median.
 * @param sorted ascending, one value at least
 * @param share 0–1
 * @example quantile([1, 2, 4], 0.75) // 3
 */
export function quantile(sorted: ArrayLike<number>, share: number): number {
  const place = (sorted.length - 1) * share
  const below = Math.floor(place)
  const next = sorted[Math.min(below + 1, sorted.length - 1)]!
  return sorted[below]! + (next - sorted[below]!) * (place - below)
}

/**
 * The middle of values in any order; NaN of none.
 * @example median([3, 1, 2]) // 2
 */
export const median = (values: Iterable<number>): number =>
  quantile(Float64Array.from(values).sort(), 0.5)
