/**
 * The nearest value between two bounds, both included.
 * @param low at most `high`
 * @example clamp(1.4, 0, 1) // 1
 */
export const clamp = (value: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, value))
