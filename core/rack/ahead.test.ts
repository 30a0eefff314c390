import { describe, expect, it } from 'vitest'
import type { Batch } from '#contracts/batch'
import { batchOf, told } from '../../tests/support/batchOf'
import { blendOf, traitsFrom } from '../character/traits'
import { addDays, daysBetween } from '../units/days'
import { formatter } from '../units/formatter'
import { whyNot } from '../events'
import { cureRulesOf } from './cure'
import { dueFor } from './due'
import { feelLines, feelTestsFor, traitsFelt } from './feel'
import { peekAdvice, touchAdvice } from './inMould'
import { lackingWithout, outlookOf, plansFor } from './outlook'
import { byPlace, moved, barsByPlace } from './places'
import { dampWeek, humidityOf, laterBy } from './room'
import { laidOut } from './roomPlan'
import { weighInsFromRows, weighInsOfRows } from './weighInRows'
import { forecastToKeep, weighInsOf } from './facts'

const today = '2026-03-20'
const idOf = (n: number) => `00000000-0000-7000-8000-9${String(n).padStart(11, '0')}`
const poured = (day: string) => told({ kind: 'poured', day })
const cut = (day: string, bars = 12) => told({ kind: 'cut', day, bars })
const made = (number: number, pouredOn: string, more: Partial<Batch> & { days?: number } = {}) =>
  batchOf([poured(pouredOn), cut(addDays(pouredOn, 1)), ...(more.events ?? [])], {
    id: idOf(number),
    number,
    ...more,
    events: undefined as never,
  })

describe('in the mould', () => {
  it('hot is uncovered, milk is cooled where it rings, liquid on top is no matter of looks', () => {
    expect(peekAdvice('hot', false).so).toMatch(/Uncover/)
    expect(peekAdvice('ring', true).so).toMatch(/cool/)
    expect(peekAdvice('ring', false).so).toMatch(/warmer/)
    expect([peekAdvice('wet', false).bad, peekAdvice('hot', false).bad]).toEqual([true, false])
  })
  it('soft and sticky wait or freeze, firm and hard are cut', () => {
    const window = { from: 18, to: 36 }
    expect(touchAdvice('soft', 10, window).says).toMatch(/to be expected/)
    expect(touchAdvice('soft', 50, window).says).toMatch(/Still soft/)
    expect(touchAdvice('sticky', 20, window).again).toEqual({ waiting: 24, frozen: 2 })
    expect(touchAdvice('firm', 20, window).again).toBeNull()
    // Raw it is never sent to the freezer: well before its window, or where nobody knows since when it stands.
    expect(touchAdvice('soft', 10, window).again).toEqual({ waiting: 12, frozen: null })
    expect(touchAdvice('soft', 10, window).so).toContain('Not into the freezer yet')
    expect(touchAdvice('sticky', 10, window).so).not.toContain('freeze')
    expect(touchAdvice('soft', null, null).again!.frozen).toBeNull()
    expect(touchAdvice('soft', 17, null).again!.frozen).toBeNull()
    expect(touchAdvice('soft', 18, null).again!.frozen).toBe(2)
    expect(touchAdvice('hard', 60, window).so).toMatch(/Cut at once/)
  })
  it('a loaf that was tried soft is due again when it was said', () => {
    const again = '2026-03-21T06:00:00.000Z'
    const loaf = batchOf([
      poured('2026-03-20'),
      told({ kind: 'tried', day: '2026-03-20', touch: 'soft', again }),
    ])
    expect(dueFor(loaf, today, (instant) => instant.slice(0, 10))).toMatchObject([
      { kind: 'cut', on: '2026-03-21' },
    ])
  })
  it('a loaf in the freezer is due out of it, and not to be cut before', () => {
    const again = '2026-03-21T06:00:00.000Z'
    const loaf = batchOf([
      poured('2026-03-20'),
      told({ kind: 'tried', day: '2026-03-21', touch: 'soft', frozen: true, again }),
    ])
    expect(dueFor(loaf, today, (instant) => instant.slice(0, 10))).toEqual([
      { batchId: loaf.id, kind: 'thaw', on: '2026-03-21', between: { from: again, to: again } },
    ])
    const thawed = batchOf([
      poured('2026-03-20'),
      told({ kind: 'tried', day: '2026-03-21', touch: 'soft', frozen: true, again }),
      told({ kind: 'tried', day: '2026-03-21', touch: 'firm' }),
    ])
    expect(dueFor(thawed, today, (instant) => instant.slice(0, 10))).toMatchObject([
      { kind: 'cut' },
    ])
  })
  it('a pour with its time has a window even without the bench', () => {
    const loaf = batchOf([
      told({ kind: 'poured', day: '2026-03-20', pouredAt: '2026-03-20T10:00:00.000Z' }),
    ])
    const window = loaf.facts.checks.find(({ kind }) => kind === 'unmould')!
    expect(window.from > '2026-03-20T13:00').toBe(true)
    expect(window.to > window.from).toBe(true)
  })
})

describe('places', () => {
  const [a, b] = [idOf(1), idOf(2)]
  const batch = batchOf([
    poured('2026-03-01'),
    cut('2026-03-02', 11),
    told({
      kind: 'placed',
      day: '2026-03-02',
      spread: [
        { place: a, bars: 6 },
        { place: b, bars: 4 },
      ],
    }),
    told({ kind: 'out', day: '2026-03-10', bars: 3, how: 'used' }),
  ])
  it('bars that went are taken from the last place, the rest stands where it was put', () => {
    expect(barsByPlace(batch, today)).toEqual([
      { place: a, bars: 6 },
      { place: b, bars: 2 },
    ])
    expect(
      [...byPlace([batch], new Set([a]), today)].map(([place, list]) => [place, list[0]!.bars]),
    ).toEqual([
      [a, 6],
      [null, 2],
    ])
  })
  it('moving keeps the count, and more than is there cannot be placed', () => {
    expect(moved(batch, today, b, a, 2)).toEqual([{ place: a, bars: 8 }])
    expect(moved(batch, today, a, b, 1)).toEqual([
      { place: a, bars: 5 },
      { place: b, bars: 3 },
    ])
    const many = told({ kind: 'placed', day: today, spread: [{ place: a, bars: 9 }] })
    expect(whyNot(batch, many, today, { lyeRisk: 0.01, lyeRiskCleaning: null })).toBe(
      'Only 8 bars are there to be placed.',
    )
  })
})

describe('the room', () => {
  const days = (count: number, humidity: number, from = 0) =>
    Array.from({ length: count }, (_, nth) => ({
      day: addDays('2026-01-01', from + nth),
      celsius: 17,
      humidity,
    }))
  it('bars dry in the humidity of the last fortnight, or in what is stated', () => {
    expect(humidityOf([], 0.6)).toBe(0.6)
    expect(humidityOf([...days(20, 0.8), ...days(14, 0.5, 20)], 0.6)).toBeCloseTo(0.5, 9)
  })
  it('a damp week slows by the dampness: (1 − 0.7) to (1 − 0.5)', () => {
    const damp = dampWeek([...days(28, 0.5), ...days(7, 0.7, 28)], 0.5)!
    expect(damp.pace).toBeCloseTo(0.3 / 0.5, 9)
    expect(dampWeek(days(35, 0.7), 0.7)).toBeNull()
    expect(dampWeek(days(35, 0.5), 0.5)).toBeNull()
  })
  it('a damp week keeps bars by what it lost them: 7 days at 0.6 of the pace are 2.8 days', () => {
    const log = [...days(28, 0.5), ...days(7, 0.7, 28)]
    const first = log[0]!.day
    const shape = { loss: 0.12, halfDays: 12, early: 1, late: 1, slowShare: 0, slowHalfDays: 1 }
    const later = (halfDays: number, pouredOn: string) =>
      laterBy({ shape: { ...shape, halfDays } }, pouredOn, log, 0.5, { before: 0.5 })
    // ln 12 / ln 2 = 3.585 halvings of 12 days are 43 days: past the log.
    expect(later(12, first)).toBeCloseTo(2.8, 6)
    expect(later(12, addDays(first, 32))).toBeCloseTo(1.2, 6)
    // 3.585 of 5 days are 18: dry before the week came.
    expect(later(5, first)).toBe(0)
  })
})

describe('the room', () => {
  const place = (name: string, spot: { x: number; y: number; width: number } | null = null) => ({
    id: name,
    name,
    kind: 'plank' as const,
    bars: 40,
    spot,
  })
  it('what nobody has put anywhere stands in columns between the walls, none on another', () => {
    for (let count = 1; count <= 16; count++) {
      const spots = laidOut(Array.from({ length: count }, (_, n) => place(`${n}`))).map(
        ({ spot }) => spot,
      )
      for (const { x, width, y } of spots) {
        expect(x + width).toBeLessThanOrEqual(100)
        expect(y).toBeGreaterThanOrEqual(7)
        expect(y).toBeLessThanOrEqual(72)
      }
      for (const [at, one] of spots.entries())
        for (const other of spots.slice(at + 1))
          expect(
            Math.abs(one.y - other.y) >= 20 ||
              one.x + one.width <= other.x ||
              other.x + other.width <= one.x,
          ).toBe(true)
    }
  })
  it('what was put somewhere stays there', () => {
    const [sill, shelf] = laidOut([place('sill', { x: 3, y: 50, width: 20 }), place('shelf')])
    expect(sill!.spot).toEqual({ x: 3, y: 50, width: 20 })
    expect(shelf!.spot).toEqual({ x: 4, y: 72, width: 92 })
  })
})

describe('what is ahead', () => {
  const ready = made(1, '2026-01-01')
  const drying = made(2, '2026-03-01')
  it('30 bars in 90 days are 2⅓ a week: 12 last 36 days, then a gap until the next', () => {
    const [one] = outlookOf([ready, drying], { formula: 30 }, today)
    expect(one).toMatchObject({ ready: 12, coming: 12, outOn: addDays(today, 36), gap: 0 })
    const [fast] = outlookOf([ready, drying], { formula: 180 }, today)
    // 14 a week: 6 days, until the 26th; the next are ready on 12 April at the earliest.
    expect(fast!.outOn).toBe('2026-03-26')
    expect(fast!.gap).toBeGreaterThanOrEqual(17)
  })
  it('what is there goes to the earlier goal; the rest is poured its cure and a day before', () => {
    const goals = [
      { id: 'late', what: 'Market', on: '2026-07-01', formulaId: 'formula', bars: 20 },
      { id: 'early', what: 'Inn', on: '2026-04-01', formulaId: 'formula', bars: 10 },
      { id: 'other', what: 'Fair', on: '2026-06-01', formulaId: 'other', bars: 5 },
    ]
    const plans = plansFor(goals, [ready, drying], today, () => 60)
    expect(plans.get('early')).toMatchObject({ there: 10, missing: 0, pourBy: null })
    expect(plans.get('late')).toMatchObject({ there: 14, missing: 6 })
    expect(plans.get('other')).toMatchObject({ missing: 5, pourBy: addDays('2026-06-01', -61) })
  })
  it('without a batch a promise lacks what no other batch of its formula makes up for', () => {
    const rose = { ...made(3, '2026-01-01'), formulaId: 'rose' }
    const goal = { id: 'inn', what: 'Inn', on: '2026-04-01', formulaId: 'formula', bars: 10 }
    const market = { ...goal, id: 'market', on: '2026-07-01', bars: 12 }
    const lacks = (id: string, goals = [goal, market], batches = [ready, drying, rose]) =>
      lackingWithout(id, goals, batches, today, () => 60).map((one) => [
        one.goal.id,
        one.fewer,
        one.instead?.formulaId ?? null,
        one.instead?.bars ?? null,
      ])
    // 24 bars for 22: without the ready 12 the inn gets none, and the market keeps its 12 of the drying ones.
    expect(lacks(ready.id)).toEqual([['inn', 10, 'rose', 12]])
    // The drying ones are only for the market, which then has the 2 that the inn leaves.
    expect(lacks(drying.id)).toEqual([['market', 10, 'rose', 12]])
    expect(lacks(rose.id)).toEqual([])
    const fair = { ...goal, id: 'fair', on: '2026-12-01', formulaId: 'rose', bars: 3 }
    expect(lacks(ready.id, [goal, market, fair])).toEqual([['inn', 10, null, null]])
  })
  it('a trouble that somebody wants to look at again comes up on its day, until it is looked at', () => {
    const seen = (day: string, how: number, lookOn?: string) =>
      told({ kind: 'trouble', day, trouble: 'orange-spots', how, lookOn, note: '', photos: [] })
    const due = (...events: Batch['events']) =>
      dueFor(made(2, '2026-03-01', { events }), today, (instant) => instant.slice(0, 10)).filter(
        ({ kind }) => kind === 'look',
      )
    expect(due(seen('2026-03-10', 2))).toEqual([])
    expect(due(seen('2026-03-10', 2, '2026-03-17')).map(({ on }) => on)).toEqual(['2026-03-17'])
    expect(due(seen('2026-03-10', 2, '2026-03-17'), seen('2026-03-12', 1))).toEqual([])
    expect(due(seen('2026-03-10', 2, '2026-03-17'), seen('2026-03-12', 0))).toEqual([])
  })
})

describe('bars in use', () => {
  it('has its own tests for its use', () => {
    expect(feelTestsFor('laundry')).toContain('soiledCloth')
    expect(feelTestsFor('laundry')).not.toContain('glide')
    expect(feelTestsFor('shaving')).toContain('glide')
  })
  it('lines are scores over days', () => {
    const felt = (day: string, quickFoam: number) =>
      told({ kind: 'felt', day, scores: { quickFoam } })
    expect(feelLines([felt('2026-04-01', 4), felt('2026-03-08', 2)], '2026-03-01')).toEqual([
      {
        test: 'quickFoam',
        points: [
          { day: 7, score: 2 },
          { day: 31, score: 4 },
        ],
      },
    ])
  })
  it('two tests of 5 against an estimate of 40 meet at 70; young bars do not count', () => {
    const estimates = { ...traitsFrom(blendOf({}, { superfat: 0 })), quickFoam: 40 }
    const tests = [
      { day: 30, scores: { quickFoam: 5 } },
      { day: 60, scores: { quickFoam: 5 } },
      { day: 5, scores: { quickFoam: 1 } },
    ]
    expect(traitsFelt(estimates, tests)).toEqual([
      { trait: 'quickFoam', estimate: 40, tests: 100, count: 2, corrected: 70, says: 'better' },
    ])
    expect(traitsFelt(estimates, [{ day: 30, scores: { quickFoam: 3 } }])[0]!.says).toBeNull()
  })
})

describe('weigh-ins from a table', () => {
  const batch = made(7, '2026-03-01')
  const rows = (...list: Record<string, string>[]) =>
    weighInsFromRows(list, [batch], today, formatter({}))
  const grams = String(Math.round(batch.facts.drying!.grams * 0.97))
  it('takes other headings, dots and commas, and bars by day', () => {
    const read = rows(
      { batch: '7', date: '8.3.2026', bar: '1', weight: `${grams},5 g` },
      { batch: '7', day: '2026-03-08', mark: '2', grams },
    )
    expect(read.map(({ fault }) => fault)).toEqual([null, null])
    expect(weighInsOfRows(read)).toMatchObject([
      { day: '2026-03-08', bars: [{ bar: 1, grams: Number(grams) + 0.5 }, { bar: 2 }] },
    ])
  })
  it.each([
    [{ batch: '8', day: '2026-03-08', grams }, /No batch 8/],
    [{ batch: '', day: '2026-03-08', grams }, /Which batch/],
    [{ batch: '7', day: '3/4/2026', grams }, /Not a day/],
    [{ batch: '7', day: '2026-02-30', grams }, /Not a day/],
    [{ batch: '7', day: '2026-05-01', grams }, /not come yet/],
    [{ batch: '7', day: '2026-02-01', grams }, /before it was poured/],
    [{ batch: '7', day: '2026-03-08', grams: 'heavy' }, /Not a weight/],
    [{ batch: '7', day: '2026-03-08', bar: '0', grams }, /from 1 to 99/],
  ])('says what is wrong with %j', (row, fault) => {
    expect(rows(row as Record<string, string>)[0]!.fault).toMatch(fault)
  })
  it('asks about an odd weight and refuses the same bar twice', () => {
    const [odd, twice] = rows(
      { batch: '7', day: '2026-03-08', bar: '1', grams: '12' },
      { batch: '7', day: '2026-03-08', bar: '1', grams },
    )
    expect(odd!.odd).toMatch(/to be expected/)
    expect(twice!.fault).toMatch(/twice/)
  })
})

describe('after the cut', () => {
  const weigh = (day: string, grams: number) =>
    told({ kind: 'weighed', day, bars: [{ bar: 1, grams }] })
  it('what was planed off is taken off what was weighed before; unknown shavings begin anew', () => {
    const before = [poured('2026-03-01'), cut('2026-03-02'), weigh('2026-03-03', 120)]
    const planed = (grams: number | null) =>
      told({ kind: 'finished', day: '2026-03-05', step: 'planed', grams })
    const after = weigh('2026-03-06', 115)
    const of = (grams: number | null) =>
      weighInsOf([...before, planed(grams), after], '2026-03-01').map((one) => one.grams)
    expect(of(3)).toEqual([117, 115])
    expect(of(null)).toEqual([115])
    const stamped = told({ kind: 'finished', day: '2026-03-05', step: 'stamped' })
    expect(weighInsOf([...before, stamped, after], '2026-03-01')).toHaveLength(2)
  })
  it('judges dates by what was foretold at the third weigh-in, as it was kept', () => {
    const days = [3, 8, 15, 22].map((day, nth) => weigh(addDays('2026-03-01', day), 120 - 3 * nth))
    const begun = [poured('2026-03-01'), cut('2026-03-02')]
    const third = [...begun, ...days.slice(0, 3)]
    const now = batchOf(third).facts
    const forecast = forecastToKeep(third, now)!
    expect(forecast).toMatchObject({ after: days[2]!.id, day: '2026-03-16' })
    expect(forecast.forecasts[0]).toMatchObject({
      what: 'dry',
      low: daysBetween('2026-03-01', now.drying!.from),
      high: daysBetween('2026-03-01', now.drying!.to),
    })
    // Kept once, whatever is worked out anew.
    const dry = { ...forecast.forecasts[0]!, at: 77, low: 50, high: 99 }
    const kept = told({ kind: 'foretold', ...forecast, forecasts: [dry] })
    expect(forecastToKeep([...third, kept], now)).toBeNull()
    expect(batchOf([...third, kept]).facts.forecast).toBeNull()
    expect(batchOf([...third, kept, days[3]!]).facts.forecast).toEqual({
      on: '2026-03-16',
      dryOn: addDays('2026-03-01', 77),
      from: addDays('2026-03-01', 50),
      to: addDays('2026-03-01', 99),
    })
    expect(batchOf([...begun, ...days]).facts.forecast).toBeNull()
    expect(forecastToKeep([poured('2026-03-01')], now)).toBeNull()
  })
  it('own days of cure replace the usual ones, own kinds come after them', () => {
    const rules = cureRulesOf([
      { id: 'most', label: 'Most bars', days: 56 },
      { id: 'own-salt', label: 'Salt bars', days: 30 },
    ])
    expect(rules.find(({ id }) => id === 'most')!.days).toBe(56)
    expect(rules.at(-1)).toMatchObject({ id: 'own-salt', days: 30 })
    expect(rules.find(({ id }) => id === 'olive')!.days).toBe(365)
  })
})

it('a loaf whose window was over yesterday is to be cut, and no more looked at', () => {
  const checks = [
    { kind: 'peek' as const, from: '2026-03-17T12:00:00Z', to: '2026-03-17T12:00:00Z' },
    { kind: 'unmould' as const, from: '2026-03-18T10:00:00Z', to: '2026-03-19T08:00:00Z' },
  ]
  const loaf = batchOf([told({ kind: 'poured', day: '2026-03-17', checks })])
  const kinds = (day: string) =>
    dueFor(loaf, day, (instant) => instant.slice(0, 10)).map(({ kind }) => kind)
  expect(kinds('2026-03-19')).toEqual(['peek', 'cut'])
  expect(kinds('2026-03-20')).toEqual(['cut'])
})
