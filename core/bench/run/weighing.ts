import type { Weighing } from '../plan/step'
import { roundTo } from '../../statistics/roundTo'

/*
 * Reading a scale. The bench tares by itself: a scale only has to say what stands on it. What is shown is what earlier scoops
 * brought and what has come on since.
 */

export interface ScaleReading {
  /** Milliseconds on the bench's clock. */
  at: number
  /** g on the pan, the vessel included. */
  grams: number
  /** What the scale itself says of it, where it does. */
  stable?: boolean
}

/** ms over which a reading must hold still. */
const steadyFor = 1000
/** ms after which a device that says nothing counts as lost. */
export const silentAfter = 2000

/**
 * Whether the last second of readings holds still, within a step and a half of the scale.
 * @example isSteady([0, 500, 1000].map((at) => ({ at, grams: 250 })), 1) // true
 */
export function isSteady(readings: ScaleReading[], scale: number): boolean {
  const last = readings.at(-1)
  if (!last || last.stable === false) return false
  const recent = readings.filter(({ at }) => at >= last.at - steadyFor)
  if (recent.length < 3 || last.at - recent[0]!.at < steadyFor * 0.6) return last.stable === true
  const grams = recent.map((reading) => reading.grams)
  return Math.max(...grams) - Math.min(...grams) <= scale * 1.5 + 1e-9
}

export type ScaleState = 'empty' | 'short' | 'in' | 'over'

export interface Shown {
  /** g in the vessel: earlier scoops and what lies on the scale now. */
  grams: number
  toGo: number
  standing: ScaleState
}

/**
 * What a weighing shows.
 * @param grams g in the vessel so far
 * @param target g wanted
 * @example standingAt(250.2, 250, 0.5).standing // 'in'
 */
export function standingAt(grams: number, target: number, tolerance: number): Shown {
  const toGo = target - grams
  const miss = 1e-6
  const standing =
    grams <= 0 && target > tolerance
      ? 'empty'
      : toGo > tolerance + miss
        ? 'short'
        : toGo < -tolerance - miss
          ? 'over'
          : 'in'
  return { grams, toGo, standing }
}

/**
 * The loads of something too heavy for the scale: as few as possible, all alike, in whole steps but for the last.
 * @example loadsOf(1200, 1000, 200, 1) // [600, 600]
 */
export function loadsOf(
  grams: number,
  scaleMax: number,
  vesselGrams: number,
  scale: number,
): number[] {
  const room = Math.max(scale, scaleMax * 0.95 - vesselGrams)
  const count = Math.max(1, Math.ceil(grams / room - 1e-9))
  const each = Math.round(grams / count / scale) * scale
  return Array.from({ length: count }, (_, index) =>
    index < count - 1 ? each : roundTo(grams - each * (count - 1)),
  )
}

/**
 * What is to be filled to next, of several loads, when so much is in already.
 * @example loadTarget([500, 500], 620) // { number: 2, target: 1000 }
 */
export function loadTarget(loads: number[], grams: number): { number: number; target: number } {
  let sum = 0
  for (const [index, load] of loads.entries()) {
    sum += load
    if (grams < sum - load * 0.02 || index === loads.length - 1)
      return { number: index + 1, target: sum }
  }
  return { number: 1, target: sum }
}

/**
 * Whether too much can be spooned back cleanly: it lies in a cup of its own.
 * @example comesOutClean({ alone: false, kind: 'fat' }) // false
 */
export const comesOutClean = ({ alone, kind }: Weighing): boolean => alone || kind === 'share'
