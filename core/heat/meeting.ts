import type { RandomSource } from '../statistics/randomSource'
import { quantile } from '../statistics/quantile'
import { celsiusAt, celsiusBefore, iceBath, minuteAt, type CoolingFit, type Curve } from './cooling'

/** When lye and oils may be combined: each in its own window, and no further apart than that. */
export interface Window {
  lye: { low: number; high: number }
  oils: { low: number; high: number }
  apart: number
}

/** K to either side of the temperature that the formula names, and how far apart the vessels may be. */
export const windowHalf = 3
export const usuallyApart = 5

/**
 * The window of a method. A milk's guard cuts it off above; vessels that are meant to differ may.
 * @param guardC °C that neither may pass, or null
 * @example windowOf(40, 40, null) // { lye: { low: 37, high: 43 }, oils: { low: 37, high: 43 }, apart: 5 }
 */
export function windowOf(lyeC: number, oilsC: number, guardC: number | null): Window {
  const around = (celsius: number) => {
    const high = Math.min(celsius + windowHalf, guardC ?? Infinity)
    return { low: Math.min(celsius, high) - windowHalf, high }
  }
  return {
    lye: around(lyeC),
    oils: around(oilsC),
    apart: Math.max(usuallyApart, Math.abs(lyeC - oilsC) + 2),
  }
}

/**
 * Whether a temperature lies in a window, its ends included. °C.
 * @example isIn({ low: 35, high: 45 }, 40) // true
 */
export const isIn = ({ low, high }: { low: number; high: number }, celsius: number): boolean =>
  celsius >= low && celsius <= high

/**
 * Whether two temperatures may meet.
 * @example mayCombine(windowOf(40, 40, null), 41, 35) // false
 */
export const mayCombine = (window: Window, lyeC: number, oilsC: number): boolean =>
  isIn(window.lye, lyeC) && isIn(window.oils, oilsC) && Math.abs(lyeC - oilsC) <= window.apart

/** The minutes at which a curve is between two temperatures, from `now` on; null when it never is. */
function stay(curve: Curve, { low, high }: { low: number; high: number }, now: number) {
  const reaches = (celsius: number) => minuteAt(curve, celsius)
  const here = celsiusAt(curve, now)
  const falls = curve.startC > curve.roomC
  const entry = falls ? high : low
  const exit = falls ? low : high
  const beyond = falls ? here < low : here > high
  if (beyond) return null
  const begins = (falls ? here <= high : here >= low) ? now : reaches(entry)
  const staysFor = falls ? curve.roomC >= exit : curve.roomC <= exit
  const ends = staysFor ? Infinity : reaches(exit)
  return Number.isFinite(begins) ? { begins: Math.max(now, begins), ends } : null
}

/**
 * The first minute at which two curves may be combined; null when there is none.
 * @example meetingOf(curve, { ...curve, startC: 55 }, window, 0) // 39.9254
 */
export function meetingOf(lye: Curve, oils: Curve, window: Window, now: number): number | null {
  const a = stay(lye, window.lye, now)
  const b = stay(oils, window.oils, now)
  if (!a || !b) return null
  const begins = Math.max(a.begins, b.begins)
  const ends = Math.min(a.ends, b.ends, begins + 24 * 60)
  if (begins > ends) return null
  const apart = (minutes: number) =>
    Math.abs(celsiusAt(lye, minutes) - celsiusAt(oils, minutes)) - window.apart
  if (apart(begins) <= 0) return begins
  const steps = 120
  for (let step = 1; step <= steps; step++) {
    const at = begins + ((ends - begins) * step) / steps
    if (apart(at) > 0) continue
    let [low, high] = [at - (ends - begins) / steps, at]
    while (high - low > 0.01) {
      const middle = (low + high) / 2
      if (apart(middle) > 0) low = middle
      else high = middle
    }
    return high
  }
  return null
}

export interface Meeting {
  /** Minutes on the bench's clock: the middle and the 90 % range. Null when they will not meet. */
  at: number | null
  from: number
  to: number
  /** Share of the draws in which they meet at all. */
  likely: number
}

const draws = 400

/**
 * The moment at which lye and oils may be combined, with its 90 % range. The fit holds lye first, oils second.
 * @example meetingRange({ curves: [curve, curve], draw: () => [curve, curve] }, window, 0, random)
 *   // { at: 39.9254, from: 39.9254, to: 39.9254, likely: 1 }
 */
export function meetingRange(
  fit: CoolingFit,
  window: Window,
  now: number,
  random: RandomSource,
): Meeting {
  const moments: number[] = []
  for (let count = 0; count < draws; count++) {
    const [lye, oils] = fit.draw(random)
    const moment = lye && oils ? meetingOf(lye, oils, window, now) : null
    if (moment !== null) moments.push(moment)
  }
  moments.sort((a, b) => a - b)
  const likely = moments.length / draws
  if (likely < 0.5) return { at: null, from: 0, to: 0, likely }
  return {
    at: quantile(moments, 0.5),
    from: quantile(moments, 0.05),
    to: quantile(moments, 0.95),
    likely,
  }
}

export interface MeetingAdvice {
  vessel: 'lye' | 'oils'
  does: 'warm' | 'ice'
  /** °C to warm it to. */
  toC: number
  /** Minutes in the ice bath. */
  minutes: number
  because: 'too-cold-by-then' | 'long-wait' | 'too-warm-room'
}

/** From this wait on an ice bath is offered, minutes. */
export const longWait = 45

/** °C up to which anybody would warm a vessel only to wait for the other. */
const warmest = 65

/**
 * Minutes in an ice bath until a curve is down at a temperature.
 * @example iceMinutes(curve, 0, 40) // 2.64286
 */
export function iceMinutes(curve: Curve, now: number, toC: number): number {
  const here = celsiusAt(curve, now)
  if (here <= toC || toC <= iceBath.roomC) return 0
  const perMinute = curve.perMinute * iceBath.times
  return minuteAt({ from: 0, startC: here, perMinute, roomC: iceBath.roomC }, toC)
}

const middle = ({ low, high }: { low: number; high: number }) => (low + high) / 2

/**
 * What to do when the two will not meet, or not for long: warm the one that will be too cold by then, or stand the warmer
 * one in ice. Null when waiting is all that is needed.
 * @example adviceFor([curve, { ...curve, startC: 40 }], window, 0, { at: null, from: 0, to: 0, likely: 0 })
 *   // { vessel: 'oils', does: 'warm', toC: 53.3333, minutes: 39.9254, because: 'too-cold-by-then' }
 */
export function adviceFor(
  [lye, oils]: (Curve | null)[],
  window: Window,
  now: number,
  meeting: Meeting,
): MeetingAdvice | null {
  if (!lye || !oils) return null
  const both = [
    { vessel: 'lye' as const, curve: lye, own: window.lye, stay: stay(lye, window.lye, now) },
    { vessel: 'oils' as const, curve: oils, own: window.oils, stay: stay(oils, window.oils, now) },
  ]
  const ice = (
    { vessel, curve, own }: (typeof both)[number],
    because: MeetingAdvice['because'],
  ): MeetingAdvice => ({
    vessel,
    does: 'ice',
    toC: middle(own),
    minutes: iceMinutes(curve, now, middle(own)),
    because,
  })
  if (meeting.at !== null) {
    const later = both.reduce((a, b) => ((a.stay?.begins ?? 0) >= (b.stay?.begins ?? 0) ? a : b))
    return meeting.at - now > longWait ? ice(later, 'long-wait') : null
  }
  const warm = (one: (typeof both)[number], other: (typeof both)[number]): MeetingAdvice => {
    const then = Math.max(now, other.stay?.begins ?? now)
    const toC = celsiusBefore(one.curve, middle(one.own), then - now)
    return toC > warmest || !Number.isFinite(toC)
      ? ice(other, 'too-cold-by-then')
      : { vessel: one.vessel, does: 'warm', toC, minutes: then - now, because: 'too-cold-by-then' }
  }
  const [a, b] = both as [(typeof both)[number], (typeof both)[number]]
  const cold = (one: (typeof both)[number], other: (typeof both)[number]) =>
    !one.stay ? celsiusAt(one.curve, now) < one.own.low : one.stay.ends < (other.stay?.begins ?? 0)
  if (cold(b, a)) return warm(b, a)
  if (cold(a, b)) return warm(a, b)
  return ice(!a.stay ? a : b, 'too-warm-room')
}
