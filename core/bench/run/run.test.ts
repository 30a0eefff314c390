import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import type { NewRunEvent, RunEvent } from '#contracts/run'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { celsiusAtCombine, usualMinutes } from './batter'
import { afterPlan } from './checks'
import { safetyPoints } from './safetyCheck'
import { mistakesOf } from './mistakes'
import { overPour } from './overPour'
import { usualTimes } from './ownTimes'
import {
  isDone,
  lastTold,
  lyeIsAbout,
  nextStep,
  runOf,
  targetOf,
  waitsFor,
  weighedSoFar,
} from './run'
import { isSteady, loadsOf, loadTarget, standingAt } from './weighing'
import { sum } from '../../statistics/sum'

const document: FormulaDocument = {
  ...blankFormula('Block'),
  size: { by: 'oils', grams: 1000 },
  superfat: 0.05,
  water: { held: 'ratio', value: 2 },
  fats: [
    { id: 'tallow', share: 0.4, moment: 'pot', inLye: true },
    { id: 'olive', share: 0.6, moment: 'pot', inLye: true },
  ],
  additives: [{ id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils', carrier: null }],
}
const { ctx, plan } = plannedFrom(document)
const start = '2026-11-23T09:00:00.000Z'
let count = 0
const told = (event: NewRunEvent, minutes = 0): RunEvent =>
  ({
    ...event,
    id: `00000000-0000-7000-8000-${String(count++).padStart(12, '0')}`,
    at: new Date(Date.parse(start) + minutes * 60_000).toISOString(),
  }) as RunEvent
const scoop = (step: string, grams: number, minutes = 0) =>
  told({ kind: 'scooped', step, grams, typed: false }, minutes)
const done = (step: string, minutes = 0) => told({ kind: 'done', step }, minutes)
const stateOf = (...events: RunEvent[]) => runOf(plan, start, events)
const step = (id: string) => plan.steps.find((one) => one.id === id)!
const planned = (id: string) => step(id).weigh!.grams

/** Everything done in order, as planned but for what is told otherwise. */
const allDone = (weights: Record<string, number> = {}, celsius = 35) =>
  plan.steps.flatMap((one, index) => [
    ...(one.id === 'gate'
      ? safetyPoints.map(({ id }) => told({ kind: 'confirmed', point: id }, index))
      : []),
    ...(one.weigh ? [scoop(one.id, weights[one.id] ?? one.weigh.grams, index)] : []),
    ...(one.id === 'meet'
      ? (['lye', 'oils'] as const).map((vessel) =>
          told({ kind: 'read', vessel, celsius, typed: true }, index),
        )
      : []),
    ...(one.kind === 'batter' ? [told({ kind: 'marked', pot: 0, stage: 'emulsion' }, index)] : []),
    done(one.id, index),
  ])

describe('a run from its events', () => {
  it('adds scoops, closes steps in order and points at the next one', () => {
    const state = stateOf(
      done('gate'),
      scoop('weigh:water', 200),
      scoop('weigh:water', 60),
      done('weigh:water'),
    )
    expect(state.steps.get('weigh:water')).toMatchObject({ grams: 260 })
    expect(nextStep(plan, state)!.id).toBe('mould')
    expect(waitsFor(plan, state, step('dissolve')).map(({ id }) => id)).toEqual([
      'weigh:additive:citric-acid-anhydrous',
      'weigh:naoh',
    ])
  })

  it('counts nothing twice: not the same event, not a scoop into a closed step, not a second closing', () => {
    const one = scoop('weigh:water', 260)
    const state = stateOf(
      one,
      one,
      done('weigh:water', 1),
      scoop('weigh:water', 260, 2),
      done('weigh:water', 3),
      done('weigh:moon'),
    )
    expect(state.steps.get('weigh:water')).toMatchObject({ grams: 260, doneAt: 1 })
    expect(state.order).toEqual(['weigh:water'])
  })

  it('takes back whatever is undone, and nothing happens after the end but notes', () => {
    const closing = done('weigh:water')
    const state = stateOf(
      scoop('weigh:water', 260),
      closing,
      told({ kind: 'undone', event: closing.id }),
      told({ kind: 'finished', pouredDay: '2026-11-23' }, 50),
      done('rinse', 60),
      told({ kind: 'noted', says: 'Late.' }, 61),
    )
    expect(isDone(state, 'weigh:water')).toBe(false)
    expect(isDone(state, 'rinse')).toBe(false)
    expect(state.notes).toHaveLength(1)
  })

  it('goggles stay on from the first lye until everything is rinsed', () => {
    expect(lyeIsAbout(plan, stateOf(done('gate')))).toBe(false)
    expect(lyeIsAbout(plan, stateOf(done('gate'), scoop('weigh:naoh', 10)))).toBe(true)
    expect(lyeIsAbout(plan, stateOf(...allDone()))).toBe(false)
  })

  it('knows the superfat if the pouring of lye stopped here, by hand', () => {
    const lye = planned('weigh:naoh') / 2
    const trial = weighedSoFar(ctx, plan, stateOf(), { step: 'weigh:naoh', grams: lye })
    const sap = (id: string) => ctx.library.fats.get(id)!.sap.typical
    // mmol of groups against mmol of hydroxide, citric acid taken off
    const groups = (400 * sap('tallow') + 600 * sap('olive')) / 56.1056
    const hydroxide = (1000 * lye) / 39.997 - (1000 * 10 * 3) / 192.124
    expect(trial.superfat).toBeCloseTo((groups - hydroxide) / groups, 6)
  })
})

describe('too much in the cup', () => {
  it('lye: take out, make all larger, or accept with the superfat it gives', () => {
    const target = planned('weigh:naoh')
    const choices = overPour(
      ctx,
      plan,
      stateOf(scoop('weigh:naoh', target + 6)),
      step('weigh:naoh'),
      target + 6,
    )
    const by = Object.fromEntries(choices.map((choice) => [choice.choice, choice]))
    expect(Object.keys(by)).toEqual(['take-out', 'scale', 'accept'])
    expect(by['take-out']).toMatchObject({ clean: true })
    expect(by['take-out']!.out).toBeCloseTo(6, 9)
    expect(by.accept!.makes.superfat).toBeLessThan(0.02)
    expect(by.scale!.makes.superfat).toBeCloseTo(0.05, 2)
    expect(by.scale!.targets['weigh:fat:olive']).toBeCloseTo(600 * ((target + 6) / target), 1)
  })

  it('what is weighed already wants topping up, and its step opens again', () => {
    const over = planned('weigh:naoh') * 1.1
    const events = [
      scoop('weigh:water', planned('weigh:water')),
      done('weigh:water'),
      scoop('weigh:naoh', over),
    ]
    const state = stateOf(...events)
    const scale = overPour(ctx, plan, state, step('weigh:naoh'), over).find(
      ({ choice }) => choice === 'scale',
    )!
    expect(scale.topUps).toEqual([
      expect.objectContaining({
        step: 'weigh:water',
        grams: expect.closeTo(planned('weigh:water') * 0.1, 0),
      }),
    ])
    const after = stateOf(
      ...events,
      told({ kind: 'chose', step: 'weigh:naoh', choice: 'scale', targets: scale.targets }),
    )
    expect(isDone(after, 'weigh:water')).toBe(false)
    expect(targetOf(plan, after, step('weigh:water'))).toBeCloseTo(planned('weigh:water') * 1.1, 0)
  })

  it('acid before the lye: the lye follows by 0.62455 g per g, so that the superfat stays', () => {
    const over = planned('weigh:additive:citric-acid-anhydrous') + 10
    const choices = overPour(
      ctx,
      plan,
      stateOf(),
      step('weigh:additive:citric-acid-anhydrous'),
      over,
    )
    const match = choices.find(({ choice }) => choice === 'match')!
    expect(match.targets['weigh:naoh']! - planned('weigh:naoh')).toBeCloseTo(6.2, 1)
    expect(match.makes.superfat).toBeCloseTo(weighedSoFar(ctx, plan, stateOf()).superfat, 3)
  })

  it('once the lye is weighed it can no longer follow', () => {
    const state = stateOf(scoop('weigh:naoh', planned('weigh:naoh')), done('weigh:naoh'))
    const choices = overPour(ctx, plan, state, step('weigh:fat:tallow'), 450)
    expect(choices.map(({ choice }) => choice)).toEqual(['take-out', 'scale', 'accept'])
  })
})

describe('reading a scale', () => {
  const readings = (...grams: number[]) =>
    grams.map((value, index) => ({ at: index * 250, grams: value }))
  it('is steady when a second of it holds still', () => {
    expect(isSteady(readings(150, 151, 151, 151.1, 151, 151), 0.1)).toBe(true)
    expect(isSteady(readings(140, 145, 148, 150, 151), 0.1)).toBe(false)
    expect(isSteady([], 0.1)).toBe(false)
    expect(isSteady([{ at: 0, grams: 5, stable: true }], 0.1)).toBe(true)
  })
  it.each([
    [0, 'empty'],
    [143.6, 'short'],
    [150.3, 'in'],
    [151.7, 'in'],
    [152, 'over'],
  ] as const)('%d g of 151 within 0.7 is %s', (grams, standing) => {
    expect(standingAt(grams, 151, 0.7).standing).toBe(standing)
  })
  it('splits a load that is too big, and counts through it', () => {
    const loads = loadsOf(12_000, 5000, 400, 1)
    expect(loads).toHaveLength(3)
    expect(sum(loads)).toBeCloseTo(12_000, 9)
    expect(Math.max(...loads)).toBeLessThan(4600)
    expect(loadTarget(loads, 0)).toEqual({ number: 1, target: 4000 })
    expect(loadTarget(loads, 4003)).toEqual({ number: 2, target: 8000 })
    expect(loadsOf(900, 5000, 0, 0.1)).toEqual([900])
  })
})

describe('after a rehearsal', () => {
  it('a run as planned has nothing to tell', () => {
    expect(
      mistakesOf(
        ctx,
        plan,
        stateOf(...allDone(), told({ kind: 'finished', pouredDay: '2026-11-23' }, 99)),
      ),
    ).toEqual([])
  })
  it('tells lye before goggles, acid after lye, weights, cold vessels and no emulsion', () => {
    const events = allDone({ 'weigh:naoh': planned('weigh:naoh') + 20 }, 15).filter(
      (event) => event.kind !== 'marked' && event.kind !== 'confirmed',
    )
    const acid = 'weigh:additive:citric-acid-anhydrous'
    const late = [
      ...events.filter((event) => !('step' in event) || event.step !== acid),
      scoop(acid, 10, 80),
      done(acid, 80),
    ]
    const found = mistakesOf(ctx, plan, stateOf(...late))
    expect(found.map(({ about }) => about)).toEqual(
      expect.arrayContaining(['safety', 'order', 'weight', 'temperature', 'batter']),
    )
    expect(found[0]!.severity).toBe('stop')
    expect(found.some(({ says }) => /Sodium hydroxide: 20.0 g too much/.test(says))).toBe(true)
  })
})

describe('a rehearsal in which the batter would have set', () => {
  /** As planned, but this long between the emulsion and the pour. */
  const pouredAfter = (minutes: number) => {
    const events = allDone().map((event) => ({ ...event }))
    const at = (later: number) => new Date(Date.parse(start) + later * 60_000).toISOString()
    for (const event of events) {
      const id = 'step' in event ? event.step : ''
      if (event.kind === 'marked') event.at = at(60)
      if (id === 'combine') event.at = at(58)
      if (id === 'batter:emulsion') event.at = at(60.5)
      if (id === 'pour') event.at = at(60 + minutes)
      if (id === 'cover' || id === 'rinse') event.at = at(200)
    }
    return mistakesOf(ctx, plan, stateOf(...events)).filter(({ about }) => about === 'batter')
  }
  it('is not ready for the real thing', () => {
    expect(pouredAfter(plan.pots[0]!.working - 1)).toEqual([])
    const [late] = pouredAfter(plan.pots[0]!.working + 1)
    expect(late!.severity).toBe('think')
    expect(late!.says).toContain('stays workable for about')
  })
})

describe('what is divided', () => {
  it('is what the jug weighed once more, where somebody weighed it', () => {
    const { plan: many } = plannedFrom({
      ...document,
      parts: ['pale', 'mid', 'dark'].map((name, index) => ({
        name,
        share: index ? 0.25 : 0.5,
        scent: true,
        additives: [],
      })),
      method: { ...document.method, patterns: ['layers'] },
    })
    const share = many.steps.find(({ id }) => id === 'weigh:share:lye@0')!
    const weighed = many.steps.flatMap((one) =>
      one.weigh && one.weigh.kind !== 'share' ? [scoop(one.id, one.weigh.grams), done(one.id)] : [],
    )
    const asWritten = targetOf(many, runOf(many, start, weighed), share)
    // Half of a jug out of which 12 g went as steam.
    const { lye } = ((grams) => ({ lye: grams }))(asWritten * 2 - 12)
    const steamed = [...weighed, told({ kind: 'checked', vessel: 'lye', grams: lye })]
    expect(targetOf(many, runOf(many, start, steamed), share)).toBeCloseTo(lye / 2, 0)
    expect(asWritten - targetOf(many, runOf(many, start, steamed), share)).toBeCloseTo(6, 0)
  })
})

it('the checks after the pour follow from when it was poured and how warm', () => {
  const state = stateOf(...allDone({}, 40))
  expect(celsiusAtCombine(state, 'lye')).toBe(40)
  const { checks } = afterPlan(ctx, state, '2026-11-23T10:00:00.000Z')
  expect(checks.map(({ kind }) => kind)).toEqual(['peek', 'unmould'])
  expect(checks[0]!.from).toBe('2026-11-23T12:00:00.000Z')
  expect(checks[1]!.to > checks[1]!.from).toBe(true)
})

describe('what is put right at the bench', () => {
  const lyeIn = plan.steps
    .slice(0, plan.steps.findIndex(({ id }) => id === 'dissolve') + 1)
    .flatMap((one) => [...(one.weigh ? [scoop(one.id, one.weigh.grams)] : []), done(one.id)])

  it('lye made anew begins its jug and cups again, and nothing else', () => {
    const anew = told({ kind: 'restarted', because: 'weak' }, 9)
    const state = stateOf(...lyeIn, anew)
    const again = plan.steps.filter(({ id }) => isDone(stateOf(...lyeIn), id) && !isDone(state, id))
    expect(again.map(({ id }) => id)).toEqual([
      'weigh:water',
      'weigh:additive:citric-acid-anhydrous',
      'weigh:naoh',
      'dissolve',
    ])
    expect(isDone(state, 'gate')).toBe(true)
    // What is weighed the second time counts, and only that.
    const water = planned('weigh:water')
    const second = stateOf(...lyeIn, anew, scoop('weigh:water', water + 1), done('weigh:water'))
    expect(second.steps.get('weigh:water')!.grams).toBe(water + 1)
  })

  it('lye that has met the fats cannot be made anew', () => {
    const after = [...lyeIn, done('combine'), told({ kind: 'restarted', because: 'other' })]
    expect(isDone(stateOf(...after), 'dissolve')).toBe(true)
  })

  it('takes back all that was told at one instant, and never a reading', () => {
    const reading = told({ kind: 'read', vessel: 'lye', celsius: 40, typed: false }, 3)
    const events = [done('gate', 1), scoop('weigh:water', 260, 2), done('weigh:water', 2), reading]
    expect(lastTold(events).map(({ kind }) => kind)).toEqual(['scooped', 'done'])
    const back = lastTold(events).map(({ id }) => told({ kind: 'undone', event: id }, 4))
    expect(stateOf(...events, ...back).steps.get('weigh:water')).toBeUndefined()
    expect(lastTold([...events, ...back])).toEqual([events[0]])
    expect(lastTold([reading])).toEqual([])
  })

  it('colour left in its cup counts out its oil too, the last word holding', () => {
    const coloured = plannedFrom({
      ...document,
      additives: [
        {
          id: 'activated-charcoal',
          rate: 0.004,
          of: 'oils',
          carrier: { id: 'olive', ratio: 2, from: 'extra' },
        },
      ],
    })
    const cup = coloured.plan.steps.filter(({ vessel }) => vessel?.startsWith('cup:'))
    const events = coloured.plan.steps.flatMap((one) => [
      ...(one.weigh ? [scoop(one.id, one.weigh.grams)] : []),
      done(one.id),
    ])
    const after = (...more: RunEvent[]) =>
      weighedSoFar(coloured.ctx, coloured.plan, runOf(coloured.plan, start, [...events, ...more]))
    const [vessel] = cup.map((one) => one.vessel!)
    const left = (grams: number) => told({ kind: 'leftover', vessel: vessel!, grams })
    // 4 g of charcoal in 8 g of olive oil: with half of it left, 4 g of oil less in the pot.
    const before = after()
    const halved = after(left(2), left(6))
    expect(before.batter - halved.batter).toBeCloseTo(6, 6)
    const demand = before.pure / (1 - before.superfat)
    const oil = (4 * 190 * 39.997) / 56.1056 / 1000
    expect(halved.superfat).toBeCloseTo(1 - before.pure / (demand - oil), 3)
  })
})

describe('the usual times of a formula', () => {
  const model = usualMinutes(plan.working, true)
  const run = (medium: number, light?: number) => [
    done('combine', 10),
    ...(light ? [told({ kind: 'marked' as const, pot: 0, stage: 'light' }, 10 + light)] : []),
    told({ kind: 'marked', pot: 0, stage: 'medium' }, 10 + medium),
    told({ kind: 'marked', pot: 0, stage: 'medium' }, 60),
  ]
  it('are the model’s until there are marks', () => {
    expect(usualTimes([model], 0, [], [])).toEqual({ minutes: model, from: 'model', count: 0 })
    expect(usualTimes([model], 0, [], [[done('combine')]])).toMatchObject({
      from: 'model',
      count: 0,
    })
  })
  it('are the median of the first marks, and stretch what nobody marked', () => {
    const own = usualTimes([model], 0, [], [run(10), run(14), run(30)])
    expect(own).toMatchObject({ from: 'batches', count: 3 })
    expect(own.minutes.medium).toBeCloseTo(14, 6)
    expect(own.minutes.thick).toBeCloseTo(model.thick * (14 / model.medium), 6)
  })
  it('never let a stage come before the one it follows', () => {
    const own = usualTimes([model], 0, [], [run(3, 6)])
    expect(own.minutes.light).toBe(6)
    expect(own.minutes.medium).toBe(6)
    expect(own.minutes.thick).toBeGreaterThanOrEqual(6)
  })
})
