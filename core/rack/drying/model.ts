import type { BatchFacts, DryingShape } from '#contracts/batch'
import { mean } from '../../statistics/sum'

/*
 * How a bar dries: m(t) = M·[1 − L·g(t)], t in days since the pour, M the bar's mass at the pour, L the share of it that is lost in
 * the end. g rises from 0 to 1 as 1 − 2^−(u^β), u the time in halves of the loss: a stretched exponential, whose stretch β goes from
 * an early to a late one, for how a bar begins to dry tells little of how it ends; and some bars have a slow second
 * stage. What lists need of drying; the fit stands in
 * fit.ts.
 */

/** Humidity that the usual pace belongs to: half saturated. */
const usualHumidity = 0.5
/**
 * Pace of drying in air of a humidity (0–0.95), relative to the usual one.
 * @example paceIn(0.8) // 0.4
 */
export const paceIn = (humidity: number): number =>
  (1 - Math.min(0.95, humidity)) / (1 - usualHumidity)

/** g by which a reading strays. */
export const weighNoise = 0.2
/** Loss still to come at which a bar counts as dry, as a share of its mass at the pour. */
export const dryAt = 0.01

/** What is left after so many halvings. */
const halved = (times: number) => Math.exp(-Math.LN2 * times)

/**
 * Share of the whole loss that has gone after so many days, 0–1.
 * @example goneAfter(shape, 10) // 0.5
 */
export function goneAfter(shape: DryingShape, day: number): number {
  if (day <= 0) return 0
  const halves = day / shape.halfDays
  const stretch = shape.late + (shape.early - shape.late) / (1 + halves)
  // Powers by logarithms: a fit asks this a hundred thousand times.
  const first = 1 - halved(Math.exp(stretch * Math.log(halves)))
  return shape.slowShare > 0
    ? first + (1 - halved(day / shape.slowHalfDays) - first) * shape.slowShare
    : first
}

/**
 * Share of the mass at the pour that is left after so many days.
 * @example leftAfter(shape, 10) // 0.92
 */
export const leftAfter = (shape: DryingShape, day: number): number =>
  1 - shape.loss * goneAfter(shape, day)

/** Days beyond which nobody waits. */
const never = 3000

/**
 * Days after the pour at which the loss still to come is a hundredth of the mass; 0 for what was that dry at once.
 * @example dryDay(shape) // 39.9805
 */
export function dryDay(shape: DryingShape, toCome = dryAt): number {
  const wanted = 1 - toCome / shape.loss
  if (shape.loss <= toCome) return 0
  let low = 0
  let high = 4 * shape.halfDays
  while (goneAfter(shape, high) < wanted && high < never) high *= 2
  while (high - low > 0.05) {
    const middle = (low + high) / 2
    if (goneAfter(shape, middle) < wanted) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * g of the marked bars when they were last weighed, their mean, and the share lost since the pour; null before that.
 * @example lastWeighed({ weighed: [{ grams: 100 }], drying: { grams: 110 } }).lost // 0.0909091
 */
export function lastWeighed({
  weighed,
  drying,
}: Pick<BatchFacts, 'weighed' | 'drying'>): { mean: number; lost: number } | null {
  if (!weighed.length || !drying) return null
  const middle = mean(weighed.map(({ grams }) => grams))
  return { mean: middle, lost: 1 - middle / drying.grams }
}
