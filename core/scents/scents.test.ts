import type { Reading, Sniff } from '#contracts/trial'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { knownAfter, triedPot } from '../../tests/support/knownScent'
import { likeIt, mediumMinutes } from './like'
import { randomSource, seedFrom } from '../statistics/randomSource'
import { capOfBlend, mostOfOils } from './caps'
import { judgedClaims } from './claims'
import { effectOf } from './effect'
import { fadesBy, noseCounts, sniffingOrder, strengthByDay } from './noses'

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

describe('one like it', () => {
  const smelling = (id: string, smells: string[], ...minutes: number[]) =>
    knownAfter(
      id,
      minutes.map((one) => triedPot(id, one)),
      { smells },
    )
  const rose = smelling('rose', ['rose', 'clove'], 12, 14)
  const others = [
    smelling('calm', ['rose'], 30),
    smelling('calmer', ['rose'], 45),
    smelling('calmest', ['rose'], 60),
    smelling('likest', ['rose', 'clove'], 58),
    smelling('fast', ['clove'], 5),
    smelling('same', ['rose'], 13),
    smelling('other', ['mint'], 30),
    smelling('untried', ['rose']),
  ]
  it('shares most smells, then is nearest in time; of the same time it is neither', () => {
    const { calmer, faster } = likeIt(rose, [rose, ...others])
    expect(calmer.map(({ id }) => id)).toEqual(['likest', 'calm'])
    expect(faster.map(({ id }) => id)).toEqual(['fast'])
  })
  it('has nothing to say of what was never tried', () => {
    expect(likeIt(others.at(-1)!, [rose])).toEqual({ calmer: [], faster: [] })
    expect(mediumMinutes(others.at(-1)!)).toBeNull()
  })
  it('one that never got to medium is the calmest of all', () => {
    const never = knownAfter('never', [triedPot('never', 9, { stages: {} })], { smells: ['rose'] })
    expect(mediumMinutes(never)).toBe(Infinity)
    expect(likeIt(rose, [never]).calmer).toEqual([never])
    expect(likeIt(never, [rose, never]).faster).toEqual([rose])
  })
  it('is the middle of its pots at the water that most were tried at', () => {
    const watered = knownAfter('rose', [
      triedPot('rose', 12),
      triedPot('rose', 14),
      triedPot('rose', 40, { ratio: 2.8 }),
    ])
    expect(mediumMinutes(watered)).toBe(13)
  })
})
