import { median } from '../../statistics/quantile'
import { mean, sum, sumOf } from '../../statistics/sum'
import { weighNoise } from './model'

/*
 * Weigh-ins of several bars as one reading a day: what each bar weighs at all is told apart from how all of them lose, so that one
 * bar at a wall, one slip of the hand or a bar that was not weighed every time moves neither much.
 */

export interface WeighIn {
  /** Days since the pour. */
  day: number
  /** The mark on the bar, so that the same bar is known again. */
  bar: number
  grams: number
}

/** One day at the scale: ln of g of the mean marked bar, and the standard deviation of that. */
export interface WeighedDay {
  day: number
  ln: number
  sd: number
}

export interface WeighedDays {
  days: WeighedDay[]
  /** ln of each bar's mass beside the mean of them. */
  bars: number[]
}

/** Degrees of freedom of a reading: a slip of the hand is a reading too. */
const degrees = 3
/** What a bar has of its own on a day, as a share of its mass (judgement): its place, its pace, a crumb. */
const ownShare = 0.0015
/** How much hand-cut bars differ: two that were never weighed on one day are held together by this. */
const usualDiffer = 0.03

/** What a day counts at least, in readings, however odd they are. */
const leastReading = 0.25

/** How much a misfit still counts, 1 for none. */
const weightOf = (miss: number): number => (degrees + 1) / (degrees + 1 + miss * miss)

interface Reading {
  bar: number
  day: number
  ln: number
  noise: number
}
/** Indices of what belongs together, by a number counted from 0. */
function indicesBy(readings: readonly Reading[], key: 'bar' | 'day', count: number): number[][] {
  const lists = Array.from({ length: count }, (): number[] => [])
  for (const [at, one] of readings.entries()) lists[one[key]]!.push(at)
  return lists
}

/** Rounds of telling bars and days apart; by medians in the first ones, or one slip would pull a bar along. */
const rounds = 20
const byMedians = 3

/**
 * @param weighIns grams above 0, any order
 * @example weighedDays([{ day: 1, bar: 1, grams: 100 }, { day: 8, bar: 1, grams: 95 }]).days[1].ln // 4.55388
 */
export function weighedDays(weighIns: readonly WeighIn[]): WeighedDays {
  const marks = new Map<number, number>()
  for (const { bar } of weighIns) if (!marks.has(bar)) marks.set(bar, marks.size)
  const dayList = [...new Set(weighIns.map(({ day }) => day))].sort((a, b) => a - b)
  const places = new Map(dayList.map((day, at) => [day, at]))
  if (!marks.size) return { days: [], bars: [] }
  const readings = weighIns.map(({ day, bar, grams }): Reading => ({
    bar: marks.get(bar)!,
    day: places.get(day)!,
    ln: Math.log(grams),
    noise: Math.hypot(weighNoise / grams, ownShare),
  }))
  const noise = mean(readings.map((one) => one.noise))
  const ofBar = indicesBy(readings, 'bar', marks.size)
  const ofDay = indicesBy(readings, 'day', dayList.length)
  const weights = readings.map(() => 1)
  const days = ofDay.map((list) => median(list.map((at) => readings[at]!.ln)))
  const bars = ofBar.map(() => 0)
  /** The middle of what some readings say, each counting as it fits. */
  const middle = (list: number[], round: number, value: (one: Reading) => number, pull: number) =>
    round < byMedians
      ? median(list.map((at) => value(readings[at]!)))
      : sumOf(list, (at) => value(readings[at]!) * weights[at]!) /
        (sumOf(list, (at) => weights[at]!) + pull)
  for (let round = 0; round < rounds; round++) {
    for (const [bar, list] of ofBar.entries())
      bars[bar] = middle(list, round, ({ ln, day }) => ln - days[day]!, (noise / usualDiffer) ** 2)
    const level = median(bars)
    const held = bars.map((value) => weightOf((value - level) / usualDiffer))
    const centre = sumOf(held, (weight, bar) => weight * bars[bar]!) / sum(held)
    for (const [bar, value] of bars.entries()) bars[bar] = value - centre
    for (const [day, list] of ofDay.entries())
      days[day] = middle(list, round, ({ ln, bar }) => ln - bars[bar]!, 0)
    for (const [at, { ln, day, bar, noise: own }] of readings.entries())
      weights[at] = weightOf((ln - days[day]! - bars[bar]!) / own)
  }
  return {
    days: dayList.map((day, at) => ({
      day,
      ln: days[at]!,
      sd:
        noise /
        Math.sqrt(
          Math.max(
            leastReading,
            sumOf(ofDay[at]!, (one) => weights[one]!),
          ),
        ),
    })),
    bars,
  }
}
