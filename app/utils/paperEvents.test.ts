import { setupSchema, type Run } from '#contracts/run'
import { planAsMade } from '#core/bench/run/lots'
import { runOf, weighedSoFar } from '#core/bench/run/run'
import { blankFormula } from '#core/formula/blank'
import type { StoredLot } from '#contracts/store'
import { formatter } from '#core/units/formatter'
import { describe, expect, it } from 'vitest'
import { plannedFrom } from '../../tests/support/bench'
import { lotOf } from '../../tests/support/lotOf'
import { lotsAtHand } from './lotsAtHand'
import { blankPaper, paperEvents } from './paperEvents'

const { plan, frozen } = plannedFrom({
  ...blankFormula('Slab'),
  fats: [
    { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
  ],
})
const run: Run = {
  id: 'run',
  batchId: 'batch',
  setup: setupSchema.parse({}),
  scale: 0.1,
  paper: true,
  startedAt: '2026-03-01T09:00:00.000Z',
  driver: 'here',
  events: [],
}
const weighed = plan.steps.filter(({ weigh }) => weigh)
const draft = blankPaper('2026-03-01')
const kinds = (events: { kind: string }[]) => events.map(({ kind }) => kind)

describe('a sheet that came back blank but for its day', () => {
  const events = paperEvents(plan, run, draft, [])

  it('tells of every weight as planned and of every step as done, and ends', () => {
    const state = runOf(plan, run.startedAt, events)
    for (const { id, weigh } of weighed) expect(state.steps.get(id)?.grams).toBe(weigh!.grams)
    for (const { id } of plan.steps) expect(state.steps.get(id)?.doneAt, id).not.toBeNull()
    expect(state.finished!.day).toBe('2026-03-01')
    // Instants are whole thousandths of a second.
    expect(state.finished!.minutes).toBeCloseTo(plan.minutes, 4)
    expect(kinds(events).filter((kind) => !['scooped', 'done', 'finished'].includes(kind))).toEqual(
      [],
    )
    expect(state.confirmed.size).toBe(0)
  })

  it('in the order of the plan and at its usual times, each with an id of its own', () => {
    const times = events.map(({ at }) => Date.parse(at))
    expect([...times].sort((a, b) => a - b)).toEqual(times)
    const last = plan.times.at(-1)!
    expect(events.at(-2)).toMatchObject({ kind: 'done', step: plan.steps.at(-1)!.id })
    expect((times.at(-2)! - Date.parse(run.startedAt)) / 60_000).toBeCloseTo(last.to, 4)
    expect(new Set(events.map(({ id }) => id)).size).toBe(events.length)
  })
})

describe('a sheet that was filled in', () => {
  const [first, second] = weighed
  const filled = {
    ...draft,
    confirmed: { goggles: true, pets: false },
    grams: { [first!.id]: 123.4, [second!.id]: null },
    peakC: 81,
    lyeC: 39,
    oilsC: 37,
    emulsion: 3,
    trace: 7.5,
    notes: '  Thick at the end.  ',
  }
  const events = paperEvents(plan, run, filled, [])
  const state = runOf(plan, run.startedAt, events)

  it('says what it says, and is silent about what is blank', () => {
    expect([...state.confirmed]).toEqual(['goggles'])
    expect(state.steps.get(first!.id)?.grams).toBe(123.4)
    expect(state.steps.get(second!.id)?.grams).toBe(second!.weigh!.grams)
    expect(events.every((event) => event.kind !== 'scooped' || event.typed)).toBe(true)
    expect(state.notes.map(({ says }) => says)).toEqual(['Thick at the end.'])
  })

  it('has the lye at its hottest when it dissolves, and both when they meet', () => {
    expect(state.readings.lye.map(({ celsius }) => celsius)).toEqual([81, 39])
    expect(state.readings.oils.map(({ celsius }) => celsius)).toEqual([37])
    const met = state.readings.oils[0]!.minutes
    expect(state.readings.lye[1]!.minutes).toBe(met)
  })

  it('counts emulsion and trace from the lye', () => {
    const lyeIn = state.combined[0]!.minutes
    expect(state.marks).toMatchObject([
      { stage: 'emulsion', pot: 0 },
      { stage: 'light', pot: 0 },
    ])
    expect(state.marks[0]!.minutes - lyeIn).toBeCloseTo(3, 6)
    expect(state.marks[1]!.minutes - lyeIn).toBeCloseTo(7.5, 6)
  })

  it('nothing was weighed where it says nought', () => {
    const none = paperEvents(plan, run, { ...draft, grams: { [first!.id]: 0 } }, [])
    expect(none.find((event) => event.kind === 'scooped')).toMatchObject({ grams: 0 })
  })

  it('a note is as long as the record takes', () => {
    const long = paperEvents(plan, run, { ...draft, notes: 'x'.repeat(2000) }, [])
    const note = long.find((event) => event.kind === 'noted')
    expect(note?.kind === 'noted' && note.says.length).toBe(1000)
  })
})

describe('lots that it was weighed from', () => {
  const paper = { sap: 196 }
  const olive = { thing: 'olive', amount: 9000 }
  const lots = [
    lotOf({ ...olive, code: 'K9', bestBefore: '2026-05-01', certificate: paper }, 9000, 'old'),
    lotOf({ ...olive, code: 'K12', bestBefore: '2027-05-01' }, 9000, 'new'),
  ] as StoredLot[]
  const hand = (told: Record<string, string>) =>
    lotsAtHand(plan.steps, lots, (thing) => told[thing])

  it('what goes first stands there, and another where one was chosen; what has no lots is silent', () => {
    expect(hand({}).map(({ thing, lot, told }) => [thing, lot.id, told])).toEqual([
      ['olive', 'old', false],
    ])
    expect(hand({ olive: 'new' })[0]).toMatchObject({ lot: { id: 'new' }, told: true })
  })

  it('their papers count for the superfat, though the sheet was reckoned without them', () => {
    const superfatOf = (told: Record<string, string>) => {
      const events = paperEvents(plan, run, draft, hand(told))
      const own = planAsMade(frozen, run, events, formatter({ scale: 0.1 }))
      return weighedSoFar(own.ctx, own.plan, runOf(plan, run.startedAt, events)).superfat
    }
    // By hand: what the lye was weighed for takes 0.7 × 190 + 0.3 × 257 = 210.1 mg KOH/g, and with olive of 196 it takes 214.3.
    const usual = 1 - superfatOf({ olive: 'new' })
    expect(usual).toBeCloseTo(0.95, 2)
    expect(1 - superfatOf({ olive: 'old' })).toBeCloseTo((usual * 210.1) / 214.3, 6)
  })
})
