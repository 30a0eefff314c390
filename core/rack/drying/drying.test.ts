import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DryingShape } from '#contracts/batch'
import { exponential } from '../../../tests/support/batchOf'
import { runs } from '../../../tests/support/runs'
import { randomSource } from '../../statistics/randomSource'
import { dryingCurve, dryingForecast, dryingPrior, fitDrying, sidesOf } from './fit'
import { dryingClock, plainClock } from './clock'
import { dryDay, goneAfter, leftAfter } from './model'
import { weighedDays, type WeighIn } from './weighedDays'

const slow: DryingShape = {
  loss: 0.2,
  halfDays: 11,
  early: 0.8,
  late: 0.65,
  slowShare: 0,
  slowHalfDays: 1,
}
/** Readings of bars that dry in a known way, to the scale's tenth of a gram. */
const series = (shape: DryingShape, days: number[], bars: number[]): WeighIn[] =>
  days.flatMap((day) =>
    bars.map((grams, bar) => ({
      day,
      bar,
      grams: Math.round(grams * leftAfter(shape, day) * 10) / 10,
    })),
  )
const bars = [118, 121, 124]
const prior = dryingPrior(0.3, 120, 0.5)
const fit = (weighIns: WeighIn[]) => fitDrying(prior, weighIns, randomSource(1))
const forecast = (weighIns: WeighIn[]) => dryingForecast(fit(weighIns), randomSource(1))

describe('the shape of drying', () => {
  it('of one exponential is dry when the loss to come is a hundredth, by hand', () => {
    expect(dryDay(exponential(0.2, 0.05))).toBeCloseTo(Math.log(20) / 0.05, 1)
    expect(dryDay(exponential(0.008, 0.05))).toBe(0)
    expect(dryDay(exponential(0.2, 0.05), 0.02)).toBeCloseTo(Math.log(10) / 0.05, 1)
    expect(leftAfter(exponential(0.2, 0.05), 1e6)).toBeCloseTo(0.8, 9)
  })

  it('is half gone at its half, and stretched early and late, by hand', () => {
    const shape = { ...slow, halfDays: 10, early: 0.6, late: 1 }
    expect(goneAfter(shape, 10)).toBeCloseTo(0.5, 9)
    // A quarter of a half: β = 1 − 0.4/1.25 = 0.68, 1 − 2^−(0.25^0.68); three halves: β 0.9, 1 − 2^−(3^0.9).
    expect(goneAfter(shape, 2.5)).toBeCloseTo(0.2366, 4)
    expect(goneAfter(shape, 30)).toBeCloseTo(0.8448, 4)
    expect(goneAfter(shape, 0)).toBe(0)
    // A quarter of it in a stage of 40 days: ¾ · ½ + ¼ · (1 − 2^−¼).
    const slower = { ...shape, slowShare: 0.25, slowHalfDays: 40 }
    expect(goneAfter(slower, 10)).toBeCloseTo(0.375 + 0.25 * (1 - 2 ** -0.25), 9)
  })

  it('never gains, whatever the shape', () => {
    const shapes = fc.record({
      loss: fc.double({ min: 0, max: 0.4, noNaN: true }),
      halfDays: fc.double({ min: 1, max: 90, noNaN: true }),
      early: fc.double({ min: 0.4, max: 1.9, noNaN: true }),
      late: fc.double({ min: 0.4, max: 1.6, noNaN: true }),
      slowShare: fc.double({ min: 0, max: 0.6, noNaN: true }),
      slowHalfDays: fc.double({ min: 5, max: 400, noNaN: true }),
    })
    const day = fc.double({ min: 0, max: 900, noNaN: true })
    fc.assert(
      fc.property(shapes, day, day, (shape, a, b) => {
        const [early, late] = [goneAfter(shape, Math.min(a, b)), goneAfter(shape, Math.max(a, b))]
        return early >= 0 && late >= early - 1e-12 && late <= 1
      }),
      runs(200),
    )
  })
})

describe('what is expected beforehand', () => {
  it('goes by the water, the sides and the room', () => {
    const usual = dryingPrior(0.3, 135 * 1.05, 0.5)
    // (0.3 − 0.1) / (1 − 0.1), and the usual bar in the usual room.
    expect(usual.loss).toBeCloseTo(0.2222, 4)
    expect(usual.halfDays).toBeCloseTo(9.9, 6)
    expect(dryingPrior(0.3, 142, 0.75).halfDays).toBeCloseTo(usual.halfDays * 2, 1)
    // 1/25² + 1/60² + 1/90² against 1/50² + 1/60² + 1/90²: 2.49 times as long.
    expect(dryingPrior(0.3, 142, 0.5, [50, 60, 90]).halfDays / usual.halfDays).toBeCloseTo(2.49, 1)
    expect(dryingPrior(0.05, 100, 0.5).loss).toBe(0)
    expect(sidesOf(135 * 1.05).map(Math.round)).toEqual([25, 60, 90])
  })

  it('is months wide, and says so', () => {
    const { dry, levelled } = forecast([])
    expect(levelled).toBe(false)
    expect(dry.to - dry.from).toBeGreaterThan(60)
  })
})

describe('weigh-ins', () => {
  const days = [1, 8, 15, 22, 29, 43, 57, 78, 99]
  const all = series(slow, days, bars)

  it('hold the truth, and narrow the band once the tail shows', () => {
    const quick = exponential(0.2, 0.07)
    for (const shape of [slow, quick]) {
      const told = series(shape, days, bars)
      const widths = [0, 3, 6, 9].map((count) => {
        const { dry } = forecast(told.filter(({ day }) => days.indexOf(day) < count))
        expect(dryDay(shape)).toBeGreaterThan(dry.from)
        expect(dryDay(shape)).toBeLessThan(dry.to)
        return dry.to - dry.from
      })
      if (shape === quick) expect(widths[3]).toBeLessThan(widths[0]! / 3)
    }
    const fitted = fit(all)
    expect(fitted.marked).toBeGreaterThan(119)
    expect(fitted.marked).toBeLessThan(123)
    expect(fitted).toMatchObject({ bars: 3, times: 9, lastDay: 99 })
  })

  it('are asked for until the loss was seen to level off', () => {
    const quick = exponential(0.2, 0.1)
    expect(forecast(series(quick, [1, 8, 15], bars)).levelled).toBe(false)
    expect(forecast(series(quick, [1, 8, 15, 22, 29, 36, 43, 57, 71], bars)).levelled).toBe(true)
  })

  it('never raise the label weight before that, and only what was seen does after', () => {
    const heavy = bars.map((grams) => grams * 1.1)
    const before = forecast([]).netGrams
    expect(forecast(series(slow, [1, 8], heavy)).netGrams).toBeLessThanOrEqual(before)
    const quick = exponential(0.15, 0.1)
    const dried = forecast(series(quick, [1, 8, 15, 22, 29, 36, 43, 57, 71], heavy))
    expect(dried.levelled).toBe(true)
    expect(dried.netGrams).toBeGreaterThan(before)
    // Bars of 132.9 g at the pour that differ by some 2.5 to 5 % weigh 113 g when long dried.
    expect(dried.netGrams).toBeGreaterThan(101)
    expect(dried.netGrams).toBeLessThan(109)
  })

  it('one bar at a wall and one slip of the hand move the date by little', () => {
    const plain = forecast(all).dry.at
    const wall = all.map((one) =>
      one.bar === 0 ? { ...one, grams: bars[0]! * leftAfter(slow, one.day / 2) } : one,
    )
    const slip = all.map((one, place) => (place === 10 ? { ...one, grams: one.grams - 10 } : one))
    for (const odd of [wall, slip]) {
      const { at } = forecast(odd).dry
      expect(Math.abs(at - plain) / plain).toBeLessThan(0.25)
    }
  })

  it('a bar that is soap-dry at once, and one heavier than the batter says, still fit', () => {
    const heavy = fitDrying(
      dryingPrior(0.3, 100, 0.5),
      [{ day: 3, bar: 1, grams: 180 }],
      randomSource(1),
    )
    expect(heavy.shape.loss).toBeGreaterThan(0.05)
    expect(heavy.marked).toBeGreaterThan(170)
    const dried = fitDrying(
      dryingPrior(0.06, 100, 0.5),
      [{ day: 3, bar: 1, grams: 100 }],
      randomSource(1),
    )
    expect(dryingForecast(dried, randomSource(1)).dry.at).toBe(0)
  })

  it('give the same again, and a curve that goes through what was weighed', () => {
    expect(forecast(all)).toEqual(forecast(all))
    const curve = dryingCurve(fit(all), 99)
    expect(curve).toHaveLength(31)
    expect(curve.at(-1)!.day).toBe(99)
    const last = curve.at(-1)!
    expect(last.low).toBeLessThanOrEqual(last.at)
    expect(last.high).toBeGreaterThanOrEqual(last.at)
    // The mean marked bar at the end: 121 g, less what has gone.
    expect(last.at).toBeCloseTo(121 * leftAfter(slow, 99), 0)
  })
})

describe('several bars as one reading a day', () => {
  it('are their mean where nothing is odd', () => {
    const { days, bars: differ } = weighedDays(
      series(exponential(0.2, 0.05), [1, 8], [100, 100, 100]),
    )
    expect(days.map(({ day }) => day)).toEqual([1, 8])
    expect(Math.exp(days[1]!.ln)).toBeCloseTo(100 * leftAfter(exponential(0.2, 0.05), 8), 1)
    expect(differ.every((one) => Math.abs(one) < 1e-6)).toBe(true)
    // Three readings of 0.2 g and 0.15 %: √(0.002² + 0.0015²) / √3.
    expect(days[0]!.sd).toBeCloseTo(0.00144, 4)
  })

  it('leave out a slip, and tell a bar that was weighed on other days by what its mates lost', () => {
    const shape = exponential(0.2, 0.05)
    const clean = weighedDays(series(shape, [1, 8, 15], bars)).days
    const slip = series(shape, [1, 8, 15], bars).map((one, at) =>
      at === 4 ? { ...one, grams: one.grams + 10 } : one,
    )
    expect(weighedDays(slip).days[1]!.ln).toBeCloseTo(clean[1]!.ln, 2)
    const gap = series(shape, [1, 8, 15], bars).filter(({ bar, day }) => bar !== 2 || day !== 8)
    expect(weighedDays(gap).days[1]!.ln).toBeCloseTo(clean[1]!.ln, 2)
    expect(weighedDays([])).toEqual({ days: [], bars: [] })
  })
})

describe('the clock of drying', () => {
  const day = (nth: number, humidity: number) => ({
    day: `2026-03-${String(nth).padStart(2, '0')}`,
    celsius: 18,
    humidity,
  })
  it('counts a damp day for less than one, and unknown days as they are', () => {
    // At 75 % half as fast as at 50 %; the 3rd was not logged.
    const clock = dryingClock('2026-03-01', [day(1, 0.5), day(2, 0.75), day(4, 0.5)], 0.5)
    expect(clock.timeAt(1)).toBeCloseTo(1, 9)
    expect(clock.timeAt(1.5)).toBeCloseTo(1.25, 9)
    expect(clock.timeAt(4)).toBeCloseTo(3.5, 9)
    expect(clock.timeAt(14)).toBeCloseTo(13.5, 9)
    for (const time of [0, 0.4, 1.3, 2.7, 3.5, 20])
      expect(clock.timeAt(clock.dayAt(time))).toBeCloseTo(time, 9)
  })

  it('is the calendar where nothing was logged since the pour', () => {
    expect(dryingClock('2026-03-10', [day(1, 0.9)], 0.5)).toBe(plainClock)
  })

  it('moves the dry day: after damp weeks bars are dry later', () => {
    const damp = Array.from({ length: 28 }, (_, at) => day(at + 1, 0.75))
    const clock = dryingClock('2026-03-01', damp, 0.5)
    const late = dryingForecast(fitDrying(prior, [], randomSource(1), clock), randomSource(1)).dry
    const plain = forecast([]).dry
    expect(late.at - plain.at).toBe(14)
  })
})
