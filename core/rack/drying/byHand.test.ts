import { describe, expect, it } from 'vitest'
import type { BatchFacts, DryingShape } from '#contracts/batch'
import { exponential } from '../../../tests/support/batchOf'
import { quantile } from '../../statistics/quantile'
import { randomSource } from '../../statistics/randomSource'
import { plainClock } from './clock'
import { dryingCurve, dryingForecast, dryingPrior, fitDrying, sidesOf, type Drying } from './fit'
import { dryDay, lastWeighed, leftAfter, paceIn } from './model'
import { weighedDays, type WeighIn } from './weighedDays'

/*
 * The fit beside a second way to the same: forty thousand ways of the prior, each weighted by how well it explains what was
 * weighed, the level summed over a grid. Slow, and simple enough to be read against docs/science.md.
 */

const student = (miss: number, degrees: number) => (1 + miss ** 2 / degrees) ** (-(degrees + 1) / 2)

/** Values, each with a weight: the one below which a share of the weight lies. */
function weighted(values: [value: number, weight: number][], share: number): number {
  const sorted = values.toSorted(([a], [b]) => a - b)
  let all = 0
  for (const [, weight] of sorted) all += weight
  let reached = 0
  for (const [value, weight] of sorted) if ((reached += weight) >= share * all) return value
  return NaN
}

/** Many bars that all dry alike. */
const alike = (changes: Partial<Drying> = {}, count = 20_000): Drying => {
  const shape = exponential(0.2, 0.05)
  const one = { ...shape, grams: 100, marked: 102, spread: 0.03 }
  return {
    drawn: Array.from({ length: count }, () => one),
    shape,
    marked: 102,
    bars: 4,
    times: 3,
    lastDay: 20,
    netBefore: 90,
    clock: plainClock,
    ...changes,
  }
}

describe('the forecast, by hand', () => {
  it('strays by a bar’s own pace, by what is still to come, and by the days ahead', () => {
    const { dry } = dryingForecast(alike(), randomSource(3))
    const source = randomSource(8)
    const days = Float64Array.from({ length: 20_000 }, () => {
      const pace = Math.exp((0.1 / Math.sqrt(4)) * source.normal())
      const straight = (Math.log(20) / 0.05) * pace
      const toCome = 0.01 + 0.003 * Math.sqrt(Math.min(straight - 20, 60) / 30) * source.normal()
      const day = (Math.log(0.2 / Math.max(0.002, toCome)) / 0.05) * pace
      return day <= 20 ? day : 20 + (day - 20) * Math.exp(0.32 * source.normal())
    }).sort()
    expect(Math.abs(dry.at - quantile(days, 0.5))).toBeLessThan(1)
    expect(Math.abs(dry.from - quantile(days, 0.05))).toBeLessThan(1.5)
    expect(Math.abs(dry.to - quantile(days, 0.95))).toBeLessThan(3)
  })

  it('of what was dry before it was last weighed is that day', () => {
    // ln(20)/0.05 = 59.9: dry by then, and nothing left to stray by but the pace of four bars.
    const { dry, gramsDry, levelled } = dryingForecast(alike({ lastDay: 100 }), randomSource(3))
    expect(dry.at).toBe(60)
    expect(dry.from).toBe(Math.round((Math.log(20) / 0.05) * Math.exp(-1.645 * 0.05)))
    expect(dry.to).toBe(Math.round((Math.log(20) / 0.05) * Math.exp(1.645 * 0.05)))
    expect(levelled).toBe(true)
    expect(gramsDry).toBeCloseTo(102 * (0.8 + 0.01), 1)
  })

  it('has levelled off when a hundredth and a half is still to come', () => {
    // 0.2·e^(−0.05·t) = 0.015 at t = 51.8.
    const at = (lastDay: number) => dryingForecast(alike({ lastDay }, 400), randomSource(3))
    expect(at(51).levelled).toBe(false)
    expect(at(52.5).levelled).toBe(true)
    const unseen = dryingForecast(alike({ lastDay: 60, bars: 0 }, 400), randomSource(3))
    expect(unseen.levelled).toBe(false)
    expect(unseen.netGrams).toBe(90)
  })

  it('states what 97.5 of 100 bars weigh in the end, and no more than before until it levelled', () => {
    // 100 g less 20 %, and 1.96 times 3 % under that: 75.3 g.
    const net = (changes: Partial<Drying>) =>
      dryingForecast(alike(changes), randomSource(3)).netGrams
    expect(net({ lastDay: 60 })).toBeCloseTo(80 * (1 - 1.96 * 0.03), 0)
    expect(net({ lastDay: 20 })).toBeCloseTo(80 * (1 - 1.96 * 0.03), 0)
    expect(net({ lastDay: 20, netBefore: 70 })).toBe(70)
    expect(net({ lastDay: 60, netBefore: 70 })).toBeCloseTo(80 * (1 - 1.96 * 0.03), 0)
  })

  it('counts days by the room’s clock', () => {
    const half = { timeAt: (day: number) => day / 2, dayAt: (time: number) => time * 2 }
    const plain = dryingForecast(alike(), randomSource(3)).dry
    const damp = dryingForecast(alike({ clock: half }), randomSource(3)).dry
    expect(Math.abs(damp.at - 2 * plain.at)).toBeLessThanOrEqual(1)
  })
})

describe('the curve, by hand', () => {
  it('goes in thirty steps through what the marked bars weigh', () => {
    const curve = dryingCurve(alike({}, 3), 60)
    expect(curve).toHaveLength(31)
    expect(curve[10]).toEqual({
      day: 20,
      low: expect.closeTo(102 * (0.8 + 0.2 * Math.exp(-1)), 2) as number,
      at: expect.closeTo(102 * (0.8 + 0.2 * Math.exp(-1)), 2) as number,
      high: expect.closeTo(102 * (0.8 + 0.2 * Math.exp(-1)), 2) as number,
    })
    const light = alike({}, 1).drawn[0]!
    const two = {
      ...alike(),
      drawn: [
        { ...light, marked: 90 },
        { ...light, marked: 110 },
      ],
    }
    expect(dryingCurve(two, 60)[0]).toEqual({ day: 0, low: 91, at: 100, high: 109 })
    const damp = alike({ clock: { timeAt: (day) => day / 2, dayAt: (time) => time * 2 } }, 3)
    expect(dryingCurve(damp, 60)[20]!.at).toBe(curve[10]!.at)
  })
})

describe('the prior, by hand', () => {
  it('strays by what water is left and by what of it was known', () => {
    // d loss/d rest = (1 − w)/(1 − r)²; rest 0.1 ± 0.02, water ± 0.01.
    const { lossSd, spread, grams } = dryingPrior(0.3, 120, 0.5)
    expect(lossSd).toBeCloseTo(Math.hypot((0.7 / 0.81) * 0.02, 0.01 / 0.9), 9)
    expect({ spread, grams }).toEqual({ spread: 0.03, grams: 120 })
    expect(dryingPrior(1, 120, 0.5).lossSd).toBeCloseTo(0.01 / 0.9, 9)
    expect(sidesOf(0).every((side) => side > 0)).toBe(true)
    expect([paceIn(0), paceIn(0.5), paceIn(1)].map((pace) => Number(pace.toFixed(9)))).toEqual([
      2, 1, 0.1,
    ])
  })
})

describe('several bars, by hand', () => {
  const bar = (mark: number, ...grams: (number | null)[]): WeighIn[] =>
    grams.flatMap((value, at) => (value === null ? [] : [{ day: 7 * at, bar: mark, grams: value }]))

  it('differ by what they differ, and lose what they lose', () => {
    const { days, bars } = weighedDays([...bar(4, 110, 99), ...bar(9, 121, 108.9)])
    expect(bars[0]).toBeCloseTo(Math.log(110 / 121) / 2, 3)
    expect(bars[1]).toBeCloseTo(Math.log(121 / 110) / 2, 3)
    expect(days.map(({ day }) => day)).toEqual([0, 7])
    expect(days[0]!.ln).toBeCloseTo(Math.log(Math.sqrt(110 * 121)), 4)
    expect(days[1]!.ln - days[0]!.ln).toBeCloseTo(Math.log(0.9), 4)
    // One reading strays by √((0.2/g)² + 0.0015²), two by less.
    const noise = [110, 99, 121, 108.9]
      .map((grams) => Math.hypot(0.2 / grams, 0.0015))
      .reduce((sum, one) => sum + one / 4, 0)
    for (const { sd } of days) expect(sd).toBeCloseTo(noise / Math.SQRT2, 5)
  })

  it('tell a day on which one was missing by the other, and keep a far heavier one from the middle', () => {
    const { days } = weighedDays([...bar(1, 100, 90), ...bar(2, 120, null), ...bar(3, 110, 99)])
    expect(days[1]!.ln - days[0]!.ln).toBeCloseTo(Math.log(0.9), 3)
    const four = [1, 2, 3, 4].flatMap((mark) => bar(mark, 100, 90))
    const odd = weighedDays([...four, ...bar(5, 200, 180)])
    expect(Math.exp(odd.days[0]!.ln)).toBeGreaterThan(100)
    expect(Math.exp(odd.days[0]!.ln)).toBeLessThan(101)
  })

  it('count a day for less where a reading is odd, and for a quarter of one at least', () => {
    const three = (last: number) => [
      ...bar(1, 100, 95, 90),
      ...bar(2, 100, 95, 90),
      ...bar(3, 100, 95, last),
    ]
    const even = weighedDays(three(90)).days
    const odd = weighedDays(three(80)).days
    expect(odd[2]!.ln).toBeCloseTo(Math.log(90), 3)
    // One of three counts for nothing: √(3/2) of the spread.
    expect(odd[2]!.sd / even[2]!.sd).toBeCloseTo(Math.sqrt(1.5), 1)
    expect(odd[0]!.sd).toBeCloseTo(even[0]!.sd, 4)
    const single = weighedDays(bar(1, 100)).days[0]!
    expect(single.sd).toBeCloseTo(Math.hypot(0.002, 0.0015), 6)
    // In any order, and the same again.
    expect(weighedDays(three(80).toReversed()).days.map(({ ln }) => ln.toFixed(9))).toEqual(
      odd.map(({ ln }) => ln.toFixed(9)),
    )
  })
})

describe('what lists need of it', () => {
  it('is the mean of what was last weighed, and what it has lost', () => {
    const drying = { grams: 125 } as BatchFacts['drying']
    const weighed = [100, 110].map((grams, bar) => ({ bar, grams }))
    expect(lastWeighed({ weighed, drying })).toEqual({
      mean: 105,
      lost: expect.closeTo(0.16, 9) as number,
    })
    expect(lastWeighed({ weighed: [], drying })).toBeNull()
    expect(lastWeighed({ weighed, drying: null })).toBeNull()
  })

  it('is dry on some day even where nobody would wait for it', () => {
    const never = { ...exponential(0.3, 0.05), halfDays: 5000 }
    expect(dryDay(never)).toBeGreaterThan(3000)
    expect(dryDay({ ...exponential(0.3, 0.05), late: 0.5, early: 0.5 })).toBeCloseTo(
      // 1 − 2^−√u = 29/30: u = log₂(30)².
      Math.log2(30) ** 2 * (Math.LN2 / 0.05),
      0,
    )
  })
})

describe('the fit', () => {
  const prior = dryingPrior(0.3, 120, 0.5)
  const bars = [118, 121, 124, 130]
  const truth: DryingShape = { ...exponential(0.2, Math.LN2 / 8), early: 1, late: 1 }
  const days = [1, 9, 20, 34]
  const random = randomSource(6)
  const told = days.flatMap((day): WeighIn[] =>
    bars.map((grams, bar) => ({
      day,
      bar,
      grams: grams * leftAfter(truth, day) + random.normal() * 0.2,
    })),
  )

  function byWeights() {
    const source = randomSource(11)
    const readings = weighedDays(told).days
    const levelSd = Math.hypot(0.07, 0.03 / Math.sqrt(bars.length))
    const found: { shape: DryingShape; level: number; weight: number }[] = []
    for (let draw = 0; draw < 40_000; draw++) {
      const z = Array.from({ length: 6 }, () => source.normal())
      const late = 0.9 + 0.27 * z[2]!
      const early = 0.9 + 0.3 * (0.2 * z[2]! + Math.sqrt(0.96) * z[3]!)
      if (late < 0.4 || late > 1.6 || early < 0.4 || early > 1.9) continue
      const halfDays = prior.halfDays * 1.4 ** z[1]!
      const shape: DryingShape = {
        loss: Math.min(0.8, Math.max(0, prior.loss + prior.lossSd * z[0]!)),
        halfDays,
        early,
        late,
        slowShare: z[4]! > 0.65 ? Math.min(0.6, 0.1 + 0.2 * (z[4]! - 0.65)) : 0,
        slowHalfDays: halfDays * 5 * Math.exp(0.4 * z[5]!),
      }
      const levels = readings.map(({ ln, day }) => ln - Math.log(leftAfter(shape, day)))
      // Far from what was weighed there is nothing to sum.
      if (Math.max(...levels) - Math.min(...levels) > 0.03) continue
      let weight = 0
      let level = 0
      for (let at = Math.min(...levels) - 0.004; at < Math.max(...levels) + 0.004; at += 0.0008) {
        let fits = student((at - Math.log(prior.grams)) / levelSd, 3)
        for (const [place, { sd }] of readings.entries())
          fits *= student((levels[place]! - at) / Math.hypot(sd, 0.0015), 4)
        weight += fits
        level += fits * at
      }
      found.push({ shape, level: level / weight, weight })
    }
    return found
  }

  it('draws what weighing every way of the prior gives', () => {
    const ways = byWeights()
    const fit = fitDrying(prior, told, randomSource(1))
    const compare = (
      of: (shape: DryingShape, level: number) => number,
      drawn: (one: Drying['drawn'][number]) => number,
    ) => {
      const values = ways.map(({ shape, level, weight }): [number, number] => [
        of(shape, level),
        weight,
      ])
      const width = weighted(values, 0.84) - weighted(values, 0.16)
      const sorted = Float64Array.from(fit.drawn, drawn).sort()
      // Four hundred points that hang together a little: a fifth of the width is what chance does.
      for (const share of [0.16, 0.5, 0.84])
        expect(Math.abs(quantile(sorted, share) - weighted(values, share))).toBeLessThan(
          width * 0.22,
        )
    }
    compare(
      ({ loss }) => loss,
      ({ loss }) => loss,
    )
    compare(
      ({ halfDays }) => Math.log(halfDays),
      ({ halfDays }) => Math.log(halfDays),
    )
    compare(
      ({ early }) => early,
      ({ early }) => early,
    )
    compare(
      ({ late }) => late,
      ({ late }) => late,
    )
    compare(
      (_, level) => level,
      ({ marked }) => Math.log(marked),
    )
    compare(
      (shape) => dryDay(shape),
      (one) => dryDay(one),
    )
    expect(fit.shape.loss).toBeCloseTo(
      quantile(Float64Array.from(fit.drawn, ({ loss }) => loss).sort(), 0.5),
      12,
    )
  })

  it('takes the batch for what its marked bars are, and a little for what the batter said', () => {
    const { drawn, marked } = fitDrying(prior, told, randomSource(1))
    // 123.25 g marked against 120 told: 1/0.015² to 1/0.07².
    expect(marked).toBeGreaterThan(122.3)
    expect(marked).toBeLessThan(124.2)
    const [own, known] = [1 / 0.015 ** 2, 1 / 0.07 ** 2]
    const logs = drawn.map((one) => Math.log(one.grams))
    const middle = (known * Math.log(120) + own * Math.log(marked)) / (known + own)
    const mean = logs.reduce((sum, one) => sum + one, 0) / logs.length
    const sd = Math.sqrt(logs.reduce((sum, one) => sum + (one - mean) ** 2, 0) / logs.length)
    expect(Math.abs(mean - middle)).toBeLessThan(0.003)
    expect(sd).toBeGreaterThan(0.013)
    expect(sd).toBeLessThan(0.0195)
    // Bars that differ by 4 % among four: between what is usual and what was seen.
    const spread = quantile(Float64Array.from(drawn, (one) => one.spread).sort(), 0.5)
    expect(spread).toBeGreaterThan(0.027)
    expect(spread).toBeLessThan(0.05)
  })

  it('knows nothing of the shape from one day, and all of the batch from the batter without any', () => {
    const one = fitDrying(
      prior,
      told.filter(({ day }) => day === 20),
      randomSource(1),
    )
    const none = fitDrying(prior, [], randomSource(1))
    expect(one.drawn.map(({ late }) => late)).toEqual(none.drawn.map(({ late }) => late))
    expect(one).toMatchObject({ times: 1, lastDay: 20, bars: 4 })
    expect(none).toMatchObject({ times: 0, lastDay: 0, bars: 0 })
    expect(none.drawn).toHaveLength(400)
    const logs = none.drawn.map(({ grams }) => Math.log(grams / 120))
    const sd = Math.sqrt(logs.reduce((sum, log) => sum + log ** 2, 0) / logs.length)
    expect(sd).toBeGreaterThan(0.06)
    expect(sd).toBeLessThan(0.08)
    expect(none.drawn.every(({ grams, marked }) => grams === marked)).toBe(true)
    // A quarter of all bars has a slow stage; shapes keep to what bars do.
    const slow = none.drawn.filter(({ slowShare }) => slowShare > 0)
    expect(slow.length / 400).toBeGreaterThan(0.19)
    expect(slow.length / 400).toBeLessThan(0.33)
    expect(slow.every(({ slowShare }) => slowShare >= 0.1 && slowShare <= 0.6)).toBe(true)
    expect(none.drawn.every(({ late, early }) => late >= 0.4 && late <= 1.6 && early >= 0.4)).toBe(
      true,
    )
  })
})
