import type { DryingPoint, DryingShape } from '#contracts/batch'
import type { RandomSource } from '../../statistics/randomSource'
import { samplePosterior, type SamplingEffort } from '../../statistics/chains'
import { roundTo } from '../../statistics/roundTo'
import { median, quantile } from '../../statistics/quantile'
import { sumOf } from '../../statistics/sum'
import { clamp } from '../../statistics/clamp'
import { plainClock, type DryingClock } from './clock'
import { dryAt, dryDay, goneAfter, leftAfter, paceIn } from './model'
import { weighedDays, type WeighedDay, type WeighIn } from './weighedDays'

/*
 * How the bars of a batch dry, from what is known beforehand and from weigh-ins (docs/science.md, drying). The shape of the last
 * weeks is not known until it was seen: it is drawn, with all the rest, and so the date is as uncertain as it is.
 */

/** What is to be expected of a batch before any bar was weighed, with standard deviations. */
export interface DryingPrior {
  /** Share of the mass that is lost in the end, 0–1. */
  loss: number
  lossSd: number
  /** Days to half of it. */
  halfDays: number
  /** g of one bar at the pour, and how much bars differ among each other, as a share. */
  grams: number
  spread: number
}

/** Sides of the bar that the usual pace belongs to, mm. */
const usualSides = [25, 60, 90] as const
/** Days to half of the loss for such a bar in moving air at 20 °C and half saturated. */
const usualHalfDays = 9.9
const outward = (sides: readonly number[]) => sumOf(sides, (side) => 1 / side ** 2)
/** g/ml of fresh soap. */
const soapDensity = 1.05
/** Water share in the long run: 0.05 and a tenth of the humidity, give or take 0.03; taken as a standard deviation of two thirds. */
const restSd = 0.02
/** Share of the water at pour that cutting, steam and scales leave open. */
const waterSd = 0.01
/** How far the pace strays from what size and room say: a factor of 1.4, one standard deviation. */
const lnHalfSd = Math.log(1.4)
/**
 * The stretch in the end and at the beginning, each with a standard deviation, how alike the two are, and between what makers' bars
 * lie (judgement): plates, drops, still air and a last water that comes slowly begin and end otherwise.
 */
const usualStretch = 0.9
const stretchSd = 0.27
const lateRange = [0.4, 1.6] as const
const earlySd = 0.3
const earlyRange = [0.4, 1.9] as const
const alike = 0.2
/**
 * One bar in four has a slow second stage (judgement): from where on, as a normal deviate; the share of the loss that goes in it,
 * and by how many times it is slower, with a standard deviation of its logarithm.
 */
const slowFrom = 0.65
const leastSlow = 0.1
const moreSlow = 0.2
const mostSlow = 0.6
const timesSlower = 5
const lnSlowSd = 0.4
/** How much hand-cut bars differ, as a share of their mass, until some were weighed, and how many bars that knowledge is worth. */
const usualSpread = 0.03
const spreadWeight = 4
/** All bars of a batch may be heavier or lighter than the batter says: more of it stayed in the pot, or fewer bars were cut. */
const batchSd = 0.07
const toldDegrees = 3
/** What no model says of all bars on a day, as a share of their mass: more weigh-ins of one day do not lessen it. */
const modelError = 0.0015
/** Degrees of freedom of a day at the scale: a crooked scale, a damp day. */
const dayDegrees = 4
/** A bar's own pace, of its logarithm: the marked bars are not the batch. */
const paceSd = 0.1
/** How far the days still to come stray beyond what the shapes say: damp weeks, another plank. Of their logarithm. */
const aheadSd = 0.32
/** How far what is still to come strays after a month beyond the last weigh-in, as a share of the mass. */
const reachError = 0.003
/**
 * mm of a bar of so many grams, in the proportions of the usual one.
 * @example sidesOf(100) // [22.2552, 53.4126, 80.1189]
 */
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
 * @example dryingPrior(0.25, 110, 0.5).loss // 0.166667
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
    halfDays: (usualHalfDays * outward(usualSides)) / outward(sidesMm) / paceIn(humidity),
    grams,
    spread: usualSpread,
  }
}

/** One way a batch may dry: its shape, and g at the pour. */
export interface Drawn extends DryingShape {
  /** Of a mean bar of the batch, and of the mean marked bar; the same while none was weighed. */
  grams: number
  marked: number
  /** How much bars differ, as a share of their mass. */
  spread: number
}

export interface Drying {
  /** The ways it may be, all of the same weight. */
  drawn: Drawn[]
  /** In the middle of them. */
  shape: DryingShape
  marked: number
  /** Bars that were weighed, on how many days, and the day of the last time. */
  bars: number
  times: number
  lastDay: number
  /** g that 97.5 of 100 bars were to weigh when long dried, before any was weighed. */
  netBefore: number
  /** Days of it are days of drying by this clock. */
  clock: DryingClock
}

/** Points of the posterior: 30 ms of a processor at most. */
const effort: SamplingEffort = { first: 400, chains: 50, rounds: 64, kept: 8 }
/** Ways that are drawn while nothing was weighed. */
const unseenDraws = 400
const shapeNames = ['loss', 'halfDays', 'early', 'late', 'slowShare', 'slowHalfDays'] as const
const parameters = 6

/** The shape that a point stands for; null where no bar is like that. */
function shapeAt(prior: DryingPrior, point: readonly number[]): DryingShape | null {
  const late = usualStretch + stretchSd * point[2]!
  const early = usualStretch + earlySd * (alike * point[2]! + Math.sqrt(1 - alike ** 2) * point[3]!)
  if (late < lateRange[0] || late > lateRange[1]) return null
  if (early < earlyRange[0] || early > earlyRange[1]) return null
  const halfDays = prior.halfDays * Math.exp(lnHalfSd * point[1]!)
  return {
    loss: clamp(prior.loss + prior.lossSd * point[0]!, 0, 0.8),
    halfDays,
    early,
    late,
    slowShare:
      point[4]! > slowFrom ? Math.min(mostSlow, leastSlow + moreSlow * (point[4]! - slowFrom)) : 0,
    slowHalfDays: halfDays * timesSlower * Math.exp(lnSlowSd * point[5]!),
  }
}

/** One way a bar may dry, before anything was weighed. */
function possibleShape(prior: DryingPrior, random: RandomSource): DryingShape {
  for (;;) {
    const shape = shapeAt(
      prior,
      Array.from({ length: parameters }, () => random.normal()),
    )
    if (shape) return shape
  }
}

/** Log density of a t of so many degrees, but for what is the same everywhere. */
const logStudent = (miss: number, degrees: number): number =>
  (-(degrees + 1) / 2) * Math.log(1 + miss ** 2 / degrees)
/** How much a misfit still counts under such a t. */
const robust = (miss: number, degrees: number): number => (degrees + 1) / (degrees + miss ** 2)

/** Rounds in which readings that fit badly lose weight; in the first every one counts alike. */
const levelRounds = 3

/**
 * For bars that dry in a known way: ln of g of the mean marked bar at the pour, and log of how well that fits all days. What the
 * batter said may be far off too: a pot scraped badly, fewer bars cut.
 */
function levelFitter(days: readonly WeighedDay[], expected: number, sd: number) {
  const precisions = days.map((one) => 1 / (one.sd ** 2 + modelError ** 2))
  const found = days.map(() => 0)
  return (shape: DryingShape): { ln: number; log: number } => {
    for (let at = 0; at < days.length; at++)
      found[at] = days[at]!.ln - Math.log(leftAfter(shape, days[at]!.day))
    let level = expected
    let curvature = 0
    for (let round = 0; round < levelRounds; round++) {
      const told = round === 0 ? 0 : robust((level - expected) / sd, toldDegrees) / sd ** 2
      let above = expected * told
      curvature = told
      for (let at = 0; at < found.length; at++) {
        const precision = precisions[at]!
        const miss = (found[at]! - level) * Math.sqrt(precision)
        const counts = precision * (round === 0 ? 1 : robust(miss, dayDegrees))
        above += counts * found[at]!
        curvature += counts
      }
      level = above / curvature
    }
    let log = logStudent((level - expected) / sd, toldDegrees) - Math.log(curvature) / 2
    for (let at = 0; at < found.length; at++)
      log += logStudent((found[at]! - level) * Math.sqrt(precisions[at]!), dayDegrees)
    return { ln: level, log }
  }
}

/** How much bars differ, as drawn from what is known beforehand and the marked ones. */
function drawSpread(usual: number, bars: readonly number[], random: RandomSource): number {
  const degrees = spreadWeight + Math.max(0, bars.length - 1)
  const squares = sumOf(bars, (one) => one ** 2)
  let chi = 0
  for (let one = 0; one < degrees; one++) chi += random.normal() ** 2
  return Math.min(0.2, Math.sqrt((spreadWeight * usual ** 2 + squares) / Math.max(chi, 0.5)))
}

const sortedOf = <T>(items: readonly T[], value: (one: T) => number) =>
  Float64Array.from(items, value).sort()

const barsDrawn = 16
/** g that 97.5 of 100 bars weigh when long dried, whichever way the batch dries. */
function netOf(drawn: readonly Drawn[], random: RandomSource): number {
  const bars = new Float64Array(drawn.length * barsDrawn)
  for (const [at, { grams, loss, spread }] of drawn.entries())
    for (let bar = 0; bar < barsDrawn; bar++)
      bars[at * barsDrawn + bar] = grams * (1 + spread * random.normal()) * (1 - loss)
  return quantile(bars.sort(), 0.025)
}

/**
 * Reads the weigh-ins of marked bars: what is known beforehand and what was weighed, as a cloud of ways the batch may dry. Without
 * any it is the prior. The same random source gives the same cloud.
 * @param clock by which days of drying are counted where the room was logged
 * @example fitDrying(prior, [], random).drawn.length // 400
 */
export function fitDrying(
  prior: DryingPrior,
  weighIns: readonly WeighIn[],
  random: RandomSource,
  clock: DryingClock = plainClock,
): Drying {
  const { days: told, bars } = weighedDays(weighIns)
  const days = told.map((one) => ({ ...one, day: clock.timeAt(one.day) }))
  const expected = Math.log(prior.grams)
  const shareSd = prior.spread / Math.sqrt(Math.max(1, bars.length))
  const unseen = Array.from({ length: unseenDraws }, (): Drawn => {
    const shape = possibleShape(prior, random)
    const grams = prior.grams * Math.exp(batchSd * random.normal())
    return { ...shape, grams, marked: grams, spread: drawSpread(prior.spread, [], random) }
  })
  const netBefore = netOf(unseen, random)
  const fit = levelFitter(days, expected, Math.hypot(batchSd, shareSd))
  const weighedAs = (shape: DryingShape): Drawn => {
    const marked = fit(shape).ln
    // The batch is what its marked bars are, and a little what the batter said.
    const known = 1 / batchSd ** 2
    const own = 1 / shareSd ** 2
    const middle = (known * expected + own * marked) / (known + own)
    return {
      ...shape,
      grams: Math.exp(middle + random.normal() / Math.sqrt(known + own)),
      marked: Math.exp(marked),
      spread: drawSpread(prior.spread, bars, random),
    }
  }
  const fits = (point: readonly number[]) => {
    const shape = shapeAt(prior, point)
    return shape ? fit(shape).log : -Infinity
  }
  // One day at the scale says what the bars weigh, and nothing of how they lose: the batter's own figure is not that well known.
  const shapes =
    days.length > 1
      ? samplePosterior(parameters, fits, random, effort).map((point) => shapeAt(prior, point)!)
      : unseen
  const drawn = days.length ? shapes.map(weighedAs) : unseen
  const middle = (name: keyof Drawn) => median(drawn.map((one) => one[name]))
  return {
    drawn,
    shape: Object.fromEntries(
      shapeNames.map((name) => [name, middle(name)]),
    ) as unknown as DryingShape,
    marked: middle('marked'),
    bars: bars.length,
    times: days.length,
    lastDay: days.at(-1)?.day ?? 0,
    netBefore,
    clock,
  }
}

export interface DryingForecast {
  /** Days after the pour, whole: in the middle, and between which nine of ten such batches are dry. */
  dry: { at: number; from: number; to: number }
  /** g of a mean marked bar on that day. */
  gramsDry: number
  /** g that 97.5 of 100 bars still weigh when long dried, not rounded. */
  netGrams: number
  /** Whether the loss was seen to level off: until then weighing on tells most. */
  levelled: boolean
}

/** Loss still to come, as a share of the mass at the pour, at which a curve counts as levelled off. */
const levelAt = 1.5 * dryAt

/**
 * What the fit says of the date, the mass then and the net weight.
 * @example dryingForecast(fitDrying(prior, [], random), random).levelled // false
 */
export function dryingForecast(drying: Drying, random: RandomSource): DryingForecast {
  const { drawn, lastDay, netBefore, bars } = drying
  const days = sortedOf(drawn, (one) => {
    const halfDays =
      one.halfDays * Math.exp((paceSd / Math.sqrt(Math.max(1, bars))) * random.normal())
    const own = { ...one, halfDays }
    const straight = dryDay(own)
    if (straight <= lastDay) return straight
    // What is foretold strays more the further it reaches beyond what was seen.
    const reach = straight - lastDay
    const day = dryDay(
      own,
      Math.max(
        dryAt / 5,
        dryAt + reachError * Math.sqrt(Math.min(reach, 60) / 30) * random.normal(),
      ),
    )
    return day <= lastDay ? day : lastDay + (day - lastDay) * Math.exp(aheadSd * random.normal())
  })
  const toCome = sortedOf(drawn, (one) => one.loss * (1 - goneAfter(one, lastDay)))
  const levelled = bars > 0 && quantile(toCome, 0.9) <= levelAt
  const net = bars ? netOf(drawn, random) : netBefore
  const at = quantile(days, 0.5)
  const dayOf = (time: number) => Math.round(drying.clock.dayAt(time))
  return {
    dry: { at: dayOf(at), from: dayOf(quantile(days, 0.05)), to: dayOf(quantile(days, 0.95)) },
    gramsDry: median(drawn.map((one) => one.marked * leftAfter(one, at))),
    netGrams: levelled ? net : Math.min(net, netBefore),
    levelled,
  }
}

const curvePoints = 30
const toHundredth = (grams: number) => roundTo(grams, 2)
/**
 * g of the mean of the marked bars by day since the pour, to a hundredth.
 * @example dryingCurve(fitDrying(prior, [], random), 2).length // 31
 */
export function dryingCurve({ drawn, clock }: Drying, untilDay: number): DryingPoint[] {
  return Array.from({ length: curvePoints + 1 }, (_, index) => {
    const day = roundTo((untilDay * index) / curvePoints, 2)
    const time = clock.timeAt(day)
    const masses = sortedOf(drawn, (one) => one.marked * leftAfter(one, time))
    return {
      day,
      low: toHundredth(quantile(masses, 0.05)),
      at: toHundredth(quantile(masses, 0.5)),
      high: toHundredth(quantile(masses, 0.95)),
    }
  })
}
