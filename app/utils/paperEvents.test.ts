import { setupSchema, type Run } from '#contracts/run'
import { runOf } from '#core/bench/run/run'
import { blankFormula } from '#core/formula/blank'
import { describe, expect, it } from 'vitest'
import { plannedFrom } from '../../tests/support/bench'
import { blankPaper, paperEvents } from './paperEvents'

const { plan } = plannedFrom({
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
  const events = paperEvents(plan, run, draft)

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
  const events = paperEvents(plan, run, {
    ...draft,
    confirmed: { goggles: true, pets: false },
    grams: { [first!.id]: 123.4, [second!.id]: null },
    peakC: 81,
    lyeC: 39,
    oilsC: 37,
    emulsion: 3,
    trace: 7.5,
    notes: '  Thick at the end.  ',
  })
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
    const none = paperEvents(plan, run, { ...draft, grams: { [first!.id]: 0 } })
    expect(none.find((event) => event.kind === 'scooped')).toMatchObject({ grams: 0 })
  })

  it('a note is as long as the record takes', () => {
    const long = paperEvents(plan, run, { ...draft, notes: 'x'.repeat(2000) })
    const note = long.find((event) => event.kind === 'noted')
    expect(note?.kind === 'noted' && note.says.length).toBe(1000)
  })
})
