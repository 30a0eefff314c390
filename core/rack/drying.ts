import type { RandomSource } from '../statistics/randomSource'
import { fitPosterior, type Observation } from '../statistics/posterior'
import { quantile } from '../statistics/quantile'
import { dryDay, leftAfter, paceIn, weighNoise } from './dryingModel'
import { mean, sum, sumOf } from '../statistics/sum'

/*
 * How the bars of a batch dry, from what is known beforehand and from weigh-ins (docs/science.md, drying).
 */

/** What is to be expected of a batch before any bar was weighed, with standard deviations. */
export interface DryingPrior {
  /** Share of the mass that is lost in the end, 0–1. */
  loss: number
  lossSd: number
  /** Per day. */
  perDay: number
  /** Of ln k. */
  lnPerDaySd: number
  /** g of one bar at the pour, and how much bars differ among each other, as a share. */
  grams: number
  spread: number
}

export interface WeighIn {
  /** Days since the pour. */
  day: number
  /** The mark on the bar, so that the same bar is known again. */
  bar: number
  grams: number
}

/** Sides of the bar that the usual k belongs to, mm. */
const usualSides = [25, 60, 90] as const
/** Per day, for such a bar in moving air at 20 °C and half saturated. */
const usualPerDay = 0.07
const outward = (sides: readonly number[]) => sumOf(sides, (side) => 1 / side ** 2)
/** g/ml of fresh soap. */
const soapDensity = 1.05
/** Water share in the long run: 0.05 and a tenth of the humidity, give or take 0.03; taken as a standard deviation of half. */
const restSd = 0.015
/** Share of the water at pour that cutting, steam and scales leave open. */
const waterSd = 0.01
/** How far k strays from what size and room say, as a standard deviation of ln k: air differs from plank to plank. */
const lnPerDaySd = 0.35
/** How much hand-cut bars differ, as a share of their mass, until some were weighed. */
const usualSpread = 0.03
/** Bars' worth of knowing that spread beforehand. */
const spreadWeight = 4
/** mm of a bar of so many grams, in the proportions of the usual one. */
export function sidesOf(grams: number): [number, number, number] {
  const usual = (usualSides[0] * usualSides[1] * usualSides[2]) / 1000
  const scale = Math.cbrt(Math.max(1, grams) / soapDensity / usual)
  return usualSides.map((side) => side * scale) as [number, number, number]
}

/**
 * What to expect of bars.
 * @param waterShare water in the batter at the pour, 0–1
 * @param grams of one fresh bar, above 0
 * @param humidity of the room, 0–0.95
 * @param sidesMm of the bar as cut; from its mass when nobody measured
 */
export function dryingPrior(
  waterShare: number,
  grams: number,
  humidity: number,
  sidesMm: readonly number[] = sidesOf(grams),
): DryingPrior {
  const rest = 0.05 + 0.1 * humidity
  const loss = Math.max(0, (waterShare - rest) / (1 - rest))
  const perRest = Math.max(0, 1 - waterShare) / (1 - rest) ** 2
  return {
    loss,
    lossSd: Math.hypot(perRest * restSd, waterSd / (1 - rest)),
    perDay: usualPerDay * (outward(sidesMm) / outward(usualSides)) * paceIn(humidity),
    lnPerDaySd,
    grams,
    spread: usualSpread,
  }
}

export interface Drying {
  /** Share lost in the end and k, per day, as likeliest. */
  loss: number
  perDay: number
  /** g of a bar at the pour: the mean of the batch, and of the bars that were weighed (of the batch while none was). */
  grams: number
  marked: number
  /** How much bars differ, as a share of their mass, and how many of them that rests on. */
  spread: number
  bars: number
  /** A draw of what else it may be. */
  draw: (random: RandomSource) => { loss: number; perDay: number; grams: number; marked: number }
}

/** Reads the weigh-ins of marked bars. Without any it is the prior. */
export function fitDrying(prior: DryingPrior, weighIns: readonly WeighIn[]): Drying {
  const marks = [...new Set(weighIns.map(({ bar }) => bar))]
  // Parameters: L and ln k in their own standard deviations, each bar's mass at the pour as a share of what is expected.
  const lossOf = (p: number[]) => Math.max(0, prior.loss + p[0]! * prior.lossSd)
  const perDayOf = (p: number[]) => prior.perDay * Math.exp(p[1]! * prior.lnPerDaySd)
  /** All bars of a batch may be heavier or lighter than the batter says: more of it stayed in the pot, or fewer bars were cut. */
  const batchSd = 0.06
  const observations: Observation[] = [
    { predict: (p) => p[0]!, value: 0, sd: 1 },
    { predict: (p) => p[1]!, value: 0, sd: 1 },
    { predict: (p) => p[2]!, value: 1, sd: batchSd },
    ...marks.map((_, place) => ({
      predict: (p: number[]) => p[3 + place]! - p[2]!,
      value: 0,
      sd: prior.spread,
    })),
    ...weighIns.map(({ day, bar, grams }) => ({
      predict: (p: number[]) =>
        prior.grams *
        p[3 + marks.indexOf(bar)]! *
        (1 - lossOf(p) * (1 - Math.exp(-perDayOf(p) * day))),
      value: grams,
      sd: weighNoise,
    })),
  ]
  // Begin at what the bars weighed, or a heavy bar is taken for one that lost nothing.
  const firsts = marks.map((mark) => weighIns.find(({ bar }) => bar === mark)!.grams / prior.grams)
  const first = firsts.length ? mean(firsts) : 1
  const { likeliest, draw } = fitPosterior(observations, [0, 0, first, ...firsts])
  const own = likeliest.slice(3)
  const centre = likeliest[2]!
  const markedOf = (p: number[]) => prior.grams * (sum(p.slice(3)) / marks.length || p[2]!)
  const squares = sumOf(own, (value) => (value / centre - 1) ** 2)
  const spread = Math.sqrt(
    (spreadWeight * prior.spread ** 2 + squares) / (spreadWeight + Math.max(0, own.length - 1)),
  )
  return {
    loss: lossOf(likeliest),
    perDay: perDayOf(likeliest),
    grams: prior.grams * centre,
    marked: markedOf(likeliest),
    spread,
    bars: own.length,
    draw: (random) => {
      const p = draw(random)
      return {
        loss: lossOf(p),
        perDay: perDayOf(p),
        grams: prior.grams * p[2]!,
        marked: markedOf(p),
      }
    },
  }
}

export interface DryingForecast {
  /** Days after the pour, whole: as likeliest, and between which nine of ten such batches are dry. */
  dry: { at: number; from: number; to: number }
  /** g of a mean marked bar on that day. */
  gramsDry: number
  /** g that 97.5 of 100 bars still weigh when long dried, not rounded. */
  netGrams: number
}

const draws = 600
/** Standard deviations that 97.5 of 100 lie above. */
const z975 = 1.96
const drawn = (drying: Drying, random: RandomSource) =>
  Array.from({ length: draws }, () => drying.draw(random))

/** What the fit says of the date, the mass then and the net weight. */
export function dryingForecast(drying: Drying, random: RandomSource): DryingForecast {
  const some = drawn(drying, random)
  const days = some.map(dryDay).sort((a, b) => a - b)
  const longDried = some.map(({ grams, loss }) => grams * (1 - loss))
  const middle = mean(longDried)
  const variance = sumOf(longDried, (grams) => (grams - middle) ** 2) / draws
  const at = dryDay(drying)
  return {
    dry: {
      at: Math.round(at),
      from: Math.round(quantile(days, 0.05)),
      to: Math.round(quantile(days, 0.95)),
    },
    gramsDry: drying.marked * leftAfter(drying, at),
    netGrams: middle - z975 * Math.sqrt(variance + (middle * drying.spread) ** 2),
  }
}

/** g of the mean of the marked bars by day since the pour: likeliest, and where nine of ten such batches lie. */
export function dryingCurve(
  drying: Drying,
  random: RandomSource,
  untilDay: number,
): { day: number; low: number; at: number; high: number }[] {
  const some = drawn(drying, random)
  const points = 30
  return Array.from({ length: points + 1 }, (_, index) => {
    const day = (untilDay * index) / points
    const masses = some.map((one) => one.marked * leftAfter(one, day)).sort((a, b) => a - b)
    return {
      day,
      low: quantile(masses, 0.05),
      at: drying.marked * leftAfter(drying, day),
      high: quantile(masses, 0.95),
    }
  })
}
