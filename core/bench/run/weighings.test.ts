import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import type { NewRunEvent, RunEvent } from '#contracts/run'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { asWeighed, goesIntoLye, joins, potsAsWeighed, reallyThere } from './asWeighed'
import { overPour } from './overPour'
import { usualTimes } from './ownTimes'
import {
  isDone,
  lastTold,
  lyeIsAbout,
  lyeIsInFats,
  nextStep,
  runOf,
  targetOf,
  waitsFor,
  wateredIn,
  weightsOf,
} from './run'
import { standingEvents } from '../../units/standingEvents'
import { lyeForMilk, lyeInCup } from './spooned'
import { comesOutClean, isSteady, loadsOf, loadTarget, standingAt } from './weighing'

/* Weights as they are taken: on the scale, as events, as a batch, and too much of them. */

const start = '2026-03-01T09:00:00.000Z'
let count = 0
const told = (event: NewRunEvent, minutes = 0): RunEvent =>
  ({
    ...event,
    id: `e${count++}`,
    at: new Date(Date.parse(start) + minutes * 60_000).toISOString(),
  }) as RunEvent
const document: FormulaDocument = {
  ...blankFormula('Slip'),
  fats: [
    { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
  ],
}
const planned = plannedFrom(document, {}, 1)
const { ctx, plan } = planned
const step = (id: string, of = plan) => of.steps.find((one) => one.id === id)!
const grams = (id: string, of = plan) => step(id, of).weigh!.grams
const asPlanned = ({ weigh }: { weigh?: { grams: number } }) => weigh!.grams

describe('a scale', () => {
  const at = (...readings: [ms: number, grams: number][]) =>
    readings.map(([ms, of]) => ({ at: ms, grams: of }))
  it('is still when its last second is, and when it says so itself', () => {
    expect(isSteady(at([0, 100], [500, 100], [1000, 100.15]), 0.1)).toBe(true)
    expect(isSteady(at([0, 100], [500, 100], [1000, 100.16]), 0.1)).toBe(false)
    // What swung more than a second ago does not count.
    expect(isSteady(at([0, 50], [1001, 100], [1500, 100], [2001, 100]), 0.1)).toBe(true)
    // Two readings, or half a second of them, say nothing yet.
    expect(isSteady(at([0, 100], [1000, 100]), 0.1)).toBe(false)
    expect(isSteady(at([0, 100], [250, 100], [500, 100]), 0.1)).toBe(false)
    expect(isSteady(at([0, 100], [300, 100], [600, 100]), 0.1)).toBe(true)
    expect(
      isSteady(
        [
          { at: 0, grams: 1, stable: true },
          { at: 100, grams: 9, stable: true },
        ],
        0.1,
      ),
    ).toBe(true)
    expect(
      isSteady([...at([0, 100], [500, 100]), { at: 1000, grams: 100, stable: false }], 0.1),
    ).toBe(false)
  })
  it('stands short, in and over, the ends of the band inside; nothing in is empty', () => {
    const of = (value: number) => standingAt(value, 100, 2).standing
    expect([0, -1, 0.1, 97.9, 98, 100, 102, 102.1].map(of)).toEqual([
      'empty',
      'empty',
      'short',
      'short',
      'in',
      'in',
      'in',
      'over',
    ])
    // Where nothing is within the band, nothing is enough.
    expect(standingAt(0, 1, 2).standing).toBe('in')
    expect(standingAt(30, 100, 2)).toMatchObject({ grams: 30, toGo: 70 })
  })
  it('bears a load in as few parts as it can, all alike but the last', () => {
    // 95 % of 1000 less the vessel of 150: 800 g at a time.
    expect(loadsOf(800, 1000, 150, 1)).toEqual([800])
    expect(loadsOf(801, 1000, 150, 1)).toEqual([401, 400])
    expect(loadsOf(1601, 1000, 150, 1)).toEqual([534, 534, 533])
    // A vessel heavier than the scale bears still leaves a step.
    expect(loadsOf(2, 1000, 2000, 1)).toEqual([1, 1])
  })
  it('goes to the next load once the one before is in, but for two per cent', () => {
    const loads = [500, 500, 500]
    expect(loadTarget(loads, 489)).toEqual({ number: 1, target: 500 })
    expect(loadTarget(loads, 490)).toEqual({ number: 2, target: 1000 })
    expect(loadTarget(loads, 990)).toEqual({ number: 3, target: 1500 })
    expect(loadTarget(loads, 1600)).toEqual({ number: 3, target: 1500 })
  })
  it('gives back what lies in a cup of its own, and a share that is poured off', () => {
    const of = (alone: boolean, kind: 'fat' | 'share') => comesOutClean({ alone, kind } as never)
    expect([of(true, 'fat'), of(false, 'share'), of(false, 'fat')]).toEqual([true, true, false])
  })
})

describe('a run', () => {
  const state = (...events: RunEvent[]) => runOf(plan, start, events)
  const done = (id: string, minutes = 0) => told({ kind: 'done', step: id }, minutes)
  const scoop = (id: string, of: number) =>
    told({ kind: 'scooped', step: id, grams: of, typed: true })

  it('points at what is next and says what a step waits for', () => {
    expect(nextStep(plan, state())!.id).toBe('gate')
    expect(nextStep(plan, state(done('gate')))!.id).toBe('mould')
    expect(nextStep(plan, state(...plan.steps.map(({ id }) => done(id))))).toBeNull()
    const waits = (...events: RunEvent[]) =>
      waitsFor(plan, state(...events), step('dissolve')).map(({ id }) => id)
    expect(waits()).toEqual(['gate', 'weigh:water', 'weigh:naoh'])
    expect(waits(done('gate'), done('weigh:naoh'))).toEqual(['weigh:water'])
  })

  it('takes what is not weighed yet as wanted, and a share as nothing', () => {
    const weights = weightsOf(
      plan,
      state(scoop('weigh:water', 300), scoop('weigh:naoh', 100), done('weigh:naoh')),
    )
    // Under way is not done: it is still wanted as planned.
    expect(weights(step('weigh:water'))).toBe(grams('weigh:water'))
    expect(weights(step('weigh:naoh'))).toBe(100)
  })

  it('knows when lye is about and when it has met fat', () => {
    const all = plan.steps.map(({ id }) => done(id))
    const upTo = (id: string) =>
      all.slice(
        0,
        plan.steps.findIndex((one) => one.id === id),
      )
    expect(lyeIsAbout(plan, state(...upTo('weigh:naoh')))).toBe(false)
    expect(lyeIsAbout(plan, state(...upTo('weigh:naoh'), scoop('weigh:naoh', 3)))).toBe(true)
    expect(lyeIsAbout(plan, state(...upTo('rinse')))).toBe(true)
    expect(lyeIsAbout(plan, state(...all))).toBe(false)
    expect(lyeIsInFats(plan, state(...upTo('combine')))).toBe(false)
    expect(lyeIsInFats(plan, state(...upTo('batter:emulsion')))).toBe(true)
    const melts = plannedFrom(
      { ...document, fats: [{ id: 'tallow', share: 1, moment: 'pot', inLye: true }] },
      { meltBy: 'lye' },
      1,
    ).plan
    const melt = melts.steps.find(({ kind, lye }) => kind === 'melt' && lye)!
    expect(lyeIsInFats(melts, runOf(melts, start, [told({ kind: 'done', step: melt.id })]))).toBe(
      true,
    )
  })

  it('knows what is left of the lye that goes into milk by the spoon', () => {
    const cup = { id: 'dissolve', pot: undefined }
    const lye = scoop('weigh:naoh', 128)
    const spoonful = () => told({ kind: 'spooned', step: 'dissolve', left: null }, 4)
    const left90 = told({ kind: 'spooned', step: 'dissolve', left: 90 }, 5)
    // As planned as long as nobody weighed it, as weighed from then on.
    expect(lyeForMilk(plan, state(), cup)).toBeCloseTo(grams('weigh:naoh'), 9)
    expect(lyeForMilk(plan, state(lye), cup)).toBe(128)
    expect(lyeForMilk(plan, state(lye), { pot: 3 })).toBe(0)
    expect(lyeInCup(plan, state(lye), cup)).toBe(128)
    // By hand: two spoons of a tenth are 25.6 g; from 90 g that were weighed one more leaves 77.2 g.
    expect(lyeInCup(plan, state(lye, spoonful(), spoonful()), cup)).toBeCloseTo(102.4, 9)
    const weighed = state(lye, spoonful(), left90, spoonful())
    expect(lyeInCup(plan, weighed, cup)).toBeCloseTo(77.2, 9)
    expect(lyeInCup(plan, weighed, cup, 2)).toBe(90)
    expect(lyeInCup(plan, weighed, cup, 1)).toBeCloseTo(115.2, 9)
    // What is nearly gone never turns into less than nothing.
    const last = told({ kind: 'spooned', step: 'dissolve', left: 5 }, 6)
    expect(lyeInCup(plan, state(lye, last, spoonful()), cup)).toBe(0)
  })

  it('keeps readings by vessel, spoons by step and how frozen the milk was; taken back, they are gone', () => {
    const spoon = told({ kind: 'spooned', step: 'dissolve', left: 120 }, 4)
    const events = [
      told({ kind: 'read', vessel: 'oils', celsius: 40, typed: false }, 2),
      told({ kind: 'chilled', how: 'slush' }, 3),
      spoon,
      told({ kind: 'spooned', step: 'dissolve', left: null }, 5),
    ]
    const now = state(...events)
    expect(now.readings.oils).toEqual([{ minutes: 2, celsius: 40, typed: false, pot: null }])
    expect(now.readings.lye).toEqual([])
    expect(now.frozen).toBe('slush')
    expect(now.spooned).toEqual({
      dissolve: [
        { minutes: 4, left: 120 },
        { minutes: 5, left: null },
      ],
    })
    expect(
      state(...events, told({ kind: 'undone', event: spoon.id })).spooned['dissolve'],
    ).toHaveLength(1)
    // Made anew, the milk has had no spoon yet; one into a step that is done counts nothing.
    expect(state(...events, told({ kind: 'restarted', because: 'scorched' }, 6)).spooned).toEqual(
      {},
    )
    expect(state(done('dissolve'), spoon).spooned).toEqual({})
  })

  it('adds water and blender seconds by pot', () => {
    const now = state(
      told({ kind: 'watered', pot: 0, grams: 4 }),
      told({ kind: 'watered', pot: 0, grams: 2 }),
      told({ kind: 'watered', pot: 1, grams: 5 }),
      told({ kind: 'blended', pot: 1, seconds: 8 }),
      told({ kind: 'blended', pot: 1, seconds: 9 }),
    )
    expect(now.watered).toEqual({ 0: 6, 1: 5 })
    expect(wateredIn(now)).toBe(11)
    expect(now.blended).toEqual({ 1: 17 })
  })

  it('counts no mark that was seen to part, but what was only cloudy, and what other pots did', () => {
    const now = state(
      told({ kind: 'marked', pot: 0, stage: 'cloudy' }, 1),
      told({ kind: 'marked', pot: 0, stage: 'medium' }, 2),
      told({ kind: 'marked', pot: 1, stage: 'medium' }, 2),
      told({ kind: 'rescued', pot: 0, how: 'weeps' }, 4),
      told({ kind: 'marked', pot: 0, stage: 'emulsion' }, 6),
    )
    expect(now.marks.map(({ pot, stage, counted }) => [pot, stage, counted])).toEqual([
      [0, 'cloudy', true],
      [0, 'medium', false],
      [1, 'medium', true],
      [0, 'emulsion', true],
    ])
  })

  it('opens again what an over-pour wants more of, and only that', () => {
    const chose = told({
      kind: 'chose',
      step: 'weigh:naoh',
      choice: 'scale',
      targets: { 'weigh:water': 400, 'weigh:fat:olive': 700, nothing: 3 },
    })
    const now = state(
      scoop('weigh:water', 313),
      done('weigh:water'),
      scoop('weigh:fat:olive', 700),
      done('weigh:fat:olive'),
      chose,
    )
    expect(isDone(now, 'weigh:water')).toBe(false)
    expect(isDone(now, 'weigh:fat:olive')).toBe(true)
    expect(targetOf(plan, now, step('weigh:water'))).toBe(400)
    expect(now.targets['nothing']).toBeUndefined()
    expect(now.order).toEqual(['weigh:fat:olive'])
  })

  it('takes back what one press told, never a reading, a hand-over or the end', () => {
    const scooped = told({ kind: 'scooped', step: 'weigh:water', grams: 300, typed: true }, 2)
    const finished = told({ kind: 'done', step: 'weigh:water' }, 2)
    const later = [
      told({ kind: 'read', vessel: 'lye', celsius: 40, typed: true }, 3),
      told({ kind: 'drove', name: 'Tablet' }, 4),
      told({ kind: 'finished', pouredDay: '2026-03-01' }, 5),
    ]
    expect(lastTold([done('mould', 1), scooped, finished, ...later]).map(({ id }) => id)).toEqual([
      scooped.id,
      finished.id,
    ])
    expect(lastTold(later)).toEqual([])
    expect(standingEvents([scooped, scooped, told({ kind: 'undone', event: scooped.id })])).toEqual(
      [],
    )
  })

  it('a share is what is really there, in whole steps, never more', () => {
    const parts = [0.3, 0.3, 0.4].map((share, index) => ({
      name: `p${index}`,
      share,
      scent: true,
      additives: [],
    }))
    const many = plannedFrom(
      { ...document, parts, method: { ...document.method, patterns: ['layers'] } },
      {},
      1,
    ).plan
    const share = many.steps.find(({ id }) => id === 'weigh:share:oils@0')!
    const events = many.steps.flatMap(({ id, weigh }) =>
      weigh && weigh.kind !== 'share'
        ? [scoop(id, weigh.kind === 'fat' ? weigh.grams + 1.5 : weigh.grams), done(id)]
        : [],
    )
    // 1003 g of oils, three tenths of it: 300.9, so 300 g.
    expect(targetOf(many, runOf(many, start, events), share)).toBe(300)
    expect(
      targetOf(
        many,
        runOf(many, start, [...events, told({ kind: 'checked', vessel: 'oils', grams: 990 })]),
        share,
      ),
    ).toBe(297)
    expect(targetOf(many, runOf(many, start, events), step('mould'))).toBe(0)
  })
})

describe('as weighed', () => {
  it('joins what it belongs to', () => {
    const of = (vessel: string) => joins({ vessel } as never)
    expect(
      [
        'lye-jug',
        'lye-jug@2',
        'lye-cup',
        'koh-cup@1',
        'milk-jug',
        'pan',
        'scent-cup',
        'cup:kaolin',
        'cup:kaolin@1',
        'scent-cup@1',
        'trace-cup',
      ].map(of),
    ).toEqual([
      'lye',
      'lye',
      'lye',
      'lye',
      'lye',
      'oils',
      'scent',
      'extra',
      'later',
      'later',
      'late',
    ])
    expect(goesIntoLye(undefined)).toBe(false)
    expect(goesIntoLye('lye-share@1')).toBe(false)
  })

  it('potash, ready-mixed lye, acid, sour and fat-bearing liquids, by hand', () => {
    const rich = plannedFrom(
      {
        ...document,
        alkali: { naohPurity: 0.98, kohShare: 0.1, kohPurity: 0.9, solutionStrength: null },
        additives: [{ id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils', carrier: null }],
        liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }],
        scents: [{ id: 'rain', name: 'Rain', rate: 0.03, of: 'oils', moment: 'trace' }],
      },
      {},
      0.1,
    )
    const of = (id: string) => grams(id, rich.plan)
    const weighed = asWeighed(rich.ctx, rich.plan, asPlanned as never, 5)
    const groups =
      (of('weigh:fat:olive') * 190 +
        of('weigh:fat:coconut') * 257 +
        of('weigh:liquid:goat-milk') * 0.04 * 233) /
      56.1056
    const hydroxide =
      (1000 * of('weigh:naoh') * 0.98) / 39.997 + (1000 * of('weigh:koh') * 0.9) / 56.1056
    const acid = (3000 * of('weigh:additive:citric-acid-anhydrous')) / 192.124
    expect(weighed.superfat).toBeCloseTo(1 - (hydroxide - acid) / groups, 4)
    const pure = of('weigh:naoh') * 0.98 + of('weigh:koh') * 0.9
    expect(weighed.pure).toBeCloseTo(pure, 6)
    expect(weighed.water).toBeCloseTo(
      of('weigh:water') + of('weigh:liquid:goat-milk') * 0.87 + 5,
      6,
    )
    expect(weighed.ratio).toBeCloseTo(weighed.water / pure, 9)
    expect(weighed.strength).toBeCloseTo(pure / (pure + weighed.water), 9)
    expect(weighed.oils).toBeCloseTo(1000, 6)
    expect(weighed.scent).toBeCloseTo(0.03, 6)
    const all = rich.plan.steps.reduce((sum, { weigh }) => sum + (weigh?.grams ?? 0), 0)
    expect(weighed.batter).toBeCloseTo(all + 5, 6)
    const ready = plannedFrom(
      { ...document, alkali: { ...document.alkali, solutionStrength: 0.5 } },
      {},
      1,
    )
    const solution = asWeighed(ready.ctx, ready.plan, asPlanned as never)
    expect(solution.pure).toBeCloseTo(grams('weigh:solution', ready.plan) / 2, 9)
    expect(solution.water).toBeCloseTo(
      grams('weigh:solution', ready.plan) / 2 + grams('weigh:water', ready.plan),
      9,
    )
  })

  it('nothing weighed is no ratio, no strength and no scent', () => {
    expect(asWeighed(ctx, plan, () => 0)).toMatchObject({
      ratio: 0,
      strength: 0,
      scent: 0,
      oils: 0,
      batter: 0,
    })
  })

  it('what is there to divide is jug, pan, or both', () => {
    const lye = grams('weigh:water') + grams('weigh:naoh')
    expect(reallyThere(plan, 'lye', asPlanned as never)).toBe(lye)
    expect(reallyThere(plan, 'oils', asPlanned as never)).toBe(1000)
    expect(reallyThere(plan, 'batter', asPlanned as never)).toBe(1000 + lye)
  })

  it('a pot that got more of the common lye than of the oils has less superfat', () => {
    const parts = ['a', 'b'].map((name) => ({ name, share: 0.5, scent: true, additives: [] }))
    const two = plannedFrom(
      { ...document, parts, method: { ...document.method, patterns: ['layers'] } },
      { divide: 'upfront' },
      1,
    )
    const uneven = (one: { id: string; weigh?: { grams: number } }) =>
      one.id === 'weigh:share:lye@0' ? one.weigh!.grams * 1.04 : one.weigh!.grams
    const [a, b] = potsAsWeighed(two.ctx, two.plan, uneven as never)
    const share =
      (grams('weigh:share:lye@0', two.plan) * 1.04) /
      (grams('weigh:share:lye@0', two.plan) * 1.04 + grams('weigh:share:lye@1', two.plan))
    const naoh = grams('weigh:naoh', two.plan)
    const full = ((700 * 190 + 300 * 257) / 1000) * (39.997 / 56.1056)
    expect(a!.superfat).toBeCloseTo(1 - (naoh * share) / (full / 2), 6)
    expect(b!.superfat).toBeCloseTo(1 - (naoh * (1 - share)) / (full / 2), 6)
    expect(a!.ratio).toBeCloseTo(b!.ratio, 9)
  })
})

describe('too much of it', () => {
  const all = (id: string, of: number, ...events: RunEvent[]) =>
    overPour(ctx, plan, runOf(plan, start, events), step(id), of)
  it('of a share, or of a step that weighs nothing, has no choices', () => {
    expect(overPour(ctx, plan, runOf(plan, start, []), step('mould'), 5)).toEqual([])
  })
  it('fat before the lye: the lye follows to the same superfat, in whole steps and never above', () => {
    const [out, match, scale, accept] = all('weigh:fat:olive', 800)
    expect(out).toMatchObject({
      choice: 'take-out',
      out: 100,
      clean: false,
      targets: {},
      topUps: [],
    })
    // 100 g of olive more take 100 × 190 mg of KOH more, less 5 %.
    const naoh = grams('weigh:naoh')
    const more =
      100 *
      0.19 *
      (39.997 / 56.1056) *
      (naoh / (((700 * 190 + 300 * 257) / 1000) * (39.997 / 56.1056)))
    expect(match!.targets['weigh:naoh']).toBe(Math.floor(naoh + more))
    expect(match!.makes.superfat).toBeGreaterThanOrEqual(out!.makes.superfat - 1e-9)
    expect(scale!.targets['weigh:fat:coconut']).toBe(Math.round((300 * 800) / 700))
    expect(scale!.targets['weigh:naoh']).toBe(Math.floor((naoh * 800) / 700 + 1e-9))
    expect(scale!.targets['weigh:fat:olive']).toBe(800)
    expect(accept!.makes.superfat).toBeGreaterThan(out!.makes.superfat)
    expect(accept!.targets).toEqual({})
  })
  it('lye itself, water and scent do not let lye follow', () => {
    expect(all('weigh:naoh', 160).map(({ choice }) => choice)).toEqual([
      'take-out',
      'scale',
      'accept',
    ])
    expect(all('weigh:water', 400).map(({ choice }) => choice)).toEqual([
      'take-out',
      'scale',
      'accept',
    ])
    expect(all('weigh:naoh', 160)[0]!.clean).toBe(true)
  })
  it('what is weighed already wants topping up by what its step may not miss', () => {
    const weighed = (id: string) => [
      told({ kind: 'scooped', step: id, grams: grams(id), typed: true }),
      told({ kind: 'done', step: id }),
    ]
    const [, , scale] = all('weigh:fat:olive', 770, ...weighed('weigh:water'))
    expect(scale!.topUps).toEqual([
      {
        step: 'weigh:water',
        name: 'Water',
        grams: Math.round(grams('weigh:water') * 1.1) - grams('weigh:water'),
      },
    ])
    // Half a per cent more is within what the water may miss by.
    const [, , little] = all('weigh:fat:olive', 703, ...weighed('weigh:water'))
    expect(little!.topUps).toEqual([])
  })
})

describe('usual times', () => {
  const model = { cloudy: 0.3, emulsion: 1.5, light: 6, medium: 10, thick: 16, 'too-far': 20 }
  const slow = { cloudy: 0.3, emulsion: 1.5, light: 12, medium: 20, thick: 32, 'too-far': 40 }
  const run = (
    marks: [stage: keyof typeof model, minutes: number, pot?: number][],
    more: RunEvent[] = [],
  ) => [
    told({ kind: 'done', step: 'combine' }, 0),
    told({ kind: 'done', step: 'combine@1' }, 100),
    ...marks.map(([stage, minutes, pot = 0]) => told({ kind: 'marked', pot, stage }, minutes)),
    ...more,
  ]
  it('are the model’s where nobody marked', () => {
    expect(usualTimes([model], 0, [], [])).toEqual({ minutes: model, from: 'model', count: 0 })
    expect(usualTimes([model], 0, run([]), [run([])])).toEqual({
      minutes: model,
      from: 'model',
      count: 0,
    })
  })
  it('are those of earlier batches, first mark of each, the rest stretched alike', () => {
    const earlier = run([
      ['emulsion', 3],
      ['light', 12],
      ['light', 30],
    ])
    const { minutes, from, count: of } = usualTimes([model], 0, [], [earlier])
    expect([from, of]).toEqual(['batches', 1])
    expect(minutes).toEqual({
      cloudy: 0.6,
      emulsion: 3,
      light: 12,
      medium: 20,
      thick: 32,
      'too-far': 40,
    })
  })
  it('are those of the other pots of today first, by how they came against their own model', () => {
    // Pot 1 was twice as slow as its own model says: so is this one.
    const today = run([
      ['emulsion', 103, 1],
      ['light', 124, 1],
    ])
    const usual = usualTimes([model, slow], 0, today, [run([['light', 3]])])
    expect([usual.from, usual.count]).toEqual(['today', 1])
    expect(usual.minutes).toMatchObject({ emulsion: 3, light: 12, thick: 32 })
    // Its own marks of today are no forecast of it, and a pot that is only cloudy is none.
    expect(usualTimes([model, slow], 1, today, []).from).toBe('model')
    expect(usualTimes([model, slow], 0, run([['cloudy', 101, 1]]), []).from).toBe('model')
  })
  it('of earlier batches this pot’s own count first', () => {
    const earlier = run([
      ['light', 9, 0],
      ['light', 124, 1],
    ])
    expect(usualTimes([model, slow], 1, [], [earlier]).minutes.light).toBe(24)
    expect(usualTimes([model, slow], 0, [], [earlier]).minutes.light).toBe(9)
  })
  it('leave out what was seen to part, and a mark before the lye', () => {
    const parted = run([['medium', 2]], [told({ kind: 'rescued', pot: 0, how: 'weeps' }, 4)])
    expect(usualTimes([model], 0, [], [parted]).from).toBe('model')
    expect(
      usualTimes(
        [model],
        0,
        [],
        [[told({ kind: 'marked', pot: 0, stage: 'light' }, 0), ...run([])]],
      ).from,
    ).toBe('model')
  })
  it('never let a stage come before the one it follows', () => {
    const { minutes } = usualTimes(
      [model],
      0,
      [],
      [
        run([
          ['light', 18],
          ['medium', 11],
        ]),
      ],
    )
    expect(minutes.medium).toBe(18)
    expect(minutes.thick).toBeGreaterThanOrEqual(18)
  })
})
