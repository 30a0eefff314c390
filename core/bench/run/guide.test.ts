import { describe, expect, it } from 'vitest'
import type { BatterStage, Rescue } from '#contracts/benchWords'
import type { FormulaDocument } from '#contracts/formula'
import type { NewRunEvent, RunEvent } from '#contracts/run'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { stageAtPour, usualMinutes } from './batter'
import { doubtOf, guideOf, rescueWater, type AboutBatter } from './guide'
import { usualTimes } from './ownTimes'
import { runOf } from './run'

const fat = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })
const document: FormulaDocument = {
  ...blankFormula('Plain Tallow'),
  fats: [fat('tallow', 0.5), fat('olive', 0.5)],
}
const { ctx, plan } = plannedFrom(document)
const usually = usualMinutes(plan.working, true)
const about = (changes: Partial<AboutBatter> = {}): AboutBatter => ({
  ctx,
  plan,
  usually,
  lyeC: 27,
  oilsC: 41,
  pot: null,
  ...changes,
})

const start = '2026-11-23T09:00:00.000Z'
let count = 0
const told = (event: NewRunEvent, minutes: number): RunEvent =>
  ({
    ...event,
    id: `00000000-0000-7000-8000-${String(count++).padStart(12, '0')}`,
    at: new Date(Date.parse(start) + minutes * 60_000).toISOString(),
  }) as RunEvent
const mark = (stage: BatterStage, minutes: number, pot = 0) =>
  told({ kind: 'marked', pot, stage }, minutes)
const did = (how: Rescue, minutes: number, pot = 0) => told({ kind: 'rescued', pot, how }, minutes)
const combined = (step: string, minutes: number) => told({ kind: 'done', step }, minutes)
/** The guide at a minute, the lye having gone in at 100. */
const guideAt = (now: number, events: RunEvent[], changes: Partial<AboutBatter> = {}) => {
  const state = runOf(plan, start, [combined('combine', 100), ...events])
  return { state, guide: guideOf(about(changes), state, 0, 100, now) }
}

describe('a mark that comes too soon', () => {
  it('is false trace where a vessel is cold or far off, else a batter that runs away', () => {
    const early = usually.medium * 0.2
    expect(doubtOf(about(), 'medium', early)).toBe('false-trace')
    expect(doubtOf(about({ lyeC: 20, oilsC: 20 }), 'medium', early)).toBe('false-trace')
    expect(doubtOf(about({ lyeC: 50, oilsC: 50 }), 'medium', early)).toBe('too-fast')
    // Nobody measured: nothing says that it is cold.
    expect(doubtOf(about({ lyeC: null }), 'medium', early)).toBe('too-fast')
    expect(doubtOf(about(), 'medium', usually.medium * 0.5)).toBeNull()
    expect(doubtOf(about(), 'medium', usually.medium * 0.499)).toBe('false-trace')
    expect(doubtOf(about(), 'light', 0.1)).toBeNull()
    expect(doubtOf(about(), 'too-far', 99)).toBe('too-far')
  })
})

describe('false trace', () => {
  const medium = mark('medium', 101)

  it('stops, waits two minutes, then asks what is to be seen', () => {
    expect(guideAt(101.5, [medium]).guide).toMatchObject({
      id: 'false-trace',
      phase: 'stop',
      lookAt: null,
      water: 0,
    })
    const out = did('stopped', 102)
    expect(guideAt(103, [medium, out]).guide).toMatchObject({ phase: 'wait', lookAt: 104 })
    expect(guideAt(103.99, [medium, out]).guide!.phase).toBe('wait')
    expect(guideAt(104, [medium, out]).guide!.phase).toBe('look')
  })

  it('says at what it was mixed and where the fat sets', () => {
    const { mixed, because } = guideAt(101, [medium]).guide!
    expect(mixed.mixedC).toBeGreaterThan(27)
    expect(mixed.mixedC).toBeLessThan(41)
    expect(because).toMatch(/^1\.0 minutes after the lye, where this usually takes about \d+\./)
  })

  it('that weeps is no emulsion: no mark before counts, until something new is seen', () => {
    const events = [mark('emulsion', 100.5), medium, did('stopped', 102), did('weeps', 104)]
    const { state, guide } = guideAt(105, events)
    expect(guide).toMatchObject({ id: 'parted', phase: 'by-hand' })
    expect(state.marks.map(({ counted }) => counted)).toEqual([false, false])
    expect(stageAtPour(state)).toBeNull()
    const later = guideAt(130, [...events, mark('emulsion', 112)])
    expect(later.guide).toBeNull()
    expect(stageAtPour(later.state)).toBe('emulsion')
  })

  it('that is smooth was trace after all, and so is what the maker is sure of', () => {
    for (const how of ['smooth', 'is-trace', 'waited'] as const) {
      const { state, guide } = guideAt(105, [medium, did('stopped', 102), did(how, 104)])
      expect(guide).toBeNull()
      expect(state.marks[0]!.counted).toBe(true)
    }
  })

  it('a mark made meanwhile does not answer it', () => {
    const { guide } = guideAt(103, [medium, did('stopped', 102), mark('thick', 102.5)])
    expect(guide).toMatchObject({ id: 'false-trace', phase: 'wait' })
  })

  it('of another pot is another pot’s', () => {
    const { guide } = guideAt(103, [mark('medium', 101, 1), did('weeps', 102, 1)])
    expect(guide).toBeNull()
  })
})

describe('a batter that runs away', () => {
  const warm = { lyeC: 50, oilsC: 50 }
  const medium = mark('medium', 101)

  it('is looked at first; only then water is offered, once', () => {
    expect(guideAt(101, [medium], warm).guide).toMatchObject({ phase: 'look', water: 0 })
    const seen = [medium, did('smooth', 102)]
    const { guide } = guideAt(102, seen, warm)
    const lye = ctx.onScale.result.lye.pureNaoh
    expect(guide).toMatchObject({ phase: 'remedy', water: Math.round(lye * 0.15) })
    const after = guideAt(
      103,
      [...seen, told({ kind: 'watered', pot: 0, grams: guide!.water }, 102.5)],
      warm,
    )
    expect(after.guide).toMatchObject({ phase: 'remedy', water: 0 })
    expect(guideAt(104, [...seen, did('simpler-pour', 103)], warm).guide).toBeNull()
  })

  it('that parts is treated as fat that sets: no water', () => {
    expect(guideAt(103, [medium, did('weeps', 102)], warm).guide).toMatchObject({
      id: 'parted',
      water: 0,
    })
  })

  it('may have a pot’s own water: 0.15 of its own lye, less what it has had', () => {
    const parts = plannedFrom({
      ...document,
      size: { by: 'oils', grams: 1000 },
      parts: [
        {
          name: 'strong',
          share: 0.3,
          scent: true,
          additives: [],
          water: { held: 'ratio', value: 1.3 },
        },
        {
          name: 'rest',
          share: 0.7,
          scent: true,
          additives: [],
          water: { held: 'ratio', value: 2.2 },
        },
      ],
    })
    const lye = parts.ctx.pots[0]!.result.lye.pureNaoh
    // 300 g of oils take some 40 g of soda: 6 g of water, not the 19 g of the whole batch.
    expect(lye).toBeGreaterThan(35)
    expect(lye).toBeLessThan(45)
    expect(rescueWater({ ctx: parts.ctx, pot: 0 }, 0)).toBe(Math.round(lye * 0.15))
    expect(rescueWater({ ctx: parts.ctx, pot: 0 }, 2)).toBe(Math.round(lye * 0.15 - 2))
    expect(rescueWater({ ctx: parts.ctx, pot: 0 }, 99)).toBe(0)
  })
})

describe('the usual times of a pot', () => {
  const model = usualMinutes(20, true)
  const slow = usualMinutes(40, true)
  const pot = (index: number, from: number, medium: number) => [
    combined(`combine@${index}`, from),
    mark('emulsion', from + 1, index),
    mark('medium', from + medium, index),
  ]

  it('are those of the pots already made today, each against its own model', () => {
    // Two pots took half of what was expected of them, so will the slow one.
    const today = [...pot(0, 10, model.medium / 2), ...pot(1, 30, model.medium / 2)]
    const own = usualTimes([model, model, slow], 2, today, [pot(2, 10, 99)])
    expect(own).toMatchObject({ from: 'today', count: 2 })
    expect(own.minutes.medium).toBeCloseTo(slow.medium / 2, 6)
  })

  it('are those of the same pot of earlier batches, then of any pot of them', () => {
    const earlier = [[...pot(0, 10, 20), ...pot(1, 40, 8)]]
    expect(usualTimes([model, model], 1, [], earlier).minutes.medium).toBeCloseTo(8, 6)
    expect(usualTimes([model, model, model], 2, [], earlier).minutes.medium).toBeCloseTo(14, 6)
    expect(usualTimes([model, model], 1, [], earlier)).toMatchObject({ from: 'batches', count: 1 })
  })

  it('take no mark for one that was seen to part', () => {
    const parted = [...pot(0, 10, 3), did('weeps', 15, 0), mark('medium', 10 + 12, 0)]
    const own = usualTimes([model], 0, [], [parted])
    expect(own.minutes.medium).toBeCloseTo(12, 6)
  })
})
