import type { Scent, TriedPot } from '#contracts/scent'
import { describe, expect, it } from 'vitest'
import { scentRecord, triedPot } from '../../tests/support/knownScent'
import { capOfBlend, mostOfOils } from './caps'
import { judgedClaims, promisedMinutes } from './claims'
import { wayOf } from './colour'
import { knownScents } from './known'

/* All that is known of the scents of a workshop, from what was written down of them and every pot they were tried in. */

const known = (records: Record<string, Partial<Scent>>, tried: TriedPot[] = []) =>
  knownScents(
    Object.entries(records).map(([id, changes]) => ({ id, document: scentRecord(id, changes) })),
    tried,
  )
const shot = (day: number, from: number) => ({
  day,
  from,
  swatch: '#000000',
  plain: '#ffffff',
  card: true,
})

describe('what is known of a scent', () => {
  it('its pots, the last day first, with when each was medium and stiff', () => {
    const lilac = known({ lilac: { supplierId: null }, rope: {} }, [
      triedPot('lilac', 10, { day: '2026-03-01', rate: 0.03 }),
      triedPot('rope', 30),
      triedPot('lilac', 6, { day: '2026-04-01', seized: 7, riced: { from: 1, to: 3 } }),
      triedPot('lilac', 8, { day: '2026-03-15', stages: {}, loosened: true, reading: null }),
    ]).get('lilac')!
    expect(lilac.tried.map(({ day, medium, stiff }) => [day, medium, stiff])).toEqual([
      ['2026-04-01', 6, 7],
      ['2026-03-15', null, null],
      ['2026-03-01', 10, 20],
    ])
    expect(lilac.tried.map(({ loosened }) => loosened)).toEqual([false, true, false])
    expect(lilac).toMatchObject({ riced: 1, seized: 1, fromParts: false, name: 'lilac' })
    expect(lilac.readings).toHaveLength(2)
  })
  it('its effect is of the water that most pots were tried at', () => {
    const pots = [triedPot('lilac', 8), triedPot('lilac', 8), triedPot('lilac', 40, { ratio: 2.8 })]
    const factor = (some: TriedPot[]) => known({ lilac: {} }, some).get('lilac')!.effect.factor
    expect(factor(pots)).toBe(factor(pots.slice(0, 2)))
    expect(factor([pots[2]!, ...pots.slice(0, 2)])).toBe(factor(pots.slice(0, 2)))
    expect(factor(pots)).toBeLessThan(0.5)
  })
  it('its colour by day, of several pots the one of the last trial; noses of all of them', () => {
    const lilac = known({ lilac: {} }, [
      triedPot('lilac', 8, {
        day: '2026-03-01',
        colour: [shot(30, 9), shot(1, 2)],
        strength: [{ nose: 'Jo', day: 1, strength: 3 }],
      }),
      triedPot('lilac', 8, {
        day: '2026-04-01',
        colour: [shot(1, 4)],
        strength: [{ nose: 'Maren', day: 1, strength: 2 }],
      }),
    ]).get('lilac')!
    expect(lilac.colour.map(({ day, from }) => [day, from])).toEqual([
      [1, 4],
      [30, 9],
    ])
    expect(lilac.strength).toEqual([{ day: 1, middle: 2.5, from: 2, to: 3, noses: 2 }])
  })
  it('what was claimed of it is judged by all that', () => {
    const claims = { pace: 'behaves' as const, colour: 'pale' as const, keeps: null }
    const lilac = known({ lilac: { claims } }, [
      triedPot('lilac', 5, { colour: [shot(90, 12)] }),
    ]).get('lilac')!
    expect(lilac.judged).toEqual([
      { claim: 'pace', held: false },
      { claim: 'colour', held: false },
    ])
  })
})

/** Ids of scents, as a blend names its parts. */
const [racer, calm, other, gone, mix] = [1, 2, 3, 4, 5].map(
  (nth) => `0192d3f0-0000-7000-8000-00000000000${nth}`,
) as [string, string, string, string, string]

describe('a blend', () => {
  const parts = (...some: [scentId: string, parts: number][]) => ({
    kind: 'blend' as const,
    parts: some.map(([scentId, part]) => ({ scentId, parts: part })),
  })
  const tried = [
    ...[5, 5].map((medium) => triedPot(racer, medium)),
    ...[32, 32].map((medium) => triedPot(calm, medium)),
  ]
  it('does by its parts’ shares what each does: the mean of their logarithms, weighted', () => {
    // Written before its parts: it comes after them all the same.
    const all = known({ [mix]: parts([racer, 1], [calm, 3]), [racer]: {}, [calm]: {} }, tried)
    const [blend, fast, slow] = [mix, racer, calm].map((id) => all.get(id)!.effect)
    expect(blend!.b).toBeCloseTo(0.25 * fast!.b + 0.75 * slow!.b, 12)
    expect(blend!.sd).toBeCloseTo(Math.hypot(0.25 * fast!.sd, 0.75 * slow!.sd), 12)
    expect(blend!.rests).toBe('own')
    expect(all.get(mix)!.fromParts).toBe(true)
  })
  it('rests on a word while one of its parts was never tried', () => {
    const all = known({ [racer]: {}, [other]: {}, [mix]: parts([racer, 1], [other, 1]) }, tried)
    expect(all.get(mix)!.effect.rests).toBe('word')
  })
  it('of which a part is missing says nothing of its pace but what its supplier says', () => {
    const claims = { pace: 'hurries' as const, colour: null, keeps: null }
    const all = known({ [racer]: {}, [mix]: { ...parts([racer, 1], [gone, 1]), claims } }, tried)
    const { effect } = all.get(mix)!
    expect(effect.rests).toBe('word')
    expect(effect.factor).toBeLessThan(1)
    expect(effect.b).not.toBeCloseTo(0.5 * all.get(racer)!.effect.b, 6)
  })
  it('that was tried itself says what it did', () => {
    const all = known({ [racer]: {}, [calm]: {}, [mix]: parts([racer, 1], [calm, 1]) }, [
      ...tried,
      triedPot(mix, 40),
    ])
    expect(all.get(mix)!).toMatchObject({ fromParts: false })
    expect(all.get(mix)!.effect.factor).toBeGreaterThan(1)
  })
  it('may go in as far as its parts let it, unless its own sheet says something', () => {
    const records = {
      [racer]: { maxima: { wash: 0.02 } },
      [calm]: { maxima: { wash: 0.1, face: 0.05 } },
      [mix]: parts([racer, 1], [calm, 1]),
    }
    const { maxima } = known(records).get(mix)!
    // 1 ÷ (0.5 ÷ 0.02 + 0.5 ÷ 0.1) = 1 ÷ 30.
    expect(maxima.wash).toBeCloseTo(1 / 30, 12)
    expect(maxima.face).toBeCloseTo(0.1, 12)
    const own = { ...records, [mix]: { ...records[mix], maxima: { wash: 0.04 } } }
    expect(known(own).get(mix)!.maxima).toEqual({ wash: 0.04 })
    const loose = { ...records, [racer]: {}, [calm]: { maxima: { wash: 0.9 } } }
    expect(known(loose).get(mix)!.maxima).toEqual({ wash: 1 })
  })
})

describe('maxima', () => {
  it('a part that is not there, or has none, limits nothing', () => {
    expect(capOfBlend([{ share: 1, cap: null }])).toBeNull()
    expect(capOfBlend([{ share: 0, cap: 0.01 }])).toBeNull()
    expect(
      capOfBlend([
        { share: 0, cap: 0.001 },
        { share: 1, cap: 0.02 },
        { share: 0, cap: null },
      ]),
    ).toEqual({ cap: 0.02, whole: true })
    expect(
      capOfBlend([
        { share: 0.5, cap: 0.02 },
        { share: 0.5, cap: null },
      ]),
    ).toEqual({ cap: 0.04, whole: false })
    expect(capOfBlend([{ share: 0.5, cap: 0 }])!.cap).toBe(0)
  })
  it('the whole bar has no most of oils', () => {
    expect(mostOfOils(1, 1.2)).toBe(Infinity)
    expect(mostOfOils(0.5, 1.2)).toBeCloseTo(1.2, 12)
  })
})

describe('claims', () => {
  it('who says it hurries promises a medium before three quarters of plain, else one after', () => {
    expect(promisedMinutes('hurries', 32)).toEqual({ from: 0, to: 24 })
    expect(promisedMinutes('behaves', 32)).toEqual({ from: 24, to: Infinity })
    expect(promisedMinutes('slows', 40)).toEqual({ from: 30, to: Infinity })
  })
  const effect = (factor: number, pots = 1) => ({
    b: Math.log(factor),
    sd: 0.1,
    factor,
    from: factor,
    to: factor,
    pots,
    rests: 'own' as const,
  })
  const paceHeld = (pace: 'behaves' | 'hurries' | 'slows', factor: number) =>
    judgedClaims(
      { pace, colour: null, keeps: null },
      { effect: effect(factor), colour: [], strength: [] },
    )[0]?.held
  it('pace turns at three quarters and at 1.1 of plain', () => {
    expect([0.74, 0.75].map((one) => paceHeld('behaves', one))).toEqual([false, true])
    expect([0.74, 0.75].map((one) => paceHeld('hurries', one))).toEqual([true, false])
    expect([1.1, 1.11].map((one) => paceHeld('slows', one))).toEqual([false, true])
  })
  const judged = (
    claims: { colour?: 'pale' | 'browns'; keeps?: boolean },
    from: number | null,
    ...byDay: [day: number, middle: number][]
  ) =>
    judgedClaims(
      { pace: null, colour: null, keeps: null, ...claims },
      {
        effect: null,
        colour:
          from === null
            ? []
            : [
                { day: 1, from: 99 },
                { day: 90, from },
              ],
        strength: byDay.map(([day, middle]) => ({ day, middle, from: 0, to: 3, noses: 1 })),
      },
    )
  it('colour turns at 5 from plain, by the last photo', () => {
    expect(judged({ colour: 'pale' }, 4.9)).toEqual([{ claim: 'colour', held: true }])
    expect(judged({ colour: 'pale' }, 5)).toEqual([{ claim: 'colour', held: false }])
    expect(judged({ colour: 'browns' }, 5)).toEqual([{ claim: 'colour', held: true }])
    expect(judged({ colour: 'pale' }, null)).toEqual([])
    expect(judged({}, 12)).toEqual([])
  })
  it('keeping is judged from day 60, or once it is weak', () => {
    expect(judged({ keeps: true }, null, [30, 3])).toEqual([])
    expect(judged({ keeps: true }, null, [30, 1])).toEqual([{ claim: 'keeps', held: false }])
    expect(judged({ keeps: true }, null, [60, 1.1])).toEqual([{ claim: 'keeps', held: true }])
    expect(judged({ keeps: false }, null, [60, 1])).toEqual([{ claim: 'keeps', held: true }])
    expect(judged({}, null, [60, 3])).toEqual([])
    expect(judged({ keeps: true }, null)).toEqual([])
  })
})

describe('which way a colour went', () => {
  const plain = { l: 80, a: 5, b: 20 }
  it('darker or lighter, and the hue that changed most, from one step on', () => {
    expect(wayOf(plain, plain)).toEqual([])
    expect(wayOf({ l: 79.1, a: 5.9, b: 20.9 }, plain)).toEqual([])
    expect(wayOf({ l: 79, a: 5, b: 21 }, plain)).toEqual(['darker', 'yellower'])
    expect(wayOf({ l: 81, a: 7, b: 21 }, plain)).toEqual(['lighter', 'redder'])
    expect(wayOf({ l: 80, a: 3, b: 20 }, plain)).toEqual(['greener'])
    expect(wayOf({ l: 80, a: 4, b: 17 }, plain)).toEqual(['bluer'])
  })
})
