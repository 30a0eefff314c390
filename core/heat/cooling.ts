import { fitPosterior, type Observation } from '../statistics/posterior'
import type { RandomSource } from '../statistics/randomSource'

/*
 * Newton's cooling, dT/dt = −k(T − room), for vessels that stand in one room. The start of each curve is free; k is known
 * beforehand only by the vessel's size, the room only to a degree; readings turn both into a posterior.
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
  /** Of ln k. */
  lnKSd: number
  /** Of one reading, °C. */
  noiseC: number
}
/** What is believed of a vessel before it is read: it cools to the room, at a pace that is known to within 40 % (judgement), and is read to 0.3 °C. */
export const usualPrior = (roomC: number): CoolingPrior => ({
  roomC,
  roomSd: 1,
  lnKSd: 0.4,
  noiseC: 0.3,
})

/** One curve out of the posterior. `startC` is at the first reading of the vessel, `from` its minute. */
export interface Curve {
  from: number
  startC: number
  perMinute: number
  roomC: number
}

/** °C of a cooling vessel at a minute of its run. */
export const celsiusAt = (curve: Curve, minutes: number): number =>
  curve.roomC + (curve.startC - curve.roomC) * Math.exp(-curve.perMinute * (minutes - curve.from))

/** k of a vessel from its size: an open vessel as wide as it is deep loses about 13 W/m²K all round, steam included. */
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

/**
 * Fits the curves of all vessels together: they share the room. The posterior is normal in (start, ln k, room).
 */
export function fitCooling(vessels: CoolingVessel[], prior: CoolingPrior): CoolingFit {
  const known = vessels.flatMap((vessel, index) => (vessel.readings.length ? [index] : []))
  const nothing = vessels.map(() => null)
  if (!known.length) return { curves: nothing, draw: () => nothing }
  const roomAt = known.length * 2
  const from = vessels.map(({ readings }) => readings[0]?.minutes ?? 0)
  const observations: Observation[] = []
  const observe = (predict: Observation['predict'], value: number, sd: number) =>
    observations.push({ predict, value, sd })
  known.forEach((index, place) => {
    const { readings, perMinute } = vessels[index]!
    for (const { minutes, celsius } of readings)
      observe(
        (p) =>
          p[roomAt]! +
          (p[place * 2]! - p[roomAt]!) *
            Math.exp(-Math.exp(p[place * 2 + 1]!) * (minutes - from[index]!)),
        celsius,
        prior.noiseC,
      )
    observe((p) => p[place * 2 + 1]!, Math.log(perMinute), prior.lnKSd)
  })
  observe((p) => p[roomAt]!, prior.roomC, prior.roomSd)
  const first = known.flatMap((index) => [
    vessels[index]!.readings[0]!.celsius,
    Math.log(vessels[index]!.perMinute),
  ])
  const posterior = fitPosterior(observations, [...first, prior.roomC])

  const curvesOf = (p: number[]): (Curve | null)[] =>
    vessels.map((_, index) => {
      const place = known.indexOf(index)
      if (place < 0) return null
      return {
        from: from[index]!,
        startC: p[place * 2]!,
        perMinute: Math.exp(p[place * 2 + 1]!),
        roomC: p[roomAt]!,
      }
    })
  return {
    curves: curvesOf(posterior.likeliest),
    draw: (random) => curvesOf(posterior.draw(random)),
  }
}
