import {
  batchEventSchema,
  type Batch,
  type NewBatchEvent,
  type ToldBatchEvent,
} from '#contracts/batch'
import { blankFormula } from '../formula/blank'
import { describe, expect, it } from 'vitest'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { addDays, dayIn, daysBetween } from '../units/days'
import { formatter } from '../units/formatter'
import { whyNot } from '../events'
import { calendarOf } from './calendar'
import { cureRuleFor } from './cure'
import { netSays } from '../label/net'
import { leftAfter } from './drying/model'
import { factsAtOnce, factsOf } from './facts'
import { dueFor, dueOf, weighOn } from './due'
import { lookedFor, mixedUpWith, oddWeight } from './oddWeight'
import { standingOf } from './standing'
import { batchOf, exponential, frozenOf, told } from '../../tests/support/batchOf'

const poured = told({ kind: 'poured', day: '2026-03-01' })
const cut = told({ kind: 'cut', day: '2026-03-02', bars: 11 })
const out = (bars: number, how: 'sold' | 'used' = 'sold') =>
  told({ kind: 'out', day: '2026-05-01', bars, how })
const strip = (ph: number, day = '2026-03-04', more: { bar?: number; tooDry?: boolean } = {}) =>
  told({ kind: 'strip', day, ph, where: 'lather', ...more })
const zap = (is: boolean, day = '2026-03-05') => told({ kind: 'zapped', day, zap: is })
const weighed = (day: string, ...grams: number[]) =>
  told({ kind: 'weighed', day, bars: grams.map((one, index) => ({ bar: index + 1, grams: one })) })

const limits = { lyeRisk: 0.01, lyeRiskCleaning: 0.05 }
const batch = (events: ToldBatchEvent[], days = 42): Batch => batchOf(events, { days })
const stageOn = (events: ToldBatchEvent[], today: string) => standingOf(batch(events), today).stage

describe('where a batch stands', () => {
  it.each([
    ['planned', [], '2026-03-01'],
    ['first-days', [poured], '2026-03-09'],
    ['first-days', [poured, cut], '2026-03-03'],
    ['drying', [poured, cut], '2026-03-04'],
    ['drying', [poured, cut], '2026-03-28'],
    ['last-weeks', [poured, cut], '2026-03-29'],
    ['last-weeks', [poured, cut], '2026-04-11'],
    ['ready', [poured, cut], '2026-04-12'],
    ['ready', [poured, cut, out(10)], '2026-05-02'],
    ['left', [poured, cut, out(4), out(7, 'used')], '2026-05-02'],
  ] as const)('%s', (stage, events, today) => {
    expect(stageOn([...events], today)).toBe(stage)
  })

  it('counts days over a change of clocks and gives the ready date', () => {
    const standing = standingOf(batch([poured, cut]), '2026-03-30')
    expect(standing).toMatchObject({ day: 29, readyOn: '2026-04-12', bars: 11, by: 'calendar' })
  })

  it('takes back what was undone, and keeps the rest', () => {
    const undone = told({ kind: 'undone', event: cut.id })
    expect(standingOf(batch([poured, cut, undone]), '2026-03-20')).toMatchObject({
      cutOn: null,
      bars: 12,
      pouredOn: '2026-03-01',
    })
  })

  it('is ready when the later of the two clocks says so; by weight once bars were weighed three times', () => {
    const untold = standingOf(batch([poured, cut], 21), '2026-03-20')
    expect(untold).toMatchObject({ dryOn: null, readyOn: '2026-03-22', by: 'calendar' })
    // 21 days by the calendar; by weight such bars take longer than three weeks.
    const often = ['2026-03-02', '2026-03-08', '2026-03-15'].map((day, nth) =>
      weighed(day, 120 - 4 * nth),
    )
    const once = standingOf(batch([poured, cut, often[0]!], 21), '2026-03-20')
    expect(once).toMatchObject({ dryOn: null, by: 'calendar' })
    const short = standingOf(batch([poured, cut, ...often], 21), '2026-03-20')
    expect(short.curedOn).toBe('2026-03-22')
    expect(short.dryOn! > '2026-03-22').toBe(true)
    expect(short).toMatchObject({ readyOn: short.dryOn, by: 'weight' })
  })
})

describe('usable', () => {
  const usable = (...events: ToldBatchEvent[]) => batch([poured, cut, ...events]).facts.usable
  it.each([
    ['untested', []],
    ['usable', [strip(9)]],
    ['usable', [strip(10)]],
    ['held', [strip(10.5)]],
    ['held', [strip(11)]],
    ['locked', [strip(11.5)]],
    ['usable', [strip(11.5), strip(9, '2026-03-10')]],
    ['untested', [strip(12, '2026-03-04', { tooDry: true })]],
    // The worst bar speaks for all.
    ['held', [strip(10.5, '2026-03-04', { bar: 1 }), strip(9, '2026-03-05', { bar: 2 })]],
    ['locked', [strip(9), zap(true)]],
    ['usable', [strip(9), zap(true), zap(false, '2026-03-20')]],
    ['trusted', [told({ kind: 'trusted', day: '2026-03-03' })]],
    // A test says more than the weights.
    ['held', [told({ kind: 'trusted', day: '2026-03-03' }), strip(10.2)]],
  ] as const)('%s', (state, events) => {
    expect(usable(...events).state).toBe(state)
  })

  it('free lye by the weights locks whatever a strip says', () => {
    const made = {
      superfat: -0.01,
      ratio: 2,
      strength: 1 / 3,
      oils: 1000,
      pure: 150,
      water: 300,
      scent: 0,
      batter: 1450,
    }
    const lyeHeavy = told({ kind: 'poured', day: '2026-03-01', made })
    expect(batch([lyeHeavy, cut, strip(9)]).facts.usable).toMatchObject({
      state: 'locked',
      because: 'weights',
    })
  })
})

describe('what may happen', () => {
  const why = (events: ToldBatchEvent[], event: NewBatchEvent, today = '2026-06-01') =>
    whyNot(
      batch(events),
      batchEventSchema.parse({ id: '00000000-0000-7000-8000-000000000999', ...event }),
      today,
      limits,
    )
  const made = {
    superfat: 0.05,
    ratio: 2,
    strength: 1 / 3,
    oils: 1000,
    pure: 140,
    water: 280,
    scent: 0,
    batter: 1420,
  }
  const weighed = told({ kind: 'poured', day: '2026-03-01', made })
  const noGel = told({ kind: 'gelled', day: '2026-03-02', gel: 'none' })
  const sold = { kind: 'out', day: '2026-05-02', bars: 2, how: 'sold' } as const
  it.each([
    [/not cut/, [poured], sold],
    [/locked/, [poured, cut, strip(12)], sold],
    [/held/, [poured, cut, strip(10.5)], sold],
    [/Only 1/, [poured, cut, out(10)], sold],
    [/No bar/, [poured, cut, out(11)], sold],
    [/before it was poured/, [poured], { kind: 'gelled', day: '2026-02-01', gel: 'full' } as const],
    [/not come yet/, [poured], { kind: 'cut', day: '2026-07-01', bars: 5 } as const],
    [/no weights to trust/, [poured, cut], { kind: 'trusted', day: '2026-03-12' } as const],
    [/48 hours/, [weighed, cut], { kind: 'trusted', day: '2026-03-02' } as const],
    [/5 days/, [weighed, cut, noGel], { kind: 'trusted', day: '2026-03-04' } as const],
    [
      /no strip has cleared/,
      [poured, cut],
      { kind: 'zapped', day: '2026-03-05', zap: false } as const,
    ],
    [
      /no strip has cleared/,
      [poured, cut, strip(10.5)],
      { kind: 'zapped', day: '2026-03-05', zap: false } as const,
    ],
    [/what went out first/, [poured, cut, out(2)], { kind: 'undone', event: cut.id } as const],
  ] as const)('%s', (says, events, event) => {
    expect(why([...events], event)).toMatch(says)
  })
  it('weights are trusted once the soap is done: two days, five where it was slow', () => {
    const trusted = (day: string) => ({ kind: 'trusted', day }) as const
    expect(why([weighed, cut], trusted('2026-03-03'))).toBeNull()
    expect(why([weighed, cut, noGel], trusted('2026-03-05'))).toMatch(/5 days/)
    expect(why([weighed, cut, noGel], trusted('2026-03-06'))).toBeNull()
  })
  it('with soda or silicate in it no strip decides: weights do, and a tongue still does', () => {
    const frozen = frozenOf({
      use: 'laundry',
      additives: [{ id: 'washing-soda', rate: 0.04, of: 'oils', carrier: null }],
    })
    const of = (...events: ToldBatchEvent[]) =>
      batchOf([weighed, cut, ...events], { frozen }).facts.usable
    expect(of(strip(11.5))).toMatchObject({ state: 'untested', ph: 11.5 })
    expect(of(strip(9))).toMatchObject({ state: 'untested' })
    expect(of(strip(11.5), told({ kind: 'trusted', day: '2026-03-05' }))).toMatchObject({
      state: 'trusted',
      because: 'weights',
    })
    expect(of(told({ kind: 'zapped', day: '2026-03-05', zap: true })).state).toBe('locked')
    expect(batchOf([weighed, cut], { frozen }).facts).toMatchObject({
      builders: true,
      weights: true,
      slow: false,
    })
    expect(batchOf([poured, cut]).facts).toMatchObject({ builders: false, weights: false })
    const citric = frozenOf({
      additives: [{ id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils', carrier: null }],
    })
    expect(batchOf([weighed, cut], { frozen: citric }).facts.slow).toBe(true)
    expect(batchOf([weighed, cut, noGel]).facts.slow).toBe(true)
    const cold = frozenOf({ method: { ...frozen.document.method, lyeC: 22, oilsC: 24 } })
    expect(batchOf([weighed, cut], { frozen: cold }).facts.slow).toBe(true)
  })
  it.each([
    ['cold on the day of the pour and after it', [12, 14, 20], true],
    ['cold only later', [18, 18, 9], false],
    ['cold and then warmed', [10, 21, 21], false],
  ] as const)('a room that was %s', (_, celsius, slow) => {
    const days = celsius.map((warm, at) => ({
      day: addDays('2026-03-01', at),
      celsius: warm,
      humidity: 0.55,
    }))
    const bars = { bars: 12, frozen: frozenOf({}), events: [poured, cut] }
    const facts = factsOf(bars, { humidity: 0.55, days })
    expect(facts.slow).toBe(slow)
    // What was known of the room stays known while the fit is still to come.
    expect(factsAtOnce(bars, facts).slow).toBe(slow)
  })
  it('held bars may be used up or reworked by the maker', () => {
    expect(why([poured, cut, strip(10.5)], { ...sold, how: 'reworked' })).toBeNull()
    expect(why([poured, cut, strip(9)], sold)).toBeNull()
    expect(
      why([poured, cut, strip(9)], { kind: 'zapped', day: '2026-03-05', zap: false }),
    ).toBeNull()
  })
})

describe('what is due', () => {
  const summary = (id: string, events: ToldBatchEvent[]) => ({ ...batch(events), id })
  const kinds = (events: ToldBatchEvent[], today: string) => {
    const due = dueOf([summary('loaf', events)], today)
    return [due.today, due.week].map((list) => list.map(({ kind }) => kind))
  }

  it('lists what is late with today and the week after it, what cannot wait first', () => {
    const due = dueOf(
      [
        summary('planned', []),
        summary('loaf', [poured]),
        summary('fresh', [poured, cut, strip(9), weighed('2026-03-02', 120)]),
      ],
      '2026-03-03',
    )
    expect(due.today.map(({ batchId, kind }) => [batchId, kind])).toEqual([
      ['loaf', 'cut'],
      ['planned', 'pour'],
    ])
    expect(due.week.map(({ kind, on }) => [kind, on])).toEqual([
      ['turn', '2026-03-07'],
      ['weigh', '2026-03-09'],
    ])
  })

  it('goes by the checks of the bench, each until it is done', () => {
    const window = { from: '2026-03-02T04:00:00.000Z', to: '2026-03-02T22:00:00.000Z' }
    const checks = [
      { kind: 'peek' as const, from: '2026-03-01T11:00:00.000Z', to: '2026-03-01T11:00:00.000Z' },
      { kind: 'unmould' as const, ...window },
    ]
    const bench = told({ kind: 'poured', day: '2026-03-01', checks })
    expect(kinds([bench], '2026-03-01')).toEqual([['peek'], ['cut']])
    const looked = told({ kind: 'checked', day: '2026-03-01', check: 'peek' })
    expect(kinds([bench, looked], '2026-03-01')).toEqual([[], ['cut']])
    expect(dueOf([summary('loaf', [bench, looked])], '2026-03-02').today[0]!.between).toEqual(
      window,
    )
  })

  it('asks for a strip after two days, and again three days after one over 10', () => {
    expect(kinds([poured, cut], '2026-03-03')[0]).toContain('strip')
    expect(kinds([poured, cut, strip(9)], '2026-03-09')[0]).not.toContain('strip')
    const held = [poured, cut, strip(10.5)]
    expect(dueOf([summary('loaf', held)], '2026-03-05').week).toContainEqual(
      expect.objectContaining({ kind: 'strip', on: '2026-03-07' }),
    )
  })

  it('weighs each week, then less often, and stops when the loss was seen to level off', () => {
    const truth = exponential(0.2, 0.06)
    const on = (days: number) => addDays('2026-03-01', days)
    const series = (...days: number[]) =>
      days.map((day) => weighed(on(day), ...[119, 120, 121].map((g) => g * leftAfter(truth, day))))
    expect(weighOn(batch([poured, cut]))).toBe('2026-03-02')
    expect(weighOn(batch([poured, cut, ...series(1)]))).toBe(on(8))
    expect(weighOn(batch([poured, cut, ...series(1, 8, 15, 22, 29, 36, 43, 57)]))).toBeNull()
  })

  it('turns at the workshop’s own rhythm, and not at all where nobody does', () => {
    const turned = told({ kind: 'turned', day: '2026-03-07' })
    const events = [poured, cut, strip(9), weighed('2026-03-02', 120), turned]
    const due = (turnEvery: number) =>
      dueFor(batch(events), '2026-03-08', (at) => at.slice(0, 10), { turnEvery }).filter(
        ({ kind }) => kind === 'turn',
      )
    expect(due(4).map(({ on }) => on)).toEqual(['2026-03-11'])
    expect(due(0)).toEqual([])
  })
})

describe('the weight on a label', () => {
  it.each([
    [107.9, false, '107 g'],
    // 107 g are 3.774 oz: 3.8 would be more than there is.
    [107, true, '107 g · 3.7 oz'],
    [113.4, true, '113 g · 4.0 oz'],
  ] as const)('%f g, %s: %s', (grams, dual, says) => {
    expect(netSays(grams, 1, dual, formatter())).toBe(says)
  })
})

describe('the cure rule of a formula', () => {
  const formula = (shares: Record<string, number>) =>
    computeFormula(
      {
        ...blankFormula('Kind'),
        fats: Object.entries(shares).map(([id, share]) => ({
          id,
          share,
          moment: 'pot',
          inLye: true,
        })),
      },
      library,
    )
  it.each([
    [{ olive: 1 }, 365],
    [{ olive: 0.7, 'laurel-berry': 0.3 }, 365],
    [{ coconut: 0.8, olive: 0.2 }, 28],
    [{ olive: 0.45, coconut: 0.25, tallow: 0.3 }, 42],
    // By what they are, not by what they are called.
    [{ 'sunflower-high-oleic': 1 }, 365],
    [{ rapeseed: 0.5, 'sweet-almond': 0.5 }, 365],
    [{ 'palm-kernel': 0.6, tallow: 0.4 }, 28],
    [{ ucuuba: 0.5, palm: 0.5 }, 28],
    [{ lard: 1 }, 42],
  ])('%o cures %i days', (shares, days) => {
    expect(cureRuleFor(formula(shares as unknown as Record<string, number>)).days).toBe(days)
  })
})

it('days add and subtract over months, leap days and clock changes', () => {
  expect(addDays('2028-02-28', 2)).toBe('2028-03-01')
  expect(addDays('2026-03-29', -1)).toBe('2026-03-28')
  expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2)
  expect(dayIn('Pacific/Auckland', new Date('2026-03-01T12:00:00Z'))).toBe('2026-03-02')
})

describe('the calendar', () => {
  const rules = { turnEvery: 5 }
  const dayOf = (instant: string) => instant.slice(0, 10)
  it('tells what is to come once, what is late today, and turnings only until the bars are ready', () => {
    const entries = calendarOf(
      [batch([poured, cut, strip(9), weighed('2026-03-02', 120)])],
      '2026-03-30',
      dayOf,
      rules,
    )
    expect(new Set(entries.map(({ uid }) => uid)).size).toBe(entries.length)
    expect(entries.map(({ says, on }) => [says, on])).toEqual([
      ['Turn Slab 1', '2026-03-30'],
      ['Weigh the marked bars: Slab 1', '2026-03-30'],
      ['Turn Slab 1', '2026-04-04'],
      ['Turn Slab 1', '2026-04-09'],
      ['Ready: Slab 1', '2026-04-12'],
    ])
  })
  it('is empty for a workshop that has nothing on the rack', () => {
    expect(calendarOf([], '2026-03-30', dayOf, rules)).toEqual([])
    expect(calendarOf([batch([])], '2026-03-30', dayOf, rules)).toEqual([])
  })
})

describe('odd weights', () => {
  const { facts } = batch([poured, cut, weighed('2026-03-08', 110, 112, 114)])
  const say = formatter({ scale: 0.1 })
  it.each([
    [1, 109, null],
    [1, 110.3, null],
    [1, 113, /Heavier than last time \(110.0 g\)/],
    [1, 90, /Much lighter than last time/],
    // A week after the 8th day such a bar loses some 4 %: 105 g is as it should be, 10 g less than that is a slip.
    [1, 105, null],
    [1, 95, /about 10\d\.\d g was to be expected/],
    [9, 40, /was to be expected/],
  ])('bar %i, %d g', (bar, grams, says) => {
    const odd = oddWeight(facts, bar, grams, '2026-03-15', say)
    if (says) expect(odd).toMatch(says)
    else expect(odd).toBeNull()
  })
  it('what a bar is looked for at is what is not asked about', () => {
    const looked = lookedFor(facts, 1, '2026-03-15')!
    expect(looked.low).toBeLessThan(looked.likely)
    expect(looked.likely).toBeLessThan(looked.high)
    const odd = (grams: number) => oddWeight(facts, 1, grams, '2026-03-15', say)
    expect(odd(looked.low)).toBeNull()
    expect(odd(looked.high)).toBeNull()
    expect(odd(looked.low - 0.1)).toMatch(/lighter/)
    expect(odd(looked.high + 0.1)).toMatch(/Heavier/)
  })
  it('a weight is offered to another bar only where exactly one fits', () => {
    const two = batch([poured, cut, weighed('2026-03-08', 118, 110, 109.8)]).facts
    const fits = (grams: number, others: number[]) => mixedUpWith(two, grams, '2026-03-09', others)
    expect(fits(117.5, [1, 2])).toBe(1)
    expect(fits(109.5, [2])).toBe(2)
    expect(fits(109.5, [2, 3])).toBeNull()
    expect(fits(150, [1, 2, 3])).toBeNull()
    expect(fits(117.5, [])).toBeNull()
  })
})
