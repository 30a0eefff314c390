import type { Batch, BatchSummary } from '#contracts/batch'
import { describe, expect, it } from 'vitest'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { addDays, dayIn, daysBetween } from '../units/days'
import { cureRuleFor } from './cure'
import { dueOf } from './due'
import { standingOf } from './standing'

const at = '2026-03-01T09:00:00Z'
const poured = { id: 'p', kind: 'poured' as const, day: '2026-03-01', at }
const cut = { id: 'c', kind: 'cut' as const, day: '2026-03-02', bars: 11, at }
const batch = (events: Batch['events'], days = 42) => ({
  bars: 12,
  cure: { rule: 'most', days },
  events,
})

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
  ] as const)('%s', (stage, events, today) => {
    expect(standingOf(batch([...events]), today).stage).toBe(stage)
  })

  it('counts days over a change of clocks and gives the ready date', () => {
    const standing = standingOf(batch([poured, cut]), '2026-03-30')
    expect(standing).toMatchObject({ day: 29, readyOn: '2026-04-12', bars: 11 })
  })

  it('takes back what was undone, and keeps the rest', () => {
    const undone = { id: 'u', kind: 'undone' as const, event: 'c', at }
    expect(standingOf(batch([poured, cut, undone]), '2026-03-20')).toMatchObject({
      cutOn: null,
      bars: 12,
      pouredOn: '2026-03-01',
    })
  })
})

describe('what is due', () => {
  const summary = (id: string, events: Batch['events']) =>
    ({ ...batch(events), id, number: 1, name: id }) as BatchSummary

  it('lists what is late with today and the week after it, in order', () => {
    const soon = { ...poured, day: '2026-01-22' }
    const due = dueOf(
      [
        summary('planned', []),
        summary('loaf', [poured]),
        summary('ripe', [soon, { ...cut, day: '2026-01-23' }]),
        summary('drying', [poured, cut]),
      ],
      '2026-03-03',
    )
    expect(due.today.map(({ batchId, kind }) => [batchId, kind])).toEqual([
      ['loaf', 'cut'],
      ['planned', 'pour'],
    ])
    expect(due.week).toEqual([{ batchId: 'ripe', kind: 'ready', on: '2026-03-05', between: null }])
  })

  it('goes by the checks of the bench, each until it is done', () => {
    const window = { from: '2026-03-02T04:00:00.000Z', to: '2026-03-02T22:00:00.000Z' }
    const checks = [
      { kind: 'peek' as const, from: '2026-03-01T11:00:00.000Z', to: '2026-03-01T11:00:00.000Z' },
      { kind: 'unmould' as const, ...window },
    ]
    const kinds = (events: Batch['events'], today: string) => {
      const due = dueOf([summary('loaf', events)], today)
      return [due.today, due.week].map((list) => list.map(({ kind }) => kind))
    }
    const bench = { ...poured, checks }
    expect(kinds([bench], '2026-03-01')).toEqual([['peek'], ['cut']])
    const looked = {
      id: 'l',
      kind: 'checked' as const,
      day: '2026-03-01',
      check: 'peek' as const,
      at,
    }
    expect(kinds([bench, looked], '2026-03-01')).toEqual([[], ['cut']])
    expect(dueOf([summary('loaf', [bench, looked])], '2026-03-02').today[0]!.between).toEqual(
      window,
    )
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
  ])('%o cures %i days', (shares, days) => {
    expect(cureRuleFor(formula(shares as unknown as Record<string, number>), library).days).toBe(
      days,
    )
  })
})

it('days add and subtract over months, leap days and clock changes', () => {
  expect(addDays('2028-02-28', 2)).toBe('2028-03-01')
  expect(addDays('2026-03-29', -1)).toBe('2026-03-28')
  expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2)
  expect(dayIn('Pacific/Auckland', new Date('2026-03-01T12:00:00Z'))).toBe('2026-03-02')
})
