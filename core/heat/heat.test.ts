import { usualSetup, type BatterStage } from '#contracts/benchWords'
import { describe, expect, it } from 'vitest'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { randomSource } from '../statistics/randomSource'
import {
  celsiusAt,
  celsiusBefore,
  fitCooling,
  minuteAt,
  perMinuteOf,
  usualPrior,
  type Curve,
} from './cooling'
import {
  heatPerMol,
  heatTakenBy,
  openJugPeak,
  peakWithoutLoss,
  sightOf,
  solutionHeat,
  suspectsWeakLye,
  type LyeJug,
} from './dissolving'
import { afterPour, gelForecast } from './gel'
import { adviceFor, mayCombine, meetingOf, meetingRange, windowOf } from './meeting'

const jug = (changes: Partial<LyeJug> = {}): LyeJug => ({
  naoh: 100,
  koh: 0,
  readyNaoh: 0,
  readyWater: 0,
  water: 200,
  ice: 0,
  other: 0,
  roomC: 20,
  iceC: -18,
  jugHeat: 0,
  ...changes,
})

describe('the heat of dissolving', () => {
  it('goes through the table and never turns between its points', () => {
    expect(heatPerMol(3)).toBeCloseTo(28.89, 9)
    expect(heatPerMol(10)).toBeCloseTo(42.51, 9)
    for (let n = 2.2; n < 20; n += 0.1)
      expect(heatPerMol(n + 0.1)).toBeGreaterThanOrEqual(heatPerMol(n) - 1e-12)
  })

  it('2 : 1 from 20 °C arrives near 104 °C, with half the water as ice near 62', () => {
    expect(peakWithoutLoss(jug())).toBeGreaterThan(102)
    expect(peakWithoutLoss(jug())).toBeLessThan(107)
    const iced = peakWithoutLoss(jug({ water: 100, ice: 100 }))
    expect(iced).toBeGreaterThan(59)
    expect(iced).toBeLessThan(65)
  })

  it('is the enthalpy balance worked by hand: 100 g in 180.15 g of water, n = 4, from 25 °C', () => {
    // 100/39.997 mol · 34.43 kJ = 86081 J over 280.15 g · (4.18 − 1.9 · 100/280.15) J/gK
    const water = 4 * 18.015 * (100 / 39.997)
    const capacity = (100 + water) * (4.18 - 1.9 * (100 / (100 + water)))
    expect(peakWithoutLoss(jug({ water, roomC: 25 }))).toBeCloseTo(
      25 + ((100 / 39.997) * 34430) / capacity,
      9,
    )
  })

  it('a 50 % solution diluted to 2 : 1 warms by about 30 K', () => {
    const ready = jug({ naoh: 0, readyNaoh: 100, readyWater: 100, water: 100 })
    expect(peakWithoutLoss(ready) - 20).toBeGreaterThan(25)
    expect(peakWithoutLoss(ready) - 20).toBeLessThan(35)
  })

  it('expects an open jug 10 to 20 K below, and suspects weak lye well under that', () => {
    const peak = peakWithoutLoss(jug())
    const range = openJugPeak(jug())
    expect(range.low).toBeCloseTo(peak - 20, 9)
    expect(range.high).toBeCloseTo(peak - 10, 9)
    const sign = range.low - 4
    expect(suspectsWeakLye(jug(), sign + 0.1)).toBe(false)
    expect(suspectsWeakLye(jug(), sign - 0.1)).toBe(true)
    expect(peakWithoutLoss(jug({ naoh: 0 }))).toBe(20)
  })

  it.each([
    [136, 150, 'plastic', 80, 90],
    [136, 400, 'steel', 75, 85],
    [136, 600, 'glass', 64, 74],
    [65, 150, 'plastic', 75, 85],
  ] as const)('%d g at 2 : 1 in %d g of %s: %d to %d °C', (naoh, grams, stuff, low, high) => {
    const range = openJugPeak(
      jug({ naoh, water: 2 * naoh, jugHeat: heatTakenBy({ grams, stuff }) }),
    )
    expect(Math.abs(range.low - low)).toBeLessThan(2)
    expect(Math.abs(range.high - high)).toBeLessThan(2)
  })

  it.each([
    [136, 0.83, 0.75],
    [30, 0.81, 0.71],
  ])(
    'in a batch of %d g shows lye under %d at even odds, surely under %d',
    (naoh, even, surely) => {
      const own = jug({ naoh, water: 2 * naoh, jugHeat: heatTakenBy(usualSetup.jug) })
      const sight = sightOf(own)!
      expect(Math.abs(sight.even - even)).toBeLessThan(0.015)
      expect(Math.abs(sight.surely - surely)).toBeLessThan(0.015)
      // Lye of that strength, losing what is usual, peaks where the sign is.
      const peakOf = (share: number) =>
        peakWithoutLoss({ ...own, naoh: naoh * share, water: naoh * (3 - share) })
      expect(suspectsWeakLye(own, peakOf(sight.even - 0.01) - 15)).toBe(true)
      expect(suspectsWeakLye(own, peakOf(sight.even + 0.01) - 15)).toBe(false)
      expect(suspectsWeakLye(own, peakOf(sight.surely - 0.01) - 9)).toBe(true)
    },
  )

  it('tells nothing of the lye where frozen liquid, ready-mixed lye or much liquid hide it', () => {
    const frozen = jug({ water: 0, ice: 200 })
    expect(sightOf(frozen)).toBeNull()
    expect(openJugPeak(frozen)).toMatchObject({ frozen: true })
    expect(openJugPeak(frozen).high).toBeLessThan(35)
    expect(suspectsWeakLye(frozen, -5)).toBe(false)
    const ready = jug({ naoh: 0, readyNaoh: 100, readyWater: 100, water: 100 })
    expect(sightOf(ready)).toBeNull()
    expect(suspectsWeakLye(ready, 0)).toBe(false)
    expect(sightOf(jug({ naoh: 5, water: 200 }))).toBeNull()
  })

  it('potash gives 57.6/44.5 of the heat per mole into a solution of about 3.1 J/gK', () => {
    expect(solutionHeat(0.275, 1)).toBeCloseTo(3.1, 1)
    expect(solutionHeat(1 / 3)).toBeCloseTo(4.18 - 1.9 / 3, 9)
    // 100 g of potash in 300 g from 25 °C: 100/56.1056 mol · heat at n = 9.34 · 57.6/44.5 over 400 · (4.18 − 3.9/4).
    const moles = 100 / 56.1056
    const heat = moles * 1000 * heatPerMol(300 / 18.015 / moles) * (57.6 / 44.5)
    const capacity = 400 * (4.18 - 3.9 * 0.25)
    expect(peakWithoutLoss(jug({ naoh: 0, koh: 100, water: 300, roomC: 25 }))).toBeCloseTo(
      25 + heat / capacity,
      6,
    )
  })
})

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

describe('gel and what comes after the pour', () => {
  const of = (
    changes: object,
    method: object = {},
    how: { mixC?: number; stage?: BatterStage } = {},
  ) => {
    const blank = blankFormula('Loaf')
    const document = {
      ...blank,
      fats: [
        { id: 'olive', share: 0.7, moment: 'pot' as const, inLye: true },
        { id: 'coconut', share: 0.3, moment: 'pot' as const, inLye: true },
      ],
      ...changes,
      method: { ...blank.method, ...method },
    }
    const result = computeFormula(document, library)
    const forecast = gelForecast(document, result, 35)
    return {
      forecast,
      after: afterPour(document, result, library, forecast, {
        firm: 45,
        mixC: 35,
        stage: null,
        ...how,
      }),
    }
  }

  it('onset falls with water: 80 at 1 : 1, 72 at 2 : 1, 64 at 3 : 1', () => {
    for (const [value, onset] of [
      [1, 80],
      [2, 72],
      [3, 64],
    ] as const)
      expect(of({ water: { held: 'ratio', value } }).forecast.onsetC).toBeCloseTo(onset, 9)
  })

  it('a tube loses its heat as a cylinder: faster than a loaf as wide', () => {
    const mould = (one: object) => of({ size: { by: 'mould', mould: one, fill: 1 } }).forecast
    const tube = mould({ shape: 'cylinder', diameterMm: 80, depthMm: 200 })
    const loaf = mould({ shape: 'box', lengthMm: 200, widthMm: 80, depthMm: 80 })
    const cups = mould({ shape: 'cavities', count: 6, millilitres: 512 })
    // An hour to react, and half of R²/(2.405²·a), 4R²/(π²·a), 4R²/(3π²·a) with R 0.04 m and a 1.1e-7 m²/s.
    expect(tube.peakHours).toBeCloseTo(1 + 0.6986 / 2, 3)
    expect(loaf.peakHours).toBeCloseTo(1 + 1.6375 / 2, 3)
    expect(cups.peakHours).toBeCloseTo(1 + 0.5458 / 2, 3)
    expect(tube.peak.usual).toBeLessThan(loaf.peak.usual)
  })

  it('wrapped it gels, chilled it does not, left alone nobody can be sure', () => {
    expect(of({}, { gel: 'force' }).forecast.verdict).toBe('gels')
    expect(of({}, { gel: 'prevent' }).forecast.verdict).toBe('stays')
    expect(of({}).forecast.verdict).toBe('may-ring')
  })

  it('the window goes with water, citric acid and salt', () => {
    const plain = of({}).after.unmould
    const dry = of({ water: { held: 'ratio', value: 1.5 } }).after.unmould
    const citric = of({
      additives: [{ id: 'citric-acid-anhydrous', rate: 0.015, of: 'oils', carrier: null }],
    }).after
    expect(dry.to).toBeLessThan(plain.to)
    expect(citric.unmould.from).toBeGreaterThan(plain.from * 1.9)
    expect(citric.because).toContain('citric acid')
  })

  it('the window goes with how warm it was mixed, how thick it was poured and what was drawn on top', () => {
    const { from } = of({}).after.unmould
    const warm = of({}, {}, { mixC: 50 }).after
    expect(warm.unmould.from).toBeLessThan(from)
    expect(warm.because).toContain('mixed warm')
    expect(of({}, {}, { stage: 'light' }).after.unmould.from).toBeGreaterThan(from)
    expect(of({}, {}, { stage: 'thick' }).after.unmould.from).toBeLessThan(from)
    expect(of({}, { patterns: ['drizzle'] }).after.unmould.from).toBeGreaterThan(from)
  })
})
