import { errorFunction } from 'simple-statistics'

/**
 * Share of a standard normal distribution that lies below a value, to 1e-7.
 * @example normalShare(0) // 0.5
 */
export const normalShare = (value: number): number => (1 + errorFunction(value / Math.SQRT2)) / 2
