import type { BatchFacts } from '#contracts/batch'
import { gramsPer } from '../units/measures'
import type { UnitSystem } from '../units/formatter'
import { mean } from '../statistics/sum'

/*
 * How a bar dries: m(t) = M·[1 − L·(1 − e^(−kt))], t in days since the pour, M the bar's mass at the pour. L is the share of it
 * that is lost in the end, k how fast. What lists need of drying; the fit stands in drying.ts.
 */

/** Humidity that the usual pace belongs to: half saturated. */
const usualHumidity = 0.5
/** Pace of drying in air of a humidity (0–0.95), relative to the usual one. */
export const paceIn = (humidity: number): number =>
  (1 - Math.min(0.95, humidity)) / (1 - usualHumidity)

/** g by which a reading strays. */
export const weighNoise = 0.2
/** Loss still to come at which a bar counts as dry, as a share of its mass at the pour. */
const dryAt = 0.01

/** Share of the mass at the pour that is left after so many days. */
export const leftAfter = (drying: { loss: number; perDay: number }, day: number): number =>
  1 - drying.loss * (1 - Math.exp(-drying.perDay * day))

/** Days after the pour at which the loss still to come is a hundredth of the mass; 0 for what was that dry at once. */
export const dryDay = ({ loss, perDay }: { loss: number; perDay: number }): number =>
  loss <= dryAt ? 0 : Math.log(loss / dryAt) / perDay

/** g of the marked bars when they were last weighed, their mean, and the share lost since the pour; null before that. */
export function lastWeighed({
  weighed,
  drying,
}: Pick<BatchFacts, 'weighed' | 'drying'>): { mean: number; lost: number } | null {
  if (!weighed.length || !drying) return null
  const middle = mean(weighed.map(({ grams }) => grams))
  return { mean: middle, lost: 1 - middle / drying.grams }
}

/** The net weight in g that a label may state: rounded down, to whole grams or to tenths of an ounce. */
export function labelGrams(netGrams: number, system: UnitSystem): number {
  const step = system === 'metric' ? 1 : gramsPer.oz / 10
  return Math.floor(netGrams / step + 1e-9) * step
}
