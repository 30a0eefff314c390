import { sum } from '../statistics/sum'

/** Spare batter that sticks to bowl and spoon. */
const spare = 1.08
/** Points of rate that a pot may be off before it is marked. */
const most = 0.002

/**
 * Scent that goes into a pot, g.
 * @param batter without scent, really in the pot, g
 * @param oilShare of that batter, 0–1
 * @param rate of the oils, 0–1
 * @example doseFor(55, 0.7, 0.04) // 1.54
 */
export const doseFor = (batter: number, oilShare: number, rate: number): number =>
  batter * oilShare * rate

/**
 * The rate that two weights come to, as a share of the oils; 0 where there are no oils.
 * @example rateOf({ batter: 55, scent: 1.62 }, 0.7) // 0.0420779
 */
export const rateOf = (
  { batter, scent }: { batter: number; scent: number },
  oilShare: number,
): number => (batter * oilShare > 0 ? scent / (batter * oilShare) : 0)

/**
 * Whether a pot's rate is off: by more than 0.2 points, or by more than its scale can tell. It is marked, not thrown away.
 * @param step of the scale, g
 * @example isOff({ batter: 55, scent: 1.62 }, { oilShare: 0.7, rate: 0.04, step: 0.01 }) // true
 */
export function isOff(
  pot: { batter: number; scent: number },
  { oilShare, rate, step }: { oilShare: number; rate: number; step: number },
): boolean {
  const oils = pot.batter * oilShare
  if (oils <= 0) return pot.scent > 0
  // Two readings, each to half a step: what lies within them the scale cannot tell from right.
  const tells = step / oils
  return Math.abs(rateOf(pot, oilShare) - rate) > Math.max(most, tells) + 1e-9
}

/**
 * Coarsest step of a scale that still tells a pot that is off, g.
 * @example stepFor(55, 0.7) // 0.077
 */
export const stepFor = (batter: number, oilShare: number): number => batter * oilShare * most

/**
 * Batter to make for some pots, without scent, g: what goes into them and what sticks to bowl and spoon.
 * @param pots g of batter in each
 * @example batterFor([60, 60, 60]) // 194.4
 */
export const batterFor = (pots: readonly number[]): number => sum(pots) * spare
