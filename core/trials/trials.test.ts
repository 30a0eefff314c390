import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { randomSource } from '../statistics/randomSource'
import { controlZero, dosedTooLong, ricedOf, stagesOf, type Mark, type RoundPot } from './clocks'
import { newCodes, readCode, signs } from './codes'
import { batterFor, doseFor, isOff, rateOf, stepFor } from './dose'
import { readingOf } from './reading'

describe('dose', () => {
  it('55 g of batter that is 70 % oils, at 4 %: 1.54 g', () => {
    expect(doseFor(55, 0.7, 0.04)).toBeCloseTo(1.54, 10)
    expect(rateOf({ batter: 55, scent: 1.54 }, 0.7)).toBeCloseTo(0.04, 10)
    expect(rateOf({ batter: 0, scent: 1 }, 0.7)).toBe(0)
    // 0.2 points of 38.5 g of oils.
    expect(stepFor(55, 0.7)).toBeCloseTo(0.077, 10)
    expect(batterFor([60, 60, 40])).toBeCloseTo(172.8, 10)
  })
  it.each([
    [1.54, 0.01, false],
    [1.61, 0.01, false],
    [1.62, 0.01, true],
    [1.46, 0.01, true],
    // A scale of 0.1 g tells no 0.08 g from nothing: 0.1/38.5 are 0.26 points.
    [1.63, 0.1, false],
    [1.65, 0.1, true],
  ])('%d g on a scale of %d g: off %s', (scent, step, off) => {
    expect(isOff({ batter: 55, scent }, { oilShare: 0.7, rate: 0.04, step })).toBe(off)
  })
  it('a pot without oils is off as soon as scent is in it', () => {
    expect(isOff({ batter: 0, scent: 0 }, { oilShare: 0.7, rate: 0.04, step: 0.01 })).toBe(false)
    expect(isOff({ batter: 0, scent: 1 }, { oilShare: 0.7, rate: 0.04, step: 0.01 })).toBe(true)
  })
})

describe('codes', () => {
  const apart = (one: string, other: string) =>
    [...one].filter((sign, at) => sign !== other[at]).length
  it('one sign misread never names another of a drawer of eighty', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), (seed) => {
        const codes = newCodes(80, ['NA7', 'KF4'], randomSource(seed))
        const all = ['NA7', 'KF4', ...codes]
        for (const [at, one] of all.entries())
          for (const other of all.slice(at + 1)) expect(apart(one, other)).toBeGreaterThanOrEqual(2)
      }),
      { numRuns: 5 },
    )
  })
  it('a drawer of three hundred has three hundred codes', () => {
    const codes = newCodes(300, [], randomSource(4))
    expect(new Set(codes).size).toBe(300)
    expect(codes.every((code) => [...code].every((sign) => signs.includes(sign)))).toBe(true)
    expect(newCodes(5, [], randomSource(4))).toEqual(codes.slice(0, 5))
    expect(() => newCodes(2745, [], randomSource(1))).toThrow(RangeError)
  })
  it.each([
    [' na7 ', 'NA7'],
    ['NB7', null],
    ['NA', null],
    ['NA77', null],
  ])('reads %j as %s', (text, code) => {
    expect(readCode(text)).toBe(code)
  })
})

const mark = (minutes: number, saw: Mark['saw'], unsure?: boolean): Mark =>
  unsure ? { minutes, saw, unsure } : { minutes, saw }
const pot = (zero: number | null, ...marks: Mark[]): RoundPot => ({ zero, marks, until: 60 })

describe('clocks of a round', () => {
  it('every pot has its own zero', () => {
    const stages = stagesOf([mark(14, 'light'), mark(22, 'medium', true), mark(30, 'thick')], 10)
    expect(stages.light).toEqual({ minutes: 4, unsure: false })
    expect(stages.medium).toEqual({ minutes: 12, unsure: true })
    expect(stages.thick).toEqual({ minutes: 20, unsure: false })
    expect(stages['too-far']).toBeUndefined()
  })
  it('who saw it thick has seen medium pass, and one that seizes is past pouring', () => {
    expect(stagesOf([mark(15, 'thick')], 10).medium).toEqual({ minutes: 5, unsure: false })
    expect(stagesOf([mark(11, 'seizes')], 10)['too-far']).toEqual({ minutes: 1, unsure: false })
    expect(stagesOf([mark(12, 'rices'), mark(13, 'discolours')], 10)).toEqual({})
  })
  it('what came before it loosened does not count, nor what came before its zero', () => {
    const stages = stagesOf([mark(12, 'medium'), mark(14, 'loosens'), mark(40, 'medium')], 10)
    expect(stages.medium?.minutes).toBe(30)
    expect(stagesOf([mark(8, 'light'), mark(20, 'medium')], 10).light?.minutes).toBe(10)
  })
  it('marks count in the order of the clock, not in that of writing', () => {
    expect(stagesOf([mark(30, 'thick'), mark(20, 'medium')], 10).medium?.minutes).toBe(10)
  })
  it('is grainy from its first grain until somebody sees it smooth', () => {
    const marks = [mark(14, 'smooth-again'), mark(11, 'rices')]
    expect(ricedOf(marks, 10)).toEqual({ from: 1, to: 4 })
    expect(ricedOf([mark(11, 'rices')], 10)).toEqual({ from: 1, to: null })
    expect(ricedOf([mark(11, 'smooth-again')], 10)).toBeNull()
  })
  it('the control begins in the middle of the others', () => {
    expect(controlZero([pot(4), pot(null), pot(10), pot(20)])).toBe(10)
    expect(controlZero([pot(null)])).toBe(0)
  })
  it.each([
    // The control is medium at 50, its zero the middle of the others': 12.5 and 37.5 min, a fifth of which is 7.5.
    [[pot(8), pot(17), pot(null, mark(50, 'medium'))], true],
    [[pot(10), pot(15), pot(null, mark(50, 'medium'))], false],
    // Never medium: the time it was watched, 60 − 30.
    [[pot(25), pot(35), pot(null)], true],
    [[pot(28), pot(32), pot(null)], false],
    [[pot(0), pot(50)], false],
  ])('dosing that takes over a fifth of the control’s time is said (%#)', (round, long) => {
    expect(dosedTooLong(round)).toBe(long)
  })
})

describe('what a pot says', () => {
  const tried = { rate: 0.05, ratio: 2.14 }
  const plain = pot(null, mark(20, 'light'), mark(40, 'medium'), mark(52, 'thick'))
  const d = (one: RoundPot, ...others: RoundPot[]) => readingOf(one, [one, ...others], tried)
  it('compares by medium where both reached it', () => {
    const seen = d(pot(0, mark(4, 'light'), mark(10, 'medium')), plain)
    expect(seen).toMatchObject({ is: 'seen', unsure: false, ...tried })
    expect(seen!.d).toBeCloseTo(Math.log(10 / 40), 10)
  })
  it('compares by light where the pot got no further', () => {
    expect(d(pot(0, mark(30, 'light')), plain)!.d).toBeCloseTo(Math.log(30 / 20), 10)
  })
  it('two controls count as their geometric mean, on the middle zero', () => {
    const other = pot(null, mark(90, 'medium'))
    expect(d(pot(0, mark(10, 'medium')), plain, other)!.d).toBeCloseTo(Math.log(10 / 60), 10)
    // With pots dosed at 0 and 20 the control's 40 on the shared clock are 30 of its own.
    expect(d(pot(0, mark(10, 'medium')), plain, pot(20))!.d).toBeCloseTo(Math.log(10 / 30), 10)
  })
  it('one that never got there is longer, a control that never did makes it shorter', () => {
    const never = d(pot(0), plain)
    expect(never).toMatchObject({ is: 'atLeast' })
    expect(never!.d).toBeCloseTo(Math.log(60 / 20), 10)
    const racer = d(pot(0, mark(3, 'too-far')), pot(null))
    expect(racer).toMatchObject({ is: 'atMost' })
    expect(racer!.d).toBeCloseTo(Math.log(3 / 60), 10)
    expect(d(pot(0), pot(null))).toBeNull()
  })
  it('says nothing without a control, and a control says nothing of itself', () => {
    expect(d(pot(0, mark(3, 'medium')))).toBeNull()
    expect(readingOf(plain, [plain], tried)).toBeNull()
  })
  it('doubt of either side is kept; at once is a quarter of a minute', () => {
    expect(d(pot(0, mark(10, 'medium', true)), plain)!.unsure).toBe(true)
    expect(d(pot(0, mark(10, 'medium')), pot(null, mark(40, 'medium', true)))!.unsure).toBe(true)
    expect(d(pot(0, mark(0, 'seizes')), plain)!.d).toBeCloseTo(Math.log(0.25 / 40), 10)
  })
})
