import { describe, expect, it } from 'vitest'
import { usualSetup } from '#contracts/benchWords'
import type { FormulaDocument } from '#contracts/formula'
import type { NewRunEvent, RunEvent } from '#contracts/run'
import { plannedFrom } from '../../../tests/support/bench'
import { freeze } from '../../batch/freeze'
import { blankFormula } from '../../formula/blank'
import { gelForecast } from '../../heat/gel'
import { library } from '../../materials/library'
import { celsiusAtCombine, stageAtPour, stageRank, stageText, usualMinutes } from './batter'
import { afterPlan, afterPlanOf } from './checks'
import { foretoldAtBench } from './foretold'
import { mistakesOf } from './mistakes'
import { pouredBy } from './poured'
import { runOf } from './run'
import { safetyCheckOf, safetyPoints } from './safetyCheck'

/* What a run leaves behind: the batch it makes, what was foretold of it, and what a practised maker would say of it. */

const start = '2026-03-01T09:00:00.000Z'
const document: FormulaDocument = {
  ...blankFormula('Slip'),
  fats: [
    { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
  ],
}
const milky: FormulaDocument = {
  ...document,
  liquids: [{ id: 'goat-milk', share: 0.4, moment: 'lye', way: 'into-cooled-lye' }],
  method: { ...document.method, lyeC: 24, oilsC: 36 },
}
let count = 0
const told = (event: NewRunEvent, minutes = 0): RunEvent =>
  ({
    ...event,
    id: `e${count++}`,
    at: new Date(Date.parse(start) + minutes * 60_000).toISOString(),
  }) as RunEvent
const read = (vessel: 'lye' | 'oils', celsius: number, minutes: number) =>
  told({ kind: 'read', vessel, celsius, typed: true }, minutes)
const mark = (
  stage: 'cloudy' | 'emulsion' | 'light' | 'medium' | 'thick' | 'too-far',
  minutes: number,
  pot = 0,
) => told({ kind: 'marked', pot, stage }, minutes)

type Planned = ReturnType<typeof plannedFrom>
/** Each step done a minute after the one before, as planned but for what is said otherwise; then what is told besides. */
function made(
  { plan }: Planned,
  {
    weights = {},
    leave = [],
    more = [],
    at = {},
  }: {
    weights?: Record<string, number>
    leave?: string[]
    more?: RunEvent[]
    at?: Record<string, number>
  } = {},
) {
  const events = plan.steps.flatMap((step, index) => {
    if (leave.includes(step.id)) return []
    const when = at[step.id] ?? index + 1
    return [
      ...(step.kind === 'safety-check'
        ? safetyPoints.map(({ id }) => told({ kind: 'confirmed', point: id }, when))
        : []),
      ...(step.weigh
        ? [
            told(
              {
                kind: 'scooped',
                step: step.id,
                grams: weights[step.id] ?? step.weigh.grams,
                typed: true,
              },
              when,
            ),
          ]
        : []),
      told({ kind: 'done', step: step.id }, when),
    ]
  })
  const all = [...events, ...more].sort((a, b) => a.at.localeCompare(b.at))
  return { events: all, state: runOf(plan, start, all) }
}
const minuteOf = ({ plan }: Planned, id: string) =>
  plan.steps.findIndex((step) => step.id === id) + 1

describe('the stages of a batter', () => {
  it('are six in order, and are said inside a sentence', () => {
    expect(stageRank('cloudy')).toBe(0)
    expect(stageRank('too-far')).toBe(5)
    expect(stageText('light')).toBe('light trace')
    expect(stageText(null)).toBeUndefined()
  })
  it('come by the model in parts of the working time, later by hand', () => {
    expect(usualMinutes(20, true)).toEqual({
      cloudy: 0.3,
      emulsion: 1.5,
      light: 6.5,
      medium: 11.5,
      thick: 18.5,
      'too-far': 21.5,
    })
    expect(usualMinutes(20, false)).toMatchObject({ emulsion: 12, light: 17, 'too-far': 32 })
  })
  it('at the pour it is the furthest that counts, not the last', () => {
    const counted = (stage: 'light' | 'thick', is = true) => ({
      id: stage,
      pot: 0,
      stage,
      minutes: 1,
      counted: is,
    })
    expect(stageAtPour({ marks: [counted('thick'), counted('light')] })).toBe('thick')
    expect(stageAtPour({ marks: [counted('light'), counted('thick', false)] })).toBe('light')
    expect(stageAtPour({ marks: [] })).toBeNull()
  })
})

describe('what a finished run makes of its batch', () => {
  const planned = plannedFrom(document, {}, 1)
  const frozen = freeze(document, library)
  const run = { setup: usualSetup, scale: 1, startedAt: start }
  const combine = minuteOf(planned, 'combine')
  const pour = minuteOf(planned, 'pour')
  const end = told({ kind: 'finished', pouredDay: '2026-03-01' }, 60)

  it('is nothing before its end', () => {
    expect(pouredBy(frozen, run, made(planned).events)).toBeNull()
  })

  it('is its weights, its temperatures when lye met oils, and the minutes from there to the pour', () => {
    const { events } = made(planned, {
      more: [
        read('lye', 60, combine - 4),
        read('lye', 41, combine - 0.5),
        read('lye', 39, combine + 0.5),
        read('oils', 38, combine - 1),
        mark('emulsion', combine + 1.2),
        told({ kind: 'blended', pot: 0, seconds: 41 }, combine + 1),
        told({ kind: 'blended', pot: 0, seconds: 20 }, combine + 1.5),
        told({ kind: 'watered', pot: 0, grams: 7 }, combine + 1.6),
        told({ kind: 'noted', says: 'Smelled of nothing' }, combine),
        end,
      ],
    })
    const { poured } = pouredBy(frozen, run, events)!
    expect(poured.day).toBe('2026-03-01')
    expect(poured.bench).toMatchObject({
      lyeC: 41,
      oilsC: 38,
      stage: 'emulsion',
      minutes: pour - combine,
      blenderSeconds: 61,
      watered: 7,
      tool: 'blender',
      notes: ['Smelled of nothing'],
      assumed: [],
    })
    expect(poured.bench!.pots).toBeUndefined()
    // 700 × 190 + 300 × 257 mg KOH a gram, and what was weighed of soda.
    const naoh = planned.plan.steps.find(({ id }) => id === 'weigh:naoh')!.weigh!.grams
    const water = planned.plan.steps.find(({ id }) => id === 'weigh:water')!.weigh!.grams
    const full = ((700 * 190 + 300 * 257) / 1000) * (39.997 / 56.1056)
    expect(poured.made!.superfat).toBeCloseTo(1 - naoh / full, 6)
    expect(poured.made!.ratio).toBeCloseTo((water + 7) / naoh, 9)
    expect(poured.pouredAt).toBe(new Date(Date.parse(start) + pour * 60_000).toISOString())
    expect(poured.laundry).toBeUndefined()
    expect(poured.checks!.map(({ kind }) => kind)).toEqual(['peek', 'unmould'])
  })

  it('is for laundry where the bench said so', () => {
    const { events } = made(planned, { more: [told({ kind: 'laundry' }, 5), end] })
    expect(pouredBy(frozen, run, events)!.poured.laundry).toBe(true)
  })

  it('by the scale has a clock; on paper it has the hour that stands there, or none', () => {
    const onPaper = (pouredAt?: string) => {
      const { events } = made(planned, {
        more: [
          told(
            { kind: 'finished', pouredDay: '2026-02-26', ...(pouredAt ? { pouredAt } : {}) },
            60,
          ),
        ],
      })
      return pouredBy(frozen, { ...run, paper: true }, events)!.poured
    }
    expect(onPaper('2026-02-26T16:40:00.000Z')).toMatchObject({
      day: '2026-02-26',
      pouredAt: '2026-02-26T16:40:00.000Z',
    })
    const [peek] = onPaper('2026-02-26T16:40:00.000Z').checks!
    expect(peek!.from).toBe('2026-02-26T18:40:00.000Z')
    const without = onPaper()
    expect(without.pouredAt).toBeUndefined()
    expect(without.checks).toBeUndefined()
    expect(without.bench!.minutes).toBeNull()
  })

  it('says what was taken as planned because nobody wrote it down', () => {
    const { plan } = planned
    const events = plan.steps.flatMap((step) => [
      ...(step.weigh
        ? [
            told({
              kind: 'scooped',
              step: step.id,
              grams: step.weigh.grams,
              typed: true,
              ...(step.id === 'weigh:fat:olive' ? { assumed: true } : {}),
            }),
          ]
        : []),
      told({ kind: 'done', step: step.id }),
    ])
    const { poured } = pouredBy(frozen, run, [...events, end])!
    expect(poured.bench!.assumed).toEqual(['Olive oil'])
  })

  it('of several pots keeps each: its water, what was stirred in, its lye', () => {
    const parts = [1.4, 2.4].map((value, index) => ({
      name: ['pale', 'dark'][index]!,
      share: 0.5,
      scent: true,
      additives: [],
      water: { held: 'ratio' as const, value },
    }))
    const two = { ...document, parts }
    const many = plannedFrom(two, {}, 1)
    const { events } = made(many, {
      more: [
        told({ kind: 'read', vessel: 'lye', pot: 0, celsius: 44, typed: true }, 3),
        told({ kind: 'watered', pot: 1, grams: 5 }, 40),
        end,
      ],
    })
    const { pots } = pouredBy(freeze(two, library), run, events)!.poured.bench!
    const grams = (id: string) => many.plan.steps.find((step) => step.id === id)!.weigh!.grams
    expect(pots!.map(({ name, watered, lyeC }) => [name, watered, lyeC])).toEqual([
      ['pale', 0, 44],
      ['dark', 5, null],
    ])
    expect(pots![0]!.ratio).toBeCloseTo(grams('weigh:water@0') / grams('weigh:naoh@0'), 9)
    expect(pots![1]!.ratio).toBeCloseTo((grams('weigh:water@1') + 5) / grams('weigh:naoh@1'), 9)
  })
})

describe('what follows the pour', () => {
  const planned = plannedFrom(document, {}, 1)
  const combine = minuteOf(planned, 'combine')
  it('is worked out from the temperatures that were measured, not from the sheet', () => {
    const warm = made(planned, {
      more: [read('lye', 50, combine - 1), read('oils', 50, combine - 1)],
    })
    const cool = made(planned, {
      more: [read('lye', 25, combine - 1), read('oils', 25, combine - 1)],
    })
    const peak = ({ state }: typeof warm) =>
      afterPlan(planned.ctx, state, start).forecast.peak.usual
    // The batter goes in as warm as it was mixed: 25 K more there are 25 K more in the middle.
    expect(peak(warm) - peak(cool)).toBeCloseTo(25, 6)
    const bare = made(planned)
    // Nobody measured: 35 °C of the sheet, and two of the blender.
    expect(peak(bare)).toBeCloseTo(
      gelForecast(planned.ctx.document, planned.ctx.onScale.result, 37).peak.usual,
      6,
    )
  })
  it('left to itself it says what warmth or cold would make of it; decided it does not', () => {
    const of = (gel: 'leave' | 'force' | 'prevent') =>
      afterPlanOf(
        { ...document, method: { ...document.method, gel } },
        planned.ctx.onScale.result,
        library,
        start,
      )
    const free = of('leave').otherwise!
    expect(free.force.peak.usual).toBeGreaterThan(of('leave').forecast.peak.usual)
    expect(free.prevent.peak.usual).toBeLessThan(of('leave').forecast.peak.usual)
    expect(of('force').otherwise).toBeNull()
    expect(of('force').checks.map(({ kind }) => kind)).toEqual(['peek', 'unwrap', 'unmould'])
    // Kept cold nobody peeks, and it comes out of the cold after half a day.
    const cold = of('prevent').checks
    expect(cold.map(({ kind }) => kind)).toEqual(['unwrap', 'unmould'])
    expect(cold[0]).toMatchObject({
      from: '2026-03-01T21:00:00.000Z',
      to: '2026-03-01T21:00:00.000Z',
    })
  })
  it('thick or thin at the pour moves the hour of unmoulding', () => {
    const at = (stage: 'light' | 'thick' | null) =>
      afterPlanOf(document, planned.ctx.onScale.result, library, start, stage).after.unmould.from
    expect(at('light')).toBeGreaterThan(at(null))
    expect(at('thick')).toBeLessThan(at(null))
  })
})

describe('what the bench foretold', () => {
  const planned = plannedFrom(document, {}, 1)
  const combine = minuteOf(planned, 'combine')
  const foretell = (more: RunEvent[] = [], at: Record<string, number> = {}) => {
    const { state } = made(planned, { more, at })
    return foretoldAtBench(planned.ctx, planned.plan, state, afterPlan(planned.ctx, state, start))
  }
  it('is the peak, each stage with a factor to either side, the unmoulding and the batter', () => {
    const all = foretell()
    const of = (what: string, whose?: string) =>
      all.find((one) => one.what === what && (!whose || one.of === whose))!
    const { peak, working } = planned.plan
    expect(of('peak')).toEqual({
      what: 'peak',
      at: Math.round(((peak.low + peak.high) / 2) * 100) / 100,
      low: Math.round(peak.low * 100) / 100,
      high: Math.round(peak.high * 100) / 100,
    })
    const medium = usualMinutes(working, true).medium
    expect(of('stage', 'medium').at).toBeCloseTo(medium, 1)
    expect(of('stage', 'medium').low).toBeCloseTo(medium / 1.6, 1)
    expect(of('stage', 'medium').high).toBeCloseTo(medium * 1.6, 1)
    const { batter } = planned.ctx.onScale.result
    expect(of('yield').at).toBeCloseTo(batter * 0.985, 1)
    expect([of('yield').low, of('yield').high]).toEqual([
      Math.round(batter * 96) / 100,
      Math.round(batter * 100) / 100,
    ])
    expect(of('unmould').at).toBeCloseTo((of('unmould').low + of('unmould').high) / 2, 1)
    expect(all.filter(({ what }) => what === 'stage')).toHaveLength(6)
    expect(of('meeting')).toBeUndefined()
  })
  it('tells when the two would meet once both had been read for five minutes, as it was known then', () => {
    // Melted and dissolved by minute 12; combined at minute 90.
    const late = {
      meet: 88,
      'weigh-again': 89,
      combine: 90,
      'batter:emulsion': 92,
      'batter:trace': 94,
      pour: 96,
      cover: 98,
      rinse: 99,
    }
    const readings = Array.from({ length: 12 }, (_, index) => [
      read('lye', 20 + 56 * Math.exp(-0.02 * index), 14 + index),
      read('oils', 20 + 50 * Math.exp(-0.02 * index), 14 + index),
    ]).flat()
    const meeting = foretell(readings, late).find(({ what }) => what === 'meeting')
    expect(meeting).toBeDefined()
    expect(meeting!.low).toBeLessThanOrEqual(meeting!.at)
    expect(meeting!.high).toBeGreaterThanOrEqual(meeting!.at)
    // Newton by hand: 56 K of the lye are 18 K after ln(56/18)/0.02 = 57 minutes, at minute 71; known to a fifth or so then.
    expect(meeting!.at).toBeGreaterThan(55)
    expect(meeting!.at).toBeLessThan(90)
    // Read for four minutes only it says nothing.
    expect(
      foretell(readings.slice(0, 10), late).find(({ what }) => what === 'meeting'),
    ).toBeUndefined()
    // Nor does a single vessel.
    const alone = readings.filter((event) => event.kind === 'read' && event.vessel === 'lye')
    expect(foretell(alone, late).find(({ what }) => what === 'meeting')).toBeUndefined()
    expect(combine).toBeGreaterThan(0)
  })
})

describe('what a practised maker would say', () => {
  const planned = plannedFrom(document, {}, 1)
  const { ctx, plan } = planned
  const combine = minuteOf(planned, 'combine')
  const says = (options: Parameters<typeof made>[1], of = planned) => {
    const { state } = made(of, options)
    return mistakesOf(of.ctx, of.plan, state)
  }
  const fine = [mark('emulsion', combine + 0.5)]

  it('nothing of a run as planned', () => {
    expect(says({ more: fine })).toEqual([])
  })
  it('a run that ended unrinsed, and one that has not ended', () => {
    const end = told({ kind: 'finished', pouredDay: '2026-03-01' }, 90)
    const [one] = says({ leave: ['rinse'], more: [...fine, end] })
    expect(one).toMatchObject({ about: 'safety', severity: 'think' })
    expect(one!.says).toContain('before everything was rinsed')
    expect(says({ leave: ['rinse'], more: fine })).toEqual([])
  })
  it('a check that came after the lye, though it was passed', () => {
    const [one] = says({ more: fine, at: { gate: 50 } })
    expect(one).toMatchObject({ about: 'safety', severity: 'stop' })
  })
  it('a step that came before what it waits for, gravely where lye is handled', () => {
    const late = says({ more: fine, at: { 'weigh:water': 30 } }).filter(
      ({ about }) => about === 'order',
    )
    expect(late[0]).toMatchObject({ severity: 'stop' })
    expect(late[0]!.says).toBe('“Lye into water, stir” came before “Water”.')
    expect(late[0]!.because).toContain('before the lye')
  })
  it('lye too much is grave, too little worth a thought, fat only to know; in the band nothing', () => {
    const weight = (id: string, off: number) => {
      const { grams } = plan.steps.find((step) => step.id === id)!.weigh!
      return says({ more: fine, weights: { [id]: grams + off } }).filter(
        ({ about }) => about === 'weight',
      )
    }
    expect(weight('weigh:naoh', 2)).toMatchObject([
      { severity: 'stop', says: 'Sodium hydroxide: 2 g too much.' },
    ])
    expect(weight('weigh:naoh', -2)).toMatchObject([
      { severity: 'think', says: 'Sodium hydroxide: 2 g too little.' },
    ])
    expect(weight('weigh:fat:olive', 20)).toMatchObject([{ severity: 'know' }])
    expect(weight('weigh:fat:olive', 7)).toEqual([])
    // Eight grams of 142 are more than five per cent of superfat: free lye.
    expect(weight('weigh:naoh', 9).map(({ says: what }) => what)).toEqual([
      'Sodium hydroxide: 9 g too much.',
      expect.stringContaining('Free lye'),
    ])
  })
  it('vessels that met outside their window, not those inside, nor those that nobody read', () => {
    const met = (lye: number, oils: number) =>
      says({ more: [...fine, read('lye', lye, combine - 0.5), read('oils', oils, combine - 0.5)] })
    expect(met(35, 35)).toEqual([])
    expect(met(50, 35)).toMatchObject([{ about: 'temperature', severity: 'think' }])
    expect(met(50, 35)[0]!.says).toBe('Combined with the lye at 50 °C and the oils at 35 °C.')
    expect(says({ more: [...fine, read('lye', 50, combine - 0.5)] })).toEqual([])
  })
  it('milk that got over its guard while it was stirred in, and no other time', () => {
    const of = plannedFrom(milky, {}, 1)
    const stir = minuteOf(of, 'stir:liquid:goat-milk')
    const emulsion = mark('emulsion', minuteOf(of, 'combine') + 0.5)
    const at = (celsius: number, minutes: number) =>
      says(
        {
          more: [
            emulsion,
            read('lye', celsius, minutes),
            read('lye', 24, minuteOf(of, 'combine') - 0.2),
            read('oils', 36, minuteOf(of, 'combine') - 0.2),
          ],
        },
        of,
      )
    expect(at(41, stir - 0.5)).toMatchObject([
      { about: 'temperature', says: 'The milk got to 41 °C.' },
    ])
    expect(at(38.4, stir - 0.5)).toEqual([])
    expect(at(85, minuteOf(of, 'dissolve') - 0.5)).toEqual([])
  })
  it('a pour without an emulsion, and a blender that ran for more than four minutes', () => {
    expect(says({})).toMatchObject([{ about: 'batter', severity: 'think' }])
    expect(says({ leave: ['pour', 'cover', 'rinse'] })).toEqual([])
    const blended = (seconds: number) =>
      says({ more: [...fine, told({ kind: 'blended', pot: 0, seconds }, combine + 0.6)] })
    expect(blended(240)).toEqual([])
    expect(blended(300)).toMatchObject([
      { about: 'batter', severity: 'know', says: 'Blended for 5 minutes.' },
    ])
  })
  it('a plan that itself leaves too little time, unless its clock is that of a sheet of paper', () => {
    const hurried = plannedFrom(
      {
        ...document,
        fats: [
          { id: 'castor', share: 0.4, moment: 'pot', inLye: true },
          { id: 'shea', share: 0.6, moment: 'pot', inLye: true },
        ],
        water: { held: 'ratio', value: 1.2 },
        parts: ['a', 'b', 'c'].map((name, index) => ({
          name,
          share: index ? 0.3 : 0.4,
          scent: true,
          additives: [],
        })),
        method: { ...document.method, lyeC: 45, oilsC: 45, patterns: ['layers'] },
      },
      {},
      1,
    )
    expect(hurried.plan.pots[0]!.takes!).toBeGreaterThan(hurried.plan.pots[0]!.working)
    const { state } = made(hurried, {
      leave: hurried.plan.steps.filter(({ kind }) => kind === 'pour').map(({ id }) => id),
    })
    const batter = mistakesOf(hurried.ctx, hurried.plan, state).filter(
      ({ about }) => about === 'batter',
    )
    expect(batter).toHaveLength(3)
    expect(batter[0]!.says).toMatch(/^By this plan the batter of a is worked for \d+ minutes/)
    expect(
      mistakesOf(hurried.ctx, hurried.plan, state, { clocked: false }).filter(
        ({ about }) => about === 'batter',
      ),
    ).toEqual([])
  })
  it('the gravest first', () => {
    const all = says({ weights: { 'weigh:naoh': 170, 'weigh:fat:olive': 740 } })
    const order = all.map(({ severity }) => severity)
    expect(order).toEqual(
      [...order].sort(
        (a, b) => ['stop', 'think', 'know'].indexOf(a) - ['stop', 'think', 'know'].indexOf(b),
      ),
    )
    expect(order).toContain('know')
    expect(ctx.say).toBeDefined()
  })
  it('points of the check: the label of potash too where there is potash', () => {
    const ids = (kohShare: number) =>
      safetyCheckOf({ ...document, alkali: { ...document.alkali, kohShare } })
        .map(({ says: what }) => what)
        .join()
    expect(ids(0)).toContain('pure sodium hydroxide')
    expect(ids(0.2)).toContain('potassium')
  })
})

describe('°C when lye met oils', () => {
  it('is the last reading before, of the vessel and of the pot that is meant', () => {
    const state = {
      combined: [
        { pot: 0, minutes: 10 },
        { pot: 1, minutes: 20 },
      ],
      readings: {
        lye: [
          { minutes: 8, celsius: 50, typed: true, pot: null },
          { minutes: 15, celsius: 40, typed: true, pot: null },
          { minutes: 21, celsius: 30, typed: true, pot: null },
        ],
        oils: [],
      },
    }
    expect(celsiusAtCombine(state, 'lye')).toBe(50)
    expect(celsiusAtCombine(state, 'lye', 1)).toBe(40)
    expect(celsiusAtCombine(state, 'oils', 1)).toBeNull()
    // Not combined yet: the last there is.
    expect(celsiusAtCombine({ ...state, combined: [] }, 'lye')).toBe(30)
  })
})
