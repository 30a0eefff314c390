import { describe, expect, it } from 'vitest'
import { mean } from '../statistics/sum'
import { randomSource } from '../statistics/randomSource'
import {
  celsiusAt,
  celsiusBefore,
  fitCooling,
  minuteAt,
  perMinuteOf,
  usualPrior,
  type CoolingFit,
  type Curve,
} from './cooling'
import {
  adviceFor,
  iceMinutes,
  isIn,
  mayCombine,
  meetingOf,
  meetingRange,
  windowOf,
} from './meeting'

const curve = (startC: number, perMinute: number, roomC = 20): Curve => ({
  from: 0,
  startC,
  perMinute,
  roomC,
})
const window = windowOf(35, 35, null)

describe('the two vessels', () => {
  it('meet when the slower is in the window too: by hand', () => {
    // 84 falls to 38 at ln(64/18)/0.03 = 42.28 min, the oils are at 36.5 by then
    const at = meetingOf(curve(84, 0.03), curve(60, 0.0211), window, 0)!
    expect(at).toBeCloseTo(Math.log(64 / 18) / 0.03, 6)
    expect(mayCombine(window, celsiusAt(curve(84, 0.03), at), 36.4)).toBe(true)
  })

  it('do not meet when one is past the window first; then it is to be warmed', () => {
    const lye = curve(90, 0.02)
    const oils = curve(45, 0.015)
    expect(meetingOf(lye, oils, window, 0)).toBeNull()
    const advice = adviceFor([lye, oils], window, 0, { at: null, from: 0, to: 0, likely: 0 })!
    expect(advice).toMatchObject({ vessel: 'oils', does: 'warm' })
    // warmed so, they meet
    expect(meetingOf(lye, curve(advice.toC, 0.015), window, 0)).not.toBeNull()
  })

  it('ice the lye where the oils would have to be far too hot', () => {
    const advice = adviceFor([curve(90, 0.012), curve(45, 0.03)], window, 0, {
      at: null,
      from: 0,
      to: 0,
      likely: 0,
    })
    expect(advice).toMatchObject({ vessel: 'lye', does: 'ice' })
    // 90 to 35 in water of 2 °C that takes heat eight times as fast
    expect(advice!.minutes).toBeCloseTo(Math.log(88 / 33) / (0.012 * 8), 6)
  })

  it('wait for a difference inside two wide windows', () => {
    const wide = { lye: { low: 20, high: 60 }, oils: { low: 20, high: 60 }, apart: 5 }
    const at = meetingOf(curve(60, 0.05), curve(40, 0.005), wide, 0)!
    expect(celsiusAt(curve(60, 0.05), at) - celsiusAt(curve(40, 0.005), at)).toBeCloseTo(5, 1)
  })

  it('a milk guard cuts the window off above', () => {
    expect(windowOf(37, 37, 38).lye).toEqual({ low: 34, high: 38 })
    expect(windowOf(45, 45, 38).oils).toEqual({ low: 35, high: 38 })
  })

  it('a fit of exact readings finds the curve, and one without readings has none', () => {
    const truth = curve(85, 0.02, 20)
    const readings = [0, 5, 10, 20, 40].map((minutes) => ({
      minutes,
      celsius: celsiusAt(truth, minutes),
    }))
    const fit = fitCooling(
      [
        { readings, perMinute: 0.015 },
        { readings: [], perMinute: 0.015 },
      ],
      usualPrior(20),
    )
    for (const minutes of [20, 60, 90])
      expect(Math.abs(celsiusAt(fit.curves[0]!, minutes) - celsiusAt(truth, minutes))).toBeLessThan(
        1,
      )
    expect(fit.curves[0]!.roomC).toBeCloseTo(20, 0)
    expect(fit.curves[1]).toBeNull()
    expect(fitCooling([{ readings: [], perMinute: 0.01 }], usualPrior(20)).curves).toEqual([null])
  })

  it('the range holds the moment and narrows with readings', () => {
    const still = { power: 0.2 }
    const truths = [
      { ...curve(84, 0.02), ...still },
      { ...curve(62, 0.015), ...still },
    ] as const
    const noise = randomSource(4)
    const fitFor = (until: number) =>
      fitCooling(
        truths.map((truth) => ({
          perMinute: 0.014,
          readings: Array.from({ length: until * 2 + 1 }, (_, at) => ({
            minutes: at / 2,
            celsius: celsiusAt(truth, at / 2) + noise.normal() * 0.3,
          })),
        })),
        usualPrior(20.5),
      )
    const truth = meetingOf(truths[0], truths[1], window, 0)!
    const early = meetingRange(fitFor(5), window, 5, randomSource(1))
    const late = meetingRange(fitFor(40), window, 40, randomSource(1))
    expect(early.from).toBeLessThan(truth)
    expect(early.to).toBeGreaterThan(truth)
    expect(late.to - late.from).toBeLessThan((early.to - early.from) / 2)
    expect(Math.abs(late.at! - truth)).toBeLessThan(3)
  })

  it('in still air it loses more than in proportion far from the room, told at 20 K', () => {
    const still: Curve = { ...curve(84, 0.02), power: 0.25 }
    // dT/dt at 40 K: 0.02 · 40 · 2^0.25 = 0.951 K a minute.
    const at = minuteAt(still, 60)
    expect((celsiusAt(still, at - 0.05) - celsiusAt(still, at + 0.05)) / 0.1).toBeCloseTo(0.9514, 3)
    // At 20 K as Newton has it.
    const near = minuteAt(still, 40)
    expect((celsiusAt(still, near - 0.05) - celsiusAt(still, near + 0.05)) / 0.1).toBeCloseTo(
      0.4,
      3,
    )
    expect(celsiusAt(still, minuteAt(still, 37))).toBeCloseTo(37, 9)
    expect(minuteAt(still, 15)).toBe(Infinity)
    // What has to be 84 now to be at 60 then.
    expect(celsiusBefore(still, 60, at)).toBeCloseTo(84, 6)
    expect(celsiusAt({ ...still, power: 0 }, 10)).toBeCloseTo(20 + 64 * Math.exp(-0.2), 9)
  })

  it('a small vessel cools faster than a large one', () => {
    expect(perMinuteOf(470, 2100)).toBeCloseTo(0.0125, 3)
    expect(perMinuteOf(4700, 21000)).toBeLessThan(perMinuteOf(470, 2100) / 2)
  })
})

describe('a window', () => {
  it('holds its ends, and both vessels have to be in theirs and near each other', () => {
    const own = { low: 32, high: 38 }
    expect([31.9, 32, 38, 38.1].map((celsius) => isIn(own, celsius))).toEqual([
      false,
      true,
      true,
      false,
    ])
    expect(mayCombine(window, 32, 37)).toBe(true)
    expect(mayCombine(window, 32, 37.1)).toBe(false)
    expect(mayCombine(window, 31, 33)).toBe(false)
    expect(mayCombine(window, 33, 31)).toBe(false)
    expect(windowOf(30, 45, null).apart).toBe(17)
    expect(windowOf(35, 36, null).apart).toBe(5)
  })
})

describe('the first moment', () => {
  const steady = (celsius: number): Curve => curve(celsius, 0.02, celsius)
  const cool = { lye: { low: 15, high: 21 }, oils: { low: 15, high: 21 }, apart: 10 }

  it('of a vessel that warms is when it is warm enough, and it may stay until it is too warm', () => {
    // 5 to 15 of a room of 25 °C: ln(20/10)/0.02 = 34.66 min; past 21 from ln(20/4)/0.02 = 80.5 min on.
    const ready = curve(5, 0.02, 25)
    expect(meetingOf(ready, steady(18), cool, 0)).toBeCloseTo(34.657, 3)
    expect(meetingOf(ready, steady(18), cool, 50)).toBe(50)
    expect(meetingOf(ready, steady(18), cool, 80)).toBe(80)
    expect(meetingOf(ready, steady(18), cool, 81)).toBeNull()
    expect(meetingOf(steady(18), ready, cool, 81)).toBeNull()
    // Where the room itself is in the window it stays.
    expect(meetingOf(curve(5, 0.02, 20), steady(18), cool, 5000)).toBe(5000)
  })

  it('of a vessel that cools is when it has cooled; never once it is too cold', () => {
    const lye = curve(60, 0.02)
    const low = { ...cool, lye: { low: 25, high: 30 } }
    // ln(40/10)/0.02 = 69.3; under 25 from ln(40/5)/0.02 = 104 on.
    expect(meetingOf(lye, steady(18), { ...low, apart: 15 }, 0)).toBeCloseTo(69.315, 3)
    expect(meetingOf(lye, steady(18), { ...low, apart: 15 }, 103)).toBe(103)
    expect(meetingOf(lye, steady(18), { ...low, apart: 15 }, 105)).toBeNull()
    // What stays outside never comes.
    expect(meetingOf(steady(40), steady(18), cool, 0)).toBeNull()
    expect(meetingOf(steady(18), steady(40), cool, 0)).toBeNull()
  })

  it('waits until they are near enough, and does not come when they never are', () => {
    const wide = { lye: { low: 20, high: 60 }, oils: { low: 20, high: 60 }, apart: 5 }
    // 40·e^(−0.05t) = 5 over a steady 20: t = ln(8)/0.05.
    expect(meetingOf(curve(60, 0.05), steady(20), wide, 0)).toBeCloseTo(Math.log(8) / 0.05, 1)
    expect(meetingOf(curve(60, 0.05), steady(20), wide, 30)).toBeCloseTo(Math.log(8) / 0.05, 1)
    expect(meetingOf(steady(50), steady(40), wide, 0)).toBeNull()
    expect(meetingOf(steady(45), steady(40), wide, 3)).toBe(3)
  })

  /** A fit whose draws meet at one minute, two, three …, the latest first; some do not meet. */
  function counting(meet: number) {
    let drawn = 0
    const fit: CoolingFit = {
      curves: [],
      draw: () => {
        const minutes = meet - drawn++
        const lye = curve(84, Math.log(64 / 18) / minutes)
        return [lye, minutes > 0 ? steady(36) : null]
      },
    }
    return { fit, count: () => drawn }
  }
  it('has the range in which nine of ten draws meet, where half of them meet at all', () => {
    const all = counting(400)
    const whole = meetingRange(all.fit, window, 0, randomSource(1))
    expect(all.count()).toBe(400)
    expect(whole.likely).toBe(1)
    expect(whole.at).toBeCloseTo(200.5, 6)
    expect(whole.from).toBeCloseTo(20.95, 6)
    expect(whole.to).toBeCloseTo(380.05, 6)
    const half = meetingRange(counting(200).fit, window, 0, randomSource(1))
    expect(half).toMatchObject({ likely: 0.5 })
    expect(half.at).toBeCloseTo(100.5, 6)
    expect(meetingRange(counting(199).fit, window, 0, randomSource(1))).toEqual({
      at: null,
      from: 0,
      to: 0,
      likely: 199 / 400,
    })
  })
})

describe('what to do about it', () => {
  const never = { at: null, from: 0, to: 0, likely: 0 }
  const at = (minute: number) => ({ at: minute, from: minute, to: minute, likely: 1 })
  const steady = (celsius: number): Curve => curve(celsius, 0.02, celsius)

  it('is nothing while nothing is known, or when the wait is short', () => {
    expect(adviceFor([curve(90, 0.02), null], window, 0, never)).toBeNull()
    expect(adviceFor([null, curve(90, 0.02)], window, 0, never)).toBeNull()
    expect(adviceFor([curve(84, 0.03), curve(60, 0.02)], window, 5, at(50))).toBeNull()
  })

  it('is ice for the later one when the wait is long', () => {
    const [late, soon] = [curve(90, 0.01), curve(50, 0.02)]
    const ice = { does: 'ice', toC: 35, because: 'long-wait' }
    const long = adviceFor([late, soon], window, 5, at(50.1))!
    expect(long).toMatchObject({ vessel: 'lye', ...ice })
    // At minute 5 it is at 20 + 70·e^(−0.05) = 86.59 °C; to 35 in water of 2 °C, eight times as fast.
    expect(long.minutes).toBeCloseTo(Math.log(84.586 / 33) / 0.08, 3)
    expect(adviceFor([soon, late], window, 5, at(50.1))).toMatchObject({ vessel: 'oils', ...ice })
  })

  it('is to warm the one that is too cold, to what it has to be at now', () => {
    // The oils are in their window at ln(40/18)/0.02 = 39.93 min: the lye is to be at 35 then.
    const warm = adviceFor([curve(25, 0.02), curve(60, 0.02)], window, 0, never)!
    expect(warm).toMatchObject({ vessel: 'lye', does: 'warm', because: 'too-cold-by-then' })
    expect(warm.minutes).toBeCloseTo(39.925, 2)
    expect(warm.toC).toBeCloseTo(20 + (15 * 40) / 18, 3)
    const later = adviceFor([curve(25, 0.02), curve(60, 0.02)], window, 10, never)!
    expect(later.minutes).toBeCloseTo(29.925, 2)
    expect(later.toC).toBeCloseTo(20 + 15 * Math.exp(0.02 * 29.925), 2)
    // Both too cold: one after the other, at once.
    expect(adviceFor([curve(25, 0.02), curve(28, 0.02)], window, 0, never)).toMatchObject({
      vessel: 'oils',
      does: 'warm',
      toC: 35,
      minutes: 0,
    })
    // In its window now, out of it before the other is in: 37 to 32 takes ln(17/12)/0.02 = 17.4 min.
    expect(adviceFor([curve(60, 0.02), curve(37, 0.02)], window, 0, never)).toMatchObject({
      vessel: 'oils',
      does: 'warm',
    })
    expect(adviceFor([curve(37, 0.02), curve(60, 0.02)], window, 0, never)).toMatchObject({
      vessel: 'lye',
      does: 'warm',
    })
  })

  it('is ice for the other where no warmth would do', () => {
    const airy: Curve = { ...curve(30, 0.05), power: 0.25 }
    expect(adviceFor([curve(90, 0.005), airy], window, 0, never)).toMatchObject({
      vessel: 'lye',
      does: 'ice',
      because: 'too-cold-by-then',
    })
  })

  it('is ice in a room that is too warm for the window', () => {
    const hot = { does: 'ice', because: 'too-warm-room', toC: 35 }
    expect(adviceFor([curve(80, 0.02, 42), steady(35)], window, 0, never)).toMatchObject({
      vessel: 'lye',
      ...hot,
    })
    expect(adviceFor([steady(35), curve(80, 0.02, 42)], window, 0, never)).toMatchObject({
      vessel: 'oils',
      ...hot,
    })
  })

  it('takes no ice for what is cold enough, or to what ice water never reaches', () => {
    expect(iceMinutes(curve(60, 0.02), 0, 60)).toBe(0)
    expect(iceMinutes(curve(60, 0.02), 0, 61)).toBe(0)
    expect(iceMinutes(curve(60, 0.02), 0, 2)).toBe(0)
    expect(iceMinutes(curve(60, 0.02), 0, 1)).toBe(0)
    expect(iceMinutes(curve(60, 0.02), 0, 31)).toBeCloseTo(Math.log(2) / 0.16, 9)
  })
})

describe('a curve and its fit', () => {
  it('ends at the room where the loss dies away early, and was never warmer than without end', () => {
    const early: Curve = { ...curve(60, 0.05), power: -0.5 }
    // √2 − 0.025 t runs out at 56.6 min.
    expect(celsiusAt(early, 56)).toBeGreaterThan(20)
    expect(celsiusAt(early, 57)).toBe(20)
    expect(celsiusAt({ ...curve(60, 0.05), power: 0.5 }, -200)).toBe(Infinity)
    expect(celsiusAt({ ...curve(20, 0.05), power: 0.5 }, 10)).toBe(20)
  })

  it('a vessel of no size cools as most do', () => {
    expect(perMinuteOf(0, 2000)).toBe(0.012)
    expect(perMinuteOf(500, 0)).toBe(0.012)
    expect(perMinuteOf(-1, -1)).toBe(0.012)
    expect(perMinuteOf(500, 2000)).toBeCloseTo((13 * 5.54 * 0.0005 ** (2 / 3) * 60) / 2000, 9)
  })

  it('draws a curve for each vessel that was read, from its last reading on, straying by 4.5 %', () => {
    const read = (above: number, pace: number) =>
      Array.from({ length: 121 }, (_, minute) => ({
        minutes: minute + 7,
        celsius: 20 + above * Math.exp(-pace * minute),
      }))
    const readings = read(64, 0.02)
    const fit = fitCooling(
      [
        { readings: [], perMinute: 0.02 },
        { readings, perMinute: 0.02 },
        { readings: read(50, 0.03), perMinute: 0.03 },
      ],
      { ...usualPrior(20), noiseC: 0.01 },
    )
    expect(fit.curves.map((one) => one?.from)).toEqual([undefined, 7, 7])
    expect(fit.curves[1]!.startC).toBeCloseTo(84, 1)
    expect(fit.curves[2]!.startC).toBeCloseTo(70, 1)
    expect(fit.curves[2]!.perMinute).toBeCloseTo(0.03, 3)
    const random = randomSource(2)
    const drawn = Array.from({ length: 2000 }, () => fit.draw(random))
    expect(drawn[0]![0]).toBeNull()
    expect(drawn[0]![1]).toMatchObject({ from: 127 })
    expect(drawn[0]![1]!.startC).toBeCloseTo(readings.at(-1)!.celsius, 0)
    const paces = drawn.map(([, one]) => Math.log(one!.perMinute / fit.curves[1]!.perMinute))
    const middle = mean(paces)
    const sd = Math.sqrt(mean(paces.map((pace) => (pace - middle) ** 2)))
    expect(Math.abs(middle)).toBeLessThan(0.01)
    expect(sd).toBeGreaterThan(0.043)
    expect(sd).toBeLessThan(0.06)
    expect(fitCooling([{ readings: [], perMinute: 0.01 }], usualPrior(20)).draw(random)).toEqual([
      null,
    ])
  })
})
