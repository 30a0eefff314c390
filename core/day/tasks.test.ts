import { describe, expect, it } from 'vitest'
import { batchOnDay, hands, onFrozenMilk, plenty } from '../../tests/support/day'
import type { Step } from '../bench/plan/step'
import { celsiusAt } from '../heat/cooling'
import { mayCombine } from '../heat/meeting'
import { minutesOf, paceOf, partsOf, sharedLye } from './batchOfDay'
import { problemOf } from './tasks'
import { lyeCurve, lyeStay, oilsCurve, oilsStay, togetherIn } from './windows'

const nothing = { lye: [], fats: [], quiet: 0 }
const intoCool = {
  liquids: [
    { id: 'goat-milk', share: 0.4, moment: 'lye' as const, way: 'into-cooled-lye' as const },
  ],
}
const layered = {
  parts: [
    { name: 'pale', share: 0.6, scent: true, additives: [] },
    { name: 'dark', share: 0.4, scent: true, additives: [] },
  ],
}
const kinds = {
  plain: batchOnDay(36),
  milk: batchOnDay(37, onFrozenMilk),
  cooled: batchOnDay(38, intoCool),
  liquid: batchOnDay(39, { fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }] }),
  byLye: batchOnDay(40, {}, { meltBy: 'lye' }),
  layered: batchOnDay(41, layered),
}

describe('the work of a batch', () => {
  it.each(Object.entries(kinds))(
    'every step of a %s one is in one part, in its order',
    (_, batch) => {
      const parts = partsOf(batch)
      const all = Object.values(parts).flat()
      expect(all.map(({ id }) => id).sort()).toEqual(batch.plan.steps.map(({ id }) => id).sort())
      for (const part of Object.values(parts)) {
        const places = part.map((step: Step) => batch.plan.steps.indexOf(step))
        expect([...places].sort((a, b) => a - b)).toEqual(places)
      }
      // Nobody leaves it from where lye meets oils until it is covered.
      const combine = parts.batter.map(({ kind }) => kind)
      expect(combine).toContain('combine')
      expect(combine).toContain('pour')
      expect(combine.at(-1)).toBe('cover')
    },
  )

  it.each(Object.entries(kinds))('every step of a %s one is in one task of a day', (_, batch) => {
    const problem = problemOf([batch, batchOnDay(50)], hands(null), plenty, {
      ...nothing,
      fats: [[batch.id, 'batch-50']],
    })
    const steps = problem.tasks.flatMap((task) =>
      task.steps.flatMap(({ batch: id, step, late }) => (id === batch.id && !late ? [step] : [])),
    )
    expect([...steps].sort()).toEqual(batch.plan.steps.map(({ id }) => id).sort())
    const names = new Set(problem.tasks.map(({ id }) => id))
    expect(names.size).toBe(problem.tasks.length)
    for (const { from, to, least, most } of problem.lags) {
      expect(names.has(from) && names.has(to)).toBe(true)
      if (most !== null) expect(most).toBeGreaterThanOrEqual(least)
    }
  })

  it('lye and fats that are taken as the lags say may be combined, at either end of both', () => {
    const { ctx, plan } = kinds.plain
    const { result } = ctx.onScale
    const lye = lyeStay(ctx, plan.jug, result)
    const oils = oilsStay(ctx, plan.jug, true)
    const lyeAt = (minute: number) => celsiusAt(lyeCurve(ctx, plan.jug, result), minute)
    const oilsAt = (minute: number) => celsiusAt(oilsCurve(ctx, plan.jug, true), minute)
    for (const a of [lye.least + 0.01, lye.most! - 0.01])
      for (const b of [oils.least + 0.01, oils.most! - 0.01])
        expect(mayCombine(plan.window, lyeAt(a), oilsAt(b)), `${a} ${b}`).toBe(true)
    // A little before, or after, one of them is out of its window.
    expect(lyeAt(lye.least - 3)).toBeGreaterThan(plan.window.lye.high - 0.6)
    expect(oilsAt(oils.most! + 3)).toBeLessThan(plan.window.oils.low + 0.6)
  })

  it('a jug for two cools slower than a jug for one', () => {
    const { ctx, plan } = kinds.plain
    const both = togetherIn([plan.jug, plan.jug])
    expect(both.naoh).toBeCloseTo(2 * plan.jug.naoh, 9)
    expect(lyeStay(ctx, both, ctx.onScale.result).least).toBeGreaterThan(
      lyeStay(ctx, plan.jug, ctx.onScale.result).least,
    )
  })

  it('milk-lye goes in within its minutes; it wants the ice bath', () => {
    const problem = problemOf([kinds.milk], hands(null), plenty, nothing)
    expect(problem.lags.find(({ from }) => from === 'lye:37')).toMatchObject({ least: 0, most: 25 })
    expect(problem.holds.filter(({ thing }) => thing === 'ice')).toEqual([
      { thing: 'ice', from: 'lye:37', to: 'lye:37', more: 10 },
    ])
  })

  it('a round of weighing fetches each material once: half a minute of each is fetching', () => {
    const two = [kinds.plain, batchOnDay(42)]
    const single = problemOf(two, hands(null), plenty, nothing)
    const together = problemOf(two, hands(null), plenty, {
      ...nothing,
      fats: [two.map(({ id }) => id)],
    })
    const minutes = (of: typeof single) =>
      of.tasks.filter(({ kind }) => kind === 'weigh').map((task) => task.minutes)
    // Coconut, tallow, olive: a minute each.
    expect(minutes(single)).toEqual([3, 3])
    expect(minutes(together)).toEqual([3 * (0.5 + 2 * 0.5)])
    const round = together.tasks.find(({ kind }) => kind === 'weigh')!
    const first = round.steps.slice(0, 2)
    expect(first.map(({ batch }) => batch)).toEqual(two.map(({ id }) => id))
    expect(new Set(first.map(({ step }) => step)).size).toBe(1)
  })

  it('one lye for two is one task, a minute longer, with a minute to draw each part', () => {
    const two = [kinds.plain, batchOnDay(42)]
    expect(sharedLye(two)).toEqual([two.map(({ id }) => id)])
    const of = problemOf(two, hands(null), plenty, { ...nothing, lye: sharedLye(two) })
    const alone = problemOf(two, hands(null), plenty, nothing)
    const minutes = (problem: typeof of, id: string) =>
      problem.tasks.find((task) => task.id === id)!.minutes
    expect(minutes(of, 'lye:36+42')).toBe(minutes(alone, 'lye:36') + 1)
    expect(minutes(of, 'batter:36')).toBe(minutes(alone, 'batter:36') + 1)
  })

  it('lye is shared only by what is water and soda of one strength', () => {
    const plain = kinds.plain
    const others = [
      kinds.milk,
      kinds.cooled,
      kinds.byLye,
      batchOnDay(43, { water: { held: 'ratio', value: 2.3 } }),
      batchOnDay(44, { alkali: { ...plain.ctx.document.alkali, naohPurity: 0.97 } }),
      batchOnDay(45, {
        additives: [{ id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils', carrier: null }],
      }),
    ]
    for (const other of others) expect(sharedLye([plain, other]), other.name).toEqual([])
  })

  it('who takes half as long again is reckoned so', () => {
    const [idris] = hands(null)
    const slow = { ...idris!, pace: { rinse: 1.5 } }
    const problem = problemOf([kinds.plain], [slow], plenty, nothing)
    expect(minutesOf(partsOf(kinds.plain).rinse)).toBe(8)
    expect(problem.people[0]!.pace.rinse).toBe(1.5)
  })

  it('a batter that has hardly more minutes than its pour races, and is begun with free hands', () => {
    const racing = batchOnDay(46, { water: { held: 'ratio', value: 1.1 } })
    const pace = paceOf(racing.plan)
    expect(pace.spare).toBeCloseTo(pace.working - pace.takes, 9)
    expect(pace.low).toBeCloseTo(pace.working / 1.6, 9)
    const quiet = problemOf([racing], hands(null), plenty, nothing).tasks.find(
      ({ kind }) => kind === 'batter',
    )!.quiet
    expect(quiet).toBe(pace.races ? 2 : 0)
    expect(paceOf(kinds.plain.plan).races).toBe(false)
  })
})
