import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { RunEvent } from '#contracts/run'
import { usualSetup } from '#contracts/benchWords'
import { formatter } from '../units/formatter'
import { contextOf, planFor } from '../bench/plan/plan'
import {
  drawsOf,
  frozenAs,
  lotsStanding,
  planAsMade,
  thingOf,
  usualValues,
  valuesOfLots,
} from '../bench/run/lots'
import { runOf, weightsOf } from '../bench/run/run'
import { asWeighed } from '../bench/run/asWeighed'
import { library } from '../materials/library'
import { libraryWith } from '../materials/own'
import { computeFormula } from '../formula/compute'
import { frozenOf } from '../../tests/support/batchOf'
import { lotOf } from '../../tests/support/lotOf'
import { highsSolver } from '../../tests/support/solver'
import { difference, inVessel, whereItWent } from './counting'
import { readReceived } from './receive'
import { reserved } from './reserve'
import { runsOut } from './ahead'
import { packsFor, type Pack } from './shopping'
import { judged, solutionDensity, strengthOf } from './solution'
import { flagsOf, takeFrom, unitCost, usableLots, type LotNow } from './stock'
import { isCounted, needsOf, thingIn, usualVessel } from './things'
import { lotsBehind, traced, type TracedMove } from './trace'

const say = formatter({ scale: 0.1 })
const today = '2026-03-10'
const at = (minute: number) => `2026-03-10T09:${String(minute).padStart(2, '0')}:00Z`
let count = 0
const idOf = () => `00000000-0000-7000-8000-${String(++count).padStart(12, '0')}`

describe('which lot goes first', () => {
  const lots = [
    lotOf({ code: 'late', bestBefore: '2026-12-01' }, 500, 'late'),
    lotOf({ code: 'never' }, 500, 'never'),
    lotOf({ code: 'soon', bestBefore: '2026-04-01' }, 200, 'soon'),
    lotOf(
      { code: 'held', bestBefore: '2026-03-15', held: { why: 'recalled', since: today } },
      900,
      'held',
    ),
    lotOf({ code: 'empty', bestBefore: '2026-03-12' }, 0, 'empty'),
    lotOf({ code: 'other', thing: 'olive' }, 5000, 'olive'),
  ]
  it('is what expires first; held and empty ones never', () => {
    expect(usableLots(lots, 'castor').map(({ id }) => id)).toEqual(['soon', 'late', 'never'])
  })
  it('is drained before the next is opened, and what nobody has is named', () => {
    expect(takeFrom(lots, 'castor', 650)).toEqual({
      takes: [
        { lotId: 'soon', grams: 200 },
        { lotId: 'late', grams: 450 },
      ],
      short: 0,
    })
    expect(takeFrom(lots, 'castor', 1300).short).toBe(100)
  })
  it('serves the earliest plan first, and a plan whose week is over not at all', () => {
    const plan = (id: string, day: string, grams: number) => ({
      id,
      number: 1,
      name: id,
      day,
      needs: [{ thing: 'castor', name: 'Castor oil', grams }],
    })
    const lines = reserved(
      [
        plan('second', '2026-03-12', 300),
        plan('first', '2026-03-11', 100),
        plan('lapsed', '2026-03-02', 900),
      ],
      lots,
      today,
    )
    expect(lines.map(({ batchId, lotId, grams }) => [batchId, lotId, grams])).toEqual([
      ['first', 'soon', 100],
      ['second', 'soon', 100],
      ['second', 'late', 200],
    ])
    // On the seventh day after its own a plan still holds.
    expect(reserved([plan('kept', '2026-03-03', 10)], lots, today)).toHaveLength(1)
  })
  it('says what is to be minded, the worst first', () => {
    const kinds = (lot: LotNow, caustic = false) =>
      flagsOf(lot, today, caustic).map(({ kind }) => kind)
    expect(kinds(lots[3]!)).toEqual(['held', 'use-by'])
    expect(kinds(lotOf({ bestBefore: '2026-03-09' }))).toEqual(['expired'])
    expect(kinds(lotOf({ bestBefore: '2026-03-31' }))).toEqual(['use-by'])
    expect(kinds(lotOf({ bestBefore: '2026-04-01' }))).toEqual([])
    expect(kinds(lotOf({ thing: 'naoh', openedOn: '2025-09-10' }), true)).toEqual(['open-long'])
    expect(kinds(lotOf({ thing: 'naoh', openedOn: '2025-09-11' }), true)).toEqual([])
    expect(kinds(lotOf({ certificate: { peroxide: 12 } }))).toEqual(['stale'])
    expect(kinds(lotOf({ certificate: { peroxide: 20 } }))).toEqual(['rancid'])
    expect(kinds(lotOf({}, -12))).toEqual(['overdrawn'])
    expect(kinds(lotOf({ bestBefore: '2026-01-01' }, 0))).toEqual([])
  })
})

describe('what a lot cost', () => {
  it('is its price with its part of the way, by the gram; of a blend what went into it', () => {
    const olive = lotOf({ thing: 'olive', amount: 25_000, price: 16_250, shipping: 250 }, 0, 'K12')
    const milk = lotOf({ thing: 'goat-milk', amount: 2000, price: null }, 0, 'milk')
    const blend = lotOf(
      {
        thing: 'blend-hostel',
        amount: 1000,
        price: null,
        parts: [
          { lotId: 'K12', grams: 750 },
          { lotId: 'milk', grams: 250 },
        ],
      },
      1000,
      'HB',
    )
    const of = (id: string) => [olive, milk].find((lot) => lot.id === id)
    expect(unitCost(olive, of)).toBeCloseTo(0.66, 12)
    expect(unitCost(milk, of)).toBe(0)
    expect(unitCost(blend, of)).toBeCloseTo((750 * 0.66) / 1000, 12)
  })
})

describe('a blend', () => {
  const shares = { olive: 0.43, coconut: 0.25, tallow: 0.25, castor: 0.07 }
  const parts = Object.entries(shares).map(([thing, share]) => ({ thing, share }))
  const own = libraryWith(library, [], 'us', [
    {
      id: 'blend-hostel',
      document: { name: 'Hostel blend', kind: 'oils', parts, colour: '#c9a64b', note: '' },
    },
  ])
  const line = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })
  it('takes the lye its parts take, to the last digit, and makes their soap', () => {
    const document = frozenOf({ size: { by: 'oils', grams: 1000 } }).document
    const whole = computeFormula({ ...document, fats: [line('blend-hostel', 1)] }, own)
    const apart = computeFormula(
      { ...document, fats: Object.entries(shares).map(([id, share]) => line(id, share)) },
      own,
    )
    expect(whole.lye.pureNaoh).toBeCloseTo(apart.lye.pureNaoh, 9)
    expect(whole.fattyAcids.oleic).toBeCloseTo(apart.fattyAcids.oleic!, 9)
    expect(thingIn(own, 'blend-hostel')).toMatchObject({ kind: 'blend', name: 'Hostel blend' })
  })
  it('varies less than its parts, which vary apart', () => {
    const { sap } = own.fats.get('blend-hostel')!
    const spread = Object.entries(shares).map(([id, share]) => {
      const { typical, low } = library.fats.get(id)!.sap
      return share * (typical - low)
    })
    expect(sap.typical - sap.low).toBeCloseTo(Math.hypot(...spread), 9)
    expect(sap.typical - sap.low).toBeLessThan(spread.reduce((a, b) => a + b, 0))
  })
  it('of a blend is what both are; of what nobody knows it is none', () => {
    const twice = libraryWith(library, [], 'us', [
      {
        id: 'blend-two',
        document: {
          name: 'Two',
          kind: 'oils',
          parts: [
            { thing: 'blend-one', share: 0.5 },
            { thing: 'olive', share: 0.5 },
          ],
          colour: '#aaaaaa',
          note: '',
        },
      },
      {
        id: 'blend-one',
        document: {
          name: 'One',
          kind: 'oils',
          parts: [{ thing: 'coconut', share: 1 }],
          colour: '#aaaaaa',
          note: '',
        },
      },
      {
        id: 'blend-lost',
        document: {
          name: 'Lost',
          kind: 'oils',
          parts: [{ thing: 'own-gone', share: 1 }],
          colour: '#aaaaaa',
          note: '',
        },
      },
    ])
    expect(twice.fats.get('blend-two')!.sap.typical).toBeCloseTo(
      (library.fats.get('coconut')!.sap.typical + library.fats.get('olive')!.sap.typical) / 2,
      9,
    )
    expect(twice.fats.has('blend-lost')).toBe(false)
  })
})

describe('lots at the bench', () => {
  const frozen = frozenOf({ size: { by: 'oils', grams: 1000 } })
  const run = { setup: usualSetup as never, scale: 0.1 }
  const usual = planFor(contextOf(frozen, run.setup, run.scale, say))
  const stood = (
    thing: string,
    lotId: string,
    sap: number | null,
    purity: number | null,
    minute: number,
  ): RunEvent => ({
    id: idOf(),
    at: at(minute),
    kind: 'stood',
    thing,
    lotId,
    code: lotId.slice(-3),
    sap,
    purity,
  })
  const scooped = (step: string, grams: number, minute: number): RunEvent => ({
    id: idOf(),
    at: at(minute),
    kind: 'scooped',
    step,
    grams,
    typed: false,
  })
  const one = '00000000-0000-7000-9000-000000000001'
  const two = '00000000-0000-7000-9000-000000000002'

  it('a paper that says 261 instead of 257 changes the lye by what it says', () => {
    // 300 g coconut: 300 × (261 − usual) mg KOH more, at 5 % superfat, as NaOH.
    const before = library.fats.get('coconut')!.sap.typical
    const { frozen: own, plan } = planAsMade(
      frozen,
      run,
      [stood('coconut', one, 261, null, 0)],
      say,
    )
    const byHand = ((300 * (261 - before)) / 1000 / 56.1056) * 39.997 * 0.95
    expect(own.result.lye.naoh - frozen.result.lye.naoh).toBeCloseTo(byHand, 6)
    const lye = plan.steps.find(({ id }) => id === 'weigh:naoh')!.weigh!.grams
    expect(Math.abs(lye - own.result.lye.naoh)).toBeLessThanOrEqual(0.1)
    expect(plan.agrees).toBe(true)
  })
  it('a lye of 98 % is weighed by so much more', () => {
    const own = frozenAs(frozen, new Map([['naoh', { sap: null, purity: 0.98 }]]))
    expect(own.result.lye.naoh).toBeCloseTo(frozen.result.lye.naoh / 0.98, 9)
  })
  it('two lots of one fat count by what was weighed of each', () => {
    const sap = library.fats.get('coconut')!.sap.typical
    const events = [
      stood('coconut', one, 261, null, 0),
      scooped('weigh:fat:coconut', 100, 1),
      stood('coconut', two, null, null, 2),
      scooped('weigh:fat:coconut', 200, 3),
    ]
    const values = valuesOfLots(usual, events, usualValues(frozen))
    expect(values.get('coconut')!.sap).toBeCloseTo((100 * 261 + 200 * sap) / 300, 9)
    expect(drawsOf(usual, events).map(({ lot, grams }) => [lot?.lotId, grams])).toEqual([
      [one, 100],
      [two, 200],
    ])
  })
  it('a lot without a paper changes nothing; one that was taken back does not count', () => {
    expect(planAsMade(frozen, run, [stood('olive', one, null, null, 0)], say).frozen).toBe(frozen)
    const event = stood('olive', one, 195, null, 0)
    const undone: RunEvent = { id: idOf(), at: at(1), kind: 'undone', event: event.id }
    expect(lotsStanding([event, undone]).size).toBe(0)
    expect(valuesOfLots(usual, [event, undone], usualValues(frozen)).size).toBe(0)
  })
  it('changed after the lye was weighed, the superfat is that of what is in it', () => {
    const events = [
      scooped('weigh:naoh', frozen.result.lye.naoh, 0),
      { id: idOf(), at: at(1), kind: 'done', step: 'weigh:naoh' } as RunEvent,
      stood('olive', one, 200, null, 2),
    ]
    const { ctx, plan } = planAsMade(frozen, run, events, say)
    const state = runOf(plan, at(0), events)
    const { superfat } = asWeighed(ctx, plan, weightsOf(plan, state))
    const demand = (olive: number) => 700 * olive + 300 * library.fats.get('coconut')!.sap.typical
    const byHand = 1 - (0.95 * demand(library.fats.get('olive')!.sap.typical)) / demand(200)
    // The superfat as weighed counts groups, the formula lye: they agree to the scale's tenth of a gram.
    expect(superfat).toBeCloseTo(byHand, 2)
    expect(superfat).toBeGreaterThan(0.05)
  })
  it('names what each step takes', () => {
    expect([
      thingOf({ kind: 'solution', id: 'x' }),
      thingOf({ kind: 'koh', id: 'koh' }),
      thingOf({ kind: 'share', id: 'oils' }),
    ]).toEqual(['lye-solution', 'koh', null])
    const needs = needsOf(frozen)
    expect(needs.find(({ thing }) => thing === 'coconut')!.grams).toBeCloseTo(300, 9)
    expect(needs.find(({ thing }) => thing === 'naoh')!.grams).toBeCloseTo(
      frozen.result.lye.naoh,
      9,
    )
  })
  it('a drawn gram is in exactly one lot, however lots are changed', () => {
    const act = fc.oneof(
      fc.record({ is: fc.constant('stood' as const), lot: fc.constantFrom(one, two) }),
      fc.record({ is: fc.constant('scooped' as const), grams: fc.integer({ min: -50, max: 400 }) }),
    )
    fc.assert(
      fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
        const events = acts.map((one, minute) =>
          one.is === 'stood'
            ? stood('olive', one.lot, null, null, minute % 60)
            : scooped('weigh:fat:olive', one.grams, minute % 60),
        )
        const all = acts.reduce((sum, one) => sum + (one.is === 'scooped' ? one.grams : 0), 0)
        const drawn = drawsOf(usual, events).reduce((sum, { grams }) => sum + grams, 0)
        expect(drawn).toBeCloseTo(all, 9)
      }),
    )
  })
})

describe('counting', () => {
  it('takes off the vessel, and asks about what is missing', () => {
    expect(inVessel(5119, 640)).toBe(4479)
    expect(inVessel(5119, null)).toBe(null)
    const lot = lotOf({ amount: 10_000 }, 4707)
    expect(difference(lot, 4479)).toBe(-228)
    expect(difference(lot, 4700)).toBe(0)
    expect(difference(lot, 4000, true)).toBe(0)
    expect(difference(lotOf({}, 30), 33)).toBe(3)
  })
  it('offers a batch only where exactly one unwritten draw is near', () => {
    const near = { batchId: 'a', grams: 230 }
    expect(whereItWent(228, [near, { batchId: 'b', grams: 700 }])).toEqual(near)
    expect(whereItWent(228, [near, { batchId: 'c', grams: 220 }])).toBe(null)
    expect(whereItWent(228, [{ batchId: 'd', grams: 245 }])).toBe(null)
  })
})

describe('a lye solution', () => {
  it('is weighed by its volume, by the table', () => {
    expect(
      strengthOf({ millilitres: 100, grams: 152.5, celsius: 20, cylinder: true }).strength,
    ).toBeCloseTo(0.5, 9)
    expect(solutionDensity(0.35)).toBeCloseTo(1.379, 9)
    expect(
      strengthOf({ millilitres: 100, grams: 135.4, celsius: 20, cylinder: true }).strength,
    ).toBeCloseTo(0.3 + 0.1 * (0.026 / 0.102), 9)
    expect(strengthOf({ millilitres: 100, grams: 135.4, celsius: 26, cylinder: true }).within).toBe(
      0.03,
    )
    expect(
      strengthOf({ millilitres: 250, grams: 338.5, celsius: 20, cylinder: false }).within,
    ).toBe(0.065)
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.5, noNaN: true }), (strength) => {
        const grams = 100 * solutionDensity(strength)
        expect(
          strengthOf({ millilitres: 100, grams, celsius: 20, cylinder: true }).strength,
        ).toBeCloseTo(strength, 9)
      }),
    )
  })
  it('may be weaker than it was weighed, never stronger', () => {
    expect(judged({ strength: 0.325, within: 0.01 }, 0.333)).toBe('agrees')
    expect(judged({ strength: 0.309, within: 0.01 }, 0.333)).toBe('weaker')
    expect(judged({ strength: 0.36, within: 0.01 }, 0.333)).toBe('heavier')
  })
})

describe('what runs out', () => {
  it('goes as planned first, then as usual; without any use there is no day', () => {
    const steady = Array.from({ length: 26 }, (_, week) => ({
      day: new Date(Date.UTC(2026, 2, 10 - 7 * week)).toISOString().slice(0, 10),
      grams: 100,
    }))
    const out = runsOut({
      stock: 1000,
      past: steady,
      planned: [{ day: '2026-03-12', grams: 300 }],
      today,
      seed: 'a',
    })!
    // 700 g are left on the 12th at 100 g a week: seven weeks, and the eighth finds nothing.
    expect(out.at).toBe('2026-04-30')
    expect(out.from).toBe(out.at)
    expect(out.weekly).toBeCloseTo(100, 9)
    expect(runsOut({ stock: 1000, past: [], planned: [], today, seed: 'a' })).toBe(null)
    expect(
      runsOut({
        stock: 250,
        past: [],
        planned: [{ day: '2026-03-12', grams: 300 }],
        today,
        seed: 'a',
      })!.at,
    ).toBe('2026-03-12')
  })
  it('by few large batches the band is wide, and the same question has the same answer', () => {
    const past = [3, 9, 16, 22].map((week) => ({
      day: new Date(Date.UTC(2026, 2, 10 - 7 * week)).toISOString().slice(0, 10),
      grams: 650,
    }))
    const ask = () => runsOut({ stock: 1500, past, planned: [], today, seed: 'b' })!
    expect(ask()).toEqual(ask())
    expect(ask().from < ask().at && ask().at < ask().to).toBe(true)
    expect(ask().weekly).toBeCloseTo((4 * 650) / 26, 9)
  })
})

describe('what to buy', async () => {
  const solve = await highsSolver()
  it('is the cheapest that covers the need: 2 + 1 for 46.20', () => {
    const packs = [
      { grams: 1000, price: 760 },
      { grams: 5000, price: 3100 },
      { grams: 25_000, price: 12_900 },
    ]
    const bought = packsFor(6200, packs, 0, null, solve)!
    expect(bought.counts).toEqual([2, 1, 0])
    expect(bought.price).toBe(4620)
    expect(bought.over).toBe(800)
  })
  it('is what trying everything finds, over 200 random needs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 9000 }),
        fc.uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 3 }),
        fc.array(fc.integer({ min: 100, max: 2000 }), { minLength: 3, maxLength: 3 }),
        fc.integer({ min: 0, max: 4000 }),
        fc.option(fc.integer({ min: 1000, max: 20_000 }), { nil: null }),
        (need, sizes, perKilo, usedLater, most) => {
          const packs: Pack[] = sizes.map((size, place) => ({
            grams: size * 100,
            price: Math.round((size * perKilo[place]!) / 10) + 50,
          }))
          const cheapest = Math.min(...packs.map(({ grams, price }) => price / grams))
          const bought = packsFor(need, packs, usedLater, most, solve)!
          const worth = (counts: readonly number[]) => {
            const grams = packs.reduce((sum, pack, place) => sum + counts[place]! * pack.grams, 0)
            const price = packs.reduce((sum, pack, place) => sum + counts[place]! * pack.price, 0)
            if (grams < need - 1e-6) return Infinity
            return price - 0.5 * cheapest * Math.min(grams - need, usedLater)
          }
          const gramsOf = (counts: readonly number[]) =>
            packs.reduce((sum, pack, place) => sum + counts[place]! * pack.grams, 0)
          const all: number[][] = packs.reduce<number[][]>(
            (lists, pack) => {
              const upTo = Math.ceil((need + usedLater) / pack.grams) + 1
              return lists.flatMap((list) =>
                Array.from({ length: upTo + 1 }, (_, n) => [...list, n]),
              )
            },
            [[]],
          )
          const keeps = (counts: readonly number[]) =>
            most === null || most < need || gramsOf(counts) <= most + 1e-6
          const fitting = all.filter((counts) => keeps(counts) && worth(counts) < Infinity)
          const pool = fitting.length ? fitting : all
          const best = Math.min(...pool.map(worth))
          expect(worth(bought.counts)).toBeLessThanOrEqual(best + 1e-3)
        },
      ),
      { numRuns: 200 },
    )
  }, 60_000)
  it('of nothing is nothing', () => {
    expect(packsFor(0, [{ grams: 100, price: 1 }], 0, null, solve)).toBe(null)
    expect(packsFor(10, [], 0, null, solve)).toBe(null)
  })
})

describe('what came in, typed', () => {
  const read = (line: string, before: Parameters<typeof readReceived>[2] = null) =>
    readReceived(line, library, before)
  it('is how much of what, its price, its day and its lot', () => {
    expect(read('5 kg olive 31.00 best 8/27 lot K12')).toMatchObject({
      thing: 'olive',
      count: 1,
      each: 5000,
      price: 31,
      bestBefore: '2027-08-31',
      code: 'K12',
      asks: '',
    })
    expect(
      read('2 x 1 kg coconut 15.20 same', {
        thing: 'coconut',
        code: 'CN34',
        bestBefore: '2027-09-30',
      }),
    ).toMatchObject({
      thing: 'coconut',
      count: 2,
      each: 1000,
      price: 15.2,
      code: 'CN34',
      bestBefore: '2027-09-30',
      same: true,
    })
    expect(read('25kg sodium hydroxide £52 lot N7')).toMatchObject({
      thing: 'naoh',
      each: 25_000,
      price: 52,
      code: 'N7',
    })
    expect(read('5 kg Coconut oil 24 34.10')).toMatchObject({
      thing: 'coconut',
      price: 34.1,
      asks: '',
    })
    expect(read('10 l distilled water 4.50')).toMatchObject({ thing: 'water', each: 10_000 })
    expect(read('1 l olive 7.10').each).toBeCloseTo(
      1000 * library.fats.get('olive')!.density.value,
      9,
    )
    expect(read('8 oz castor 6.20').each).toBeCloseTo(226.796, 3)
    expect(read('500 wraps 24.00')).toMatchObject({
      thing: 'goods-wrap',
      each: 500,
      price: 24,
      asks: '',
    })
    expect(read('2 kg shea 22,20 best 29.02.2028')).toMatchObject({
      thing: 'shea',
      price: 22.2,
      bestBefore: '2028-02-29',
    })
  })
  it('is asked about where it may be something else', () => {
    expect(read('5 kg lye 21.00').asks).toMatch(/Sodium hydroxide/)
    expect(read('1 kg drain cleaner 5').asks).toMatch(/not lye/)
    expect(read('1 kg washing soda 2.10').thing).toBe('washing-soda')
    expect(read('5 kg nonsuch 3')).toMatchObject({
      thing: null,
      asks: 'Mantle knows nothing of that name.',
      code: '',
    })
    expect(read('olive 31.00').asks).toMatch(/How much/)
    expect(read('3 olive').asks).toMatch(/grams/)
    expect(read('1 kg olive best 13/27').asks).toMatch(/no day/)
    expect(read('').asks).not.toBe('')
  })
})

describe('what a lot went into', () => {
  const castor = lotOf({ code: 'R118', amount: 2000 }, 930, 'R118')
  const blend = lotOf(
    {
      thing: 'blend-hostel',
      code: 'HB3',
      amount: 10_000,
      parts: [{ lotId: 'R118', grams: 700 }],
    },
    4000,
    'HB3',
  )
  const lots = [castor, blend]
  const drawn = (lotId: string, grams: number, into: Partial<TracedMove>): TracedMove => ({
    lotId,
    kind: 'drawn',
    grams: -grams,
    batchId: null,
    intoLot: null,
    ...into,
  })
  const moves: TracedMove[] = [
    { lotId: 'R118', kind: 'came', grams: 2000, batchId: null, intoLot: null },
    drawn('R118', 140, { batchId: '33' }),
    drawn('R118', 700, { intoLot: 'HB3' }),
    drawn('HB3', 3000, { batchId: '37' }),
    drawn('HB3', 3000, { batchId: '41' }),
    drawn('R118', 216, { batchId: '36' }),
    { lotId: 'R118', kind: 'spilled', grams: -14, batchId: null, intoLot: null },
  ]
  it('is followed through the blend, each gram once', () => {
    const { flows, blends, lost, left } = traced('R118', lots, moves)
    expect(flows.map((flow) => ({ ...flow, grams: Number(flow.grams.toFixed(9)) }))).toEqual([
      { batchId: '33', via: [], grams: 140 },
      { batchId: '36', via: [], grams: 216 },
      { batchId: '37', via: ['HB3'], grams: 210 },
      { batchId: '41', via: ['HB3'], grams: 210 },
    ])
    expect(blends).toEqual([{ lotId: 'HB3', grams: 700, left: 280 }])
    const all = flows.reduce((sum, { grams }) => sum + grams, 0) + blends[0]!.left + lost + left
    expect(all).toBeCloseTo(2000, 9)
  })
  it('and back from a batch to every lot behind it', () => {
    expect(lotsBehind('37', lots, moves)).toEqual([
      { lotId: 'HB3', via: [], grams: 3000 },
      { lotId: 'R118', via: ['HB3'], grams: 210 },
    ])
  })
})

it('names things, what they stand in, and what is counted', () => {
  expect(thingIn(library, 'naoh')).toMatchObject({ kind: 'lye', caustic: true })
  expect(thingIn(library, 'own-lost').name).toBe('own-lost')
  expect(isCounted('goods-strips') && !isCounted('olive')).toBe(true)
  expect([
    usualVessel('fat', 25_000),
    usualVessel('fat', 5000),
    usualVessel('fat', 900),
    usualVessel('scent', 500),
    usualVessel('water', 10_000),
  ]).toEqual(['drum', 'bucket', 'jar', 'bottle', 'can'])
})
