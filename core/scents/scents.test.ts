import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { randomSource, seedFrom } from '../statistics/randomSource'
import { capOfBlend, mostOfOils } from './caps'
import { judgedClaims } from './claims'
import { controlZero, dosedTooLong, ricedOf, stagesOf, type Mark, type RoundPot } from './clocks'
import { newCodes, readCode, signs } from './codes'
import { batterFor, doseFor, isOff, rateOf, stepFor } from './dose'
import { effectOf } from './effect'
import { fadesBy, noseCounts, sniffingOrder, strengthByDay, type Sniff } from './noses'
import { readingOf, type Reading } from './reading'

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

const seen = (d: number, more: Partial<Reading> = {}): Reading => ({
  d,
  is: 'seen',
  unsure: false,
  rate: 0.05,
  ratio: 2.14,
  ...more,
})

describe('what a scent does to time', () => {
  it('control 40 min, pot 10 and again 14: a factor of 0.322, 0.244 to 0.426', () => {
    const found = effectOf(null, [seen(Math.log(10 / 40)), seen(Math.log(14 / 40))])
    expect(found.b).toBeCloseTo(-1.1328, 4)
    expect(found.sd).toBeCloseTo(0.1696, 4)
    expect(found.factor).toBeCloseTo(0.322, 3)
    expect(found.from).toBeCloseTo(0.244, 3)
    expect(found.to).toBeCloseTo(0.426, 3)
    expect(found).toMatchObject({ pots: 2, rests: 'own' })
  })
  it.each([
    ['hurries', -0.9, 'word'],
    ['behaves', 0, 'word'],
    ['slows', 0.3, 'word'],
    [null, -0.15, 'nothing'],
  ] as const)('untried it is what was said: %s', (word, b, rests) => {
    const untried = effectOf(word, [])
    expect(untried).toMatchObject({ pots: 0, rests })
    expect(untried.b).toBeCloseTo(b, 10)
    expect(untried.sd).toBeCloseTo(0.6, 10)
  })
  const ds = fc.double({ min: -2, max: 1, noNaN: true })
  it('repeats that agree narrow the band', () => {
    fc.assert(
      fc.property(ds, fc.integer({ min: 1, max: 6 }), (d, times) => {
        const few = effectOf(
          null,
          Array.from({ length: times }, () => seen(d)),
        )
        const more = effectOf(
          null,
          Array.from({ length: times + 1 }, () => seen(d)),
        )
        expect(more.sd).toBeLessThan(few.sd)
        expect(Math.abs(more.b - d)).toBeLessThanOrEqual(Math.abs(few.b - d) + 1e-12)
      }),
    )
  })
  it('repeats that do not agree widen it, the further the more', () => {
    fc.assert(
      fc.property(ds, fc.double({ min: 0.5, max: 1.5, noNaN: true }), (d, off) => {
        const agreed = effectOf(null, [seen(d), seen(d)])
        const strayed = effectOf(null, [seen(d - off), seen(d + off)])
        expect(strayed.sd).toBeGreaterThan(agreed.sd)
        expect(effectOf(null, [seen(d - off * 1.2), seen(d + off * 1.2)]).sd).toBeGreaterThan(
          strayed.sd,
        )
        // By hand: √(Σ(d − mean)²/σ²) with σ 0.25.
        expect(strayed.sd / agreed.sd).toBeCloseTo(Math.max(1, Math.sqrt(2 * off ** 2) / 0.25), 6)
      }),
    )
  })
  it('longer than: what numerical integration over the same prior gives', () => {
    for (const bound of [-0.5, 0, 0.4, 1.2]) {
      const [prior, priorSd, sd] = [-0.15, 0.6, 0.25]
      // Independently: the bound's chance as a sum over a fine normal, not as a share of it.
      let [all, first, second] = [0, 0, 0]
      for (let b = -5; b < 6; b += 0.01) {
        let above = 0
        for (let e = -6; e < 6; e += 0.02)
          if (b + e * sd > bound) above += (Math.exp(-(e * e) / 2) / Math.sqrt(2 * Math.PI)) * 0.02
        const weight = Math.exp(-(((b - prior) / priorSd) ** 2) / 2) * above
        all += weight
        first += weight * b
        second += weight * b * b
      }
      const [middle, spread] = [first / all, Math.sqrt(second / all - (first / all) ** 2)]
      const found = effectOf(null, [seen(bound, { is: 'atLeast' })])
      expect(found.b).toBeCloseTo(middle, 2)
      expect(found.sd).toBeCloseTo(spread, 2)
    }
  })
  it('a bound moves it its own way, and only as far as it must', () => {
    const untried = effectOf(null, [])
    expect(effectOf(null, [seen(0.5, { is: 'atLeast' })]).b).toBeGreaterThan(untried.b)
    expect(effectOf(null, [seen(-1, { is: 'atMost' })]).b).toBeLessThan(-0.7)
    expect(effectOf(null, [seen(-3, { is: 'atLeast' })]).b).toBeCloseTo(untried.b, 2)
    const both = effectOf(null, [seen(-1), seen(-0.2, { is: 'atLeast' })])
    expect(both.b).toBeGreaterThan(effectOf(null, [seen(-1)]).b)
    expect(both.pots).toBe(2)
  })
  it('follows the rate, within bounds', () => {
    const at = (rate: number) => effectOf(null, [seen(-1)], { rate, ratio: 2.14 }).b
    const of = (d: number) => effectOf(null, [seen(d)]).b
    expect(at(0.05)).toBeCloseTo(of(-1), 10)
    expect(at(0.025)).toBeCloseTo(of(-0.5), 10)
    expect(at(0.001)).toBeCloseTo(of(-0.3), 10)
    expect(at(0.5)).toBeCloseTo(of(-1.5), 10)
  })
  it('at another water the nearest trial counts, half as surely', () => {
    const readings = [seen(-1.4, { ratio: 1.9 }), seen(-0.4, { ratio: 2.8 })]
    const at = (ratio: number) => effectOf(null, readings, { rate: 0.05, ratio })
    expect(at(2.8).b).toBeCloseTo(effectOf(null, [seen(-0.4)]).b, 10)
    expect(at(2.75).b).toBeCloseTo(at(2.8).b, 10)
    // 1/(1/0.36 + 1/0.25) and its mean, by hand.
    const precision = 1 / 0.36 + 1 / 0.25
    expect(at(3.4).sd).toBeCloseTo(precision ** -0.5, 10)
    expect(at(3.4).b).toBeCloseTo((-0.15 / 0.36 - 0.4 / 0.25) / precision, 10)
    expect(at(1.5).b).toBeLessThan(at(3.4).b)
  })
  it('a mark that nobody was sure of says half as much', () => {
    const unsure = effectOf(null, [seen(-1, { unsure: true })])
    expect(unsure.sd).toBeCloseTo((1 / 0.36 + 1 / 0.25) ** -0.5, 10)
    expect(unsure.b).toBeGreaterThan(effectOf(null, [seen(-1)]).b)
  })
})

describe('noses', () => {
  const sniff = (nose: string, day: number, strength: Sniff['strength']): Sniff => ({
    nose,
    day,
    strength,
  })
  const sniffs = [
    sniff('Maren', 30, 1),
    sniff('Maren', 1, 3),
    sniff('Jo', 1, 2),
    sniff('Idris', 1, 3),
    sniff('Jo', 30, 0),
  ]
  it('the middle of the noses by day, with their spread', () => {
    expect(strengthByDay(sniffs)).toEqual([
      { day: 1, middle: 3, from: 2, to: 3, noses: 3 },
      { day: 30, middle: 0.5, from: 0, to: 1, noses: 2 },
    ])
    expect(strengthByDay([])).toEqual([])
  })
  it('fades on the first day from which it stays weak', () => {
    expect(fadesBy(strengthByDay(sniffs))).toBe(30)
    expect(fadesBy(strengthByDay([sniff('Jo', 1, 3)]))).toBeNull()
    expect(
      fadesBy(strengthByDay([sniff('Jo', 1, 1), sniff('Jo', 14, 2), sniff('Jo', 30, 1)])),
    ).toBe(30)
    expect(fadesBy(strengthByDay([sniff('Jo', 1, 1), sniff('Jo', 14, 2)]))).toBeNull()
  })
  it('every jar once, for each nose in an order of its own that a reload keeps', () => {
    const codes = ['NA7', 'KF4', 'TY7', 'HX4', 'EH4', 'VK4', 'XZ7', 'LT7']
    const of = (nose: string, from = codes) => sniffingOrder(from, randomSource(seedFrom(nose)))
    expect([...of('Maren')].sort()).toEqual([...codes].sort())
    expect(of('Maren')).toEqual(of('Maren', [...codes].reverse()))
    expect(of('Maren')).not.toEqual(of('Jo'))
    // No place is kept for any of them.
    const first = new Set(Array.from({ length: 100 }, (_, nose) => of(`nose ${nose}`)[0]))
    expect(first.size).toBe(codes.length)
  })
  it('who smells the plain jar smells what is not there', () => {
    expect(noseCounts([0, 0])).toBe(true)
    expect(noseCounts([0, 1])).toBe(false)
    expect(noseCounts([])).toBe(true)
  })
})

describe('how much may go in', () => {
  it('a blend: one over the sum of shares over caps', () => {
    const blend = capOfBlend([
      { share: 0.5, cap: 0.02 },
      { share: 0.5, cap: 0.1 },
    ])
    expect(blend!.cap).toBeCloseTo(1 / 30, 10)
    expect(blend!.whole).toBe(true)
    const half = capOfBlend([
      { share: 0.5, cap: 0.02 },
      { share: 0.5, cap: null },
    ])
    expect(half!.cap).toBeCloseTo(0.04, 10)
    expect(half!.whole).toBe(false)
    expect(capOfBlend([{ share: 1, cap: null }])).toBeNull()
    expect(capOfBlend([{ share: 1, cap: 0 }])).toMatchObject({ cap: 0 })
    expect(capOfBlend([{ share: 0, cap: 0.1 }])).toBeNull()
  })
  it('of the oils: what then is that share of the bar', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.5, noNaN: true }),
        fc.double({ min: 1, max: 1.6, noNaN: true }),
        (cap, bar) => {
          const scent = mostOfOils(cap, bar)
          expect(scent / (bar + scent)).toBeCloseTo(cap, 10)
        },
      ),
    )
    expect(mostOfOils(1, 1.2)).toBe(Infinity)
  })
})

describe('what a supplier said', () => {
  const found = (factor: number, pots = 2) => ({
    effect: {
      b: Math.log(factor),
      sd: 0.1,
      factor,
      from: 0,
      to: 2,
      pots,
      rests: 'own' as const,
    },
    colour: [],
    strength: [],
  })
  const claims = { pace: null, colour: null, keeps: null }
  it.each([
    ['behaves', 0.8, true],
    ['behaves', 0.7, false],
    // Slower does no harm.
    ['behaves', 1.4, true],
    ['hurries', 0.4, true],
    ['hurries', 0.9, false],
    ['slows', 1.3, true],
    ['slows', 1, false],
  ] as const)('%s, and took %d of the time: held %s', (pace, factor, held) => {
    expect(judgedClaims({ ...claims, pace }, found(factor))).toEqual([{ claim: 'pace', held }])
  })
  it('nothing is judged that was not tried, or not said', () => {
    expect(judgedClaims({ ...claims, pace: 'behaves' }, found(0.2, 0))).toEqual([])
    expect(judgedClaims(claims, found(0.2))).toEqual([])
    expect(
      judgedClaims({ pace: 'behaves', colour: 'pale', keeps: true }, { ...found(1), effect: null }),
    ).toEqual([])
  })
  it.each([
    ['pale', 4.9, true],
    ['pale', 5.1, false],
    ['browns', 19, true],
    ['browns', 3, false],
  ] as const)('%s, and it is %d from plain: held %s', (colour, from, held) => {
    const looked = {
      ...found(1, 0),
      colour: [
        { day: 1, from: 0 },
        { day: 90, from },
      ],
    }
    expect(judgedClaims({ ...claims, colour }, looked)).toEqual([{ claim: 'colour', held }])
  })
  it.each([
    [60, 2, [{ claim: 'keeps', held: true }]],
    [60, 1, [{ claim: 'keeps', held: false }]],
    // Gone by day 14 settles it; still strong by then does not.
    [14, 0, [{ claim: 'keeps', held: false }]],
    [14, 3, []],
  ])('that it keeps is known on day 60, or when it is gone (%#)', (day, middle, judged) => {
    const strength = [{ day, middle, from: 0 as const, to: 3 as const, noses: 2 }]
    expect(judgedClaims({ ...claims, keeps: true }, { ...found(1, 0), strength })).toEqual(judged)
  })
})
