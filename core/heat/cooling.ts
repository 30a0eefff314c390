import { fitPosterior, type Observation } from '../statistics/posterior'
import type { RandomSource } from '../statistics/randomSource'

/*
 * Cooling of vessels that stand in one room: dT/dt = −k·ΔT·(|ΔT|/20)^q, ΔT the distance to the room. q is 0 for Newton's law, 0.25
 * in still air, more where it steams; k is told at ΔT = 20 K. The start of each curve is free; k is known beforehand only by the
 * vessel's size, q by what is usual, the room to a degree; readings turn all of them into a posterior. What is foretold strays more
 * the further ahead it lies.
 */

export interface HeatReading {
  /** Minutes on the bench's clock. */
  minutes: number
  celsius: number
}

export interface CoolingVessel {
  readings: HeatReading[]
  /** k to expect from the size, per minute, above 0. */
  perMinute: number
}

/** How well everything else is known, as standard deviations. */
export interface CoolingPrior {
  roomC: number
  /** °C. */
  roomSd: number
  /** Of ln k, and of the power q about its usual value. */
  lnKSd: number
  powerSd: number
  /** Of one reading, °C. */
  noiseC: number
}
/**
 * What is believed of a vessel before it is read: it cools to the room, at a pace that is known to within 40 %, in air that is still or not (judgement), and is read to 0.3 °C.
 * @example usualPrior(20).roomC // 20
 */
export const usualPrior = (roomC: number): CoolingPrior => ({
  roomC,
  roomSd: 1,
  lnKSd: 0.4,
  powerSd: 0.13,
  noiseC: 0.3,
})

/** One curve out of the posterior. `startC` is at the first reading of the vessel, `from` its minute. */
export interface Curve {
  from: number
  startC: number
  perMinute: number
  roomC: number
  /** By how much more than in proportion it loses far from the room; 0, Newton's law, where none is named. */
  power?: number
}

/** K from the room at which k is told. */
const toldAt = 20
/** q in still air, with a little steam. */
export const usualPower = 0.16
/** Below this a power is none. */
const flat = 1e-4

/** What is left of a distance to the room after so many minutes, and the minutes in which one becomes another: K of the same sign. */
function distanceAfter(distance: number, minutes: number, perMinute: number, power: number) {
  if (Math.abs(power) < flat || distance === 0) return distance * Math.exp(-perMinute * minutes)
  const size = Math.abs(distance) / toldAt
  const rest = size ** -power + power * perMinute * minutes
  // Below nothing: it has long been at the room's temperature, or never was so near it before.
  const left = rest > 0 ? toldAt * rest ** (-1 / power) : power < 0 ? 0 : Infinity
  return Math.sign(distance) * left
}
function minutesBetween(from: number, to: number, perMinute: number, power: number): number {
  const [a, b] = [Math.abs(from) / toldAt, Math.abs(to) / toldAt]
  return Math.abs(power) < flat
    ? Math.log(a / b) / perMinute
    : (b ** -power - a ** -power) / (power * perMinute)
}

/**
 * °C of a cooling vessel at a minute of its run; before its beginning it was warmer.
 * @example celsiusAt({ from: 0, startC: 60, perMinute: 0.02, roomC: 20 }, 10) // 52.7492
 */
export const celsiusAt = (curve: Curve, minutes: number): number =>
  curve.roomC +
  distanceAfter(curve.startC - curve.roomC, minutes - curve.from, curve.perMinute, curve.power ?? 0)

/**
 * The minute at which a curve is at a temperature; Infinity when it never is.
 * @example minuteAt(curve, 40) // 34.6574
 */
export function minuteAt(curve: Curve, celsius: number): number {
  const [from, to] = [curve.startC - curve.roomC, celsius - curve.roomC]
  return from * to > 0
    ? curve.from + minutesBetween(from, to, curve.perMinute, curve.power ?? 0)
    : Infinity
}

/**
 * °C that a vessel must have now to be at a temperature so many minutes later; Infinity when no warmth would do.
 * @example celsiusBefore(curve, celsiusAt(curve, 10), 10) // 60
 */
export const celsiusBefore = (curve: Curve, celsius: number, minutes: number): number =>
  curve.roomC + distanceAfter(celsius - curve.roomC, -minutes, curve.perMinute, curve.power ?? 0)

/**
 * k of a vessel from its size: an open vessel as wide as it is deep loses about 13 W/m²K all round, steam included.
 * @example perMinuteOf(500, 2000) // 0.0136109
 */
export function perMinuteOf(millilitres: number, joulesPerKelvin: number): number {
  if (millilitres <= 0 || joulesPerKelvin <= 0) return 0.012
  const area = 5.54 * (millilitres * 1e-6) ** (2 / 3)
  return (13 * area * 60) / joulesPerKelvin
}

/** An ice bath: another room, and water takes heat some eight times as fast as air. */
export const iceBath = { roomC: 2, times: 8 } as const

export interface CoolingFit {
  /** The likeliest curve of each vessel; null for one without a reading. */
  curves: (Curve | null)[]
  /** A draw from the posterior, all vessels in the same room. */
  draw: (random: RandomSource) => (Curve | null)[]
}

/** How far the pace strays for what is still to come: a lid, a draught, a stir. Of its logarithm. */
const aheadSd = 0.045

/**
 * Fits the curves of all vessels together: they share the room. The posterior is normal in (start, ln k, q, room); each draw
 * strays from its curve for what lies beyond the last reading.
 * @example fitCooling([{ readings: [{ minutes: 0, celsius: 60 }], perMinute: 0.02 }], { roomC: 20, roomSd: 1, lnKSd: 0.3, powerSd: 0.1, noiseC: 0.5 }).curves[0].startC
 *   // 60
 */
export function fitCooling(vessels: CoolingVessel[], prior: CoolingPrior): CoolingFit {
  const known = vessels.flatMap((vessel, index) => (vessel.readings.length ? [index] : []))
  const nothing = vessels.map(() => null)
  if (!known.length) return { curves: nothing, draw: () => nothing }
  const each = 3
  const roomAt = known.length * each
  const from = vessels.map(({ readings }) => readings[0]?.minutes ?? 0)
  const curveAt = (p: number[], place: number): Curve => ({
    from: from[known[place]!]!,
    startC: p[place * each]!,
    perMinute: Math.exp(p[place * each + 1]!),
    power: p[place * each + 2]!,
    roomC: p[roomAt]!,
  })
  const observations: Observation[] = []
  const observe = (predict: Observation['predict'], value: number, sd: number) =>
    observations.push({ predict, value, sd })
  known.forEach((index, place) => {
    const { readings, perMinute } = vessels[index]!
    for (const { minutes, celsius } of readings)
      observe((p) => celsiusAt(curveAt(p, place), minutes), celsius, prior.noiseC)
    observe((p) => p[place * each + 1]!, Math.log(perMinute), prior.lnKSd)
    observe((p) => p[place * each + 2]!, usualPower, prior.powerSd)
  })
  observe((p) => p[roomAt]!, prior.roomC, prior.roomSd)
  const first = known.flatMap((index) => [
    vessels[index]!.readings[0]!.celsius,
    Math.log(vessels[index]!.perMinute),
    usualPower,
  ])
  const posterior = fitPosterior(observations, [...first, prior.roomC])
  const curvesOf = (p: number[]): (Curve | null)[] =>
    vessels.map((_, index) => {
      const place = known.indexOf(index)
      return place < 0 ? null : curveAt(p, place)
    })
  return {
    curves: curvesOf(posterior.likeliest),
    draw: (random) =>
      curvesOf(posterior.draw(random)).map((curve, index) => {
        if (!curve) return null
        const last = vessels[index]!.readings.at(-1)!.minutes
        return {
          ...curve,
          from: last,
          startC: celsiusAt(curve, last),
          perMinute: curve.perMinute * Math.exp(aheadSd * random.normal()),
        }
      }),
  }
}
