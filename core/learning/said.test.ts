import { describe, expect, it } from 'vitest'
import type { Offsets, ScoredForecast } from '#contracts/learning'
import { batchOf, told } from '../../tests/support/batchOf'
import { example } from '../../tests/support/record'
import { library } from '../materials/library'
import { computeFormula } from '../formula/compute'
import { usualSetup } from '#contracts/benchWords'
import { contextOf, planFor } from '../bench/plan/plan'
import { afterPlan } from '../bench/run/checks'
import { foretoldAtBench } from '../bench/run/foretold'
import { runOf } from '../bench/run/run'
import { freeze } from '../batch/freeze'
import { frozenLibrary } from '../formula/frozen'
import { workingTime } from '../batter/workingTime'
import { sum } from '../statistics/sum'
import { addDays } from '../units/days'
import { formatter } from '../units/formatter'
import { cameTrueOf, offsetOf, offsetsOf, scorecardOf } from './scorecard'
import { classSheet, handout, variantKinds } from './teaching'
import { yearEntry, yearIndex, yearPage, type YearEntry } from './yearbook'

const say = formatter()

const scored = (came: number, more: Partial<ScoredForecast> = {}): ScoredForecast => ({
  what: 'dry',
  of: null,
  on: '2026-03-01',
  due: '2026-04-01',
  at: 40,
  low: 34,
  high: 46,
  raw: 40,
  came,
  batchId: 'a',
  number: 1,
  name: 'Hostel Bar',
  thumbnail: { pattern: 'plain', colours: ['#ffffff'] },
  ...more,
})

describe('the own offset', () => {
  it('is as counted by hand, and none of fewer than three', () => {
    expect(offsetOf([1.2, 1.1, 1.35])).toBeCloseTo(1.101, 3)
    expect(offsetOf([1.2, 1.35])).toBe(1)
    // Twelve of 2: the share 12 of 15 of ln 2.
    expect(offsetOf(new Array<number>(12).fill(2))).toBeCloseTo(2 ** 0.8, 12)
  })
  it('as much up as down, and never beyond what came', () => {
    const ratios = [1.3, 1.2, 1.4, 1.25]
    expect(offsetOf(ratios) * offsetOf(ratios.map((one) => 1 / one))).toBeCloseTo(1, 12)
    expect(offsetOf(ratios)).toBeLessThan(1.4)
    expect(offsetOf(ratios)).toBeGreaterThan(1)
  })
  it('that hardly moves anything is left out', () => {
    expect(offsetsOf({ stage: [1.01, 0.99, 1.02], dry: [1.2, 1.1, 1.35] })).toEqual({
      dry: { factor: offsetOf([1.2, 1.1, 1.35]), of: 3 },
    })
  })
})

describe('the scorecard', () => {
  it('says how many came inside, how far off the middle was, and which to lean on', () => {
    const late = [41, 48, 50, 52, 47].map((came, nth) => scored(came, { number: nth }))
    const good = [10, 11, 12, 9].map((came, nth) =>
      scored(came, { what: 'stage', at: 10, low: 7, high: 14, raw: 10, number: nth }),
    )
    const few = [scored(80, { what: 'peak', at: 82, low: 78, high: 86 })]
    const lines = scorecardOf([...good, ...few, ...late], {})
    expect(lines.map(({ what, verdict, inside }) => [what, verdict, inside])).toEqual([
      ['dry', 'too-sure', 1],
      ['stage', 'keeps', 4],
      ['peak', 'few', 1],
    ])
    expect(lines[0]).toMatchObject({ off: 8, times: 1.2, offset: null })
  })
  it('calls a forecast mended once those that were moved come inside', () => {
    const before = [52, 55, 50, 49, 53].map((came) => scored(came))
    const after = [50, 48, 51].map((came) => scored(came, { at: 50, low: 44, high: 56, raw: 40 }))
    const [line] = scorecardOf([...before, ...after], { dry: { factor: 1.2, of: 8 } })
    expect(line).toMatchObject({ verdict: 'mended', offset: { factor: 1.2, of: 8 } })
  })
  it('holds what was foretold at the bench against what the batch says, as it was kept', () => {
    const poured = told({
      kind: 'poured',
      day: '2026-03-01',
      pouredAt: '2026-03-01T10:00:00Z',
      bench: {
        lyeC: 35,
        oilsC: 34,
        stage: 'medium',
        minutes: 11,
        blenderSeconds: 30,
        peakC: 84,
        metAt: 62,
        stages: { emulsion: 1, light: 5, medium: 9 },
      },
    })
    const foretold = told({
      kind: 'foretold',
      day: '2026-03-01',
      after: poured.id,
      forecasts: [
        { what: 'peak', at: 82, low: 77, high: 87 },
        { what: 'meeting', at: 60, low: 50, high: 70 },
        { what: 'stage', of: 'light', at: 6.5, low: 4, high: 10.4 },
        { what: 'stage', of: 'medium', at: 12, low: 7.5, high: 19.2, raw: 15 },
        { what: 'unmould', at: 30, low: 20, high: 40 },
      ],
    })
    const cut = {
      ...told({ kind: 'cut', day: '2026-03-02', bars: 12 }),
      at: '2026-03-02T16:30:00Z',
    }
    const batch = batchOf([poured, foretold, cut])
    expect(
      cameTrueOf(batch).map(({ what, of, at, raw, came }) => [what, of, at, raw, came]),
    ).toEqual([
      ['peak', null, 82, 82, 84],
      ['meeting', null, 60, 60, 62],
      ['stage', 'medium', 12, 15, 9],
      ['unmould', null, 30, 30, 30.5],
    ])
    // Told days later, nobody knows the hour of the cut.
    const later = batchOf([poured, foretold, { ...cut, at: '2026-03-05T09:00:00Z' }])
    expect(cameTrueOf(later).map(({ what }) => what)).not.toContain('unmould')
  })
  it('waits with the dry day until the bars were weighed until then', () => {
    const weigh = (day: number, grams: number) =>
      told({ kind: 'weighed', day: addDays('2026-03-01', day), bars: [{ bar: 1, grams }] })
    const poured = told({ kind: 'poured', day: '2026-03-01' })
    const thirdOn = addDays('2026-03-01', 15)
    const third = weigh(15, 111)
    const kept = told({
      kind: 'foretold',
      day: thirdOn,
      after: third.id,
      forecasts: [{ what: 'dry', at: 40, low: 30, high: 55 }],
    })
    const begun = [
      poured,
      told({ kind: 'cut', day: '2026-03-02', bars: 12 }),
      weigh(3, 118),
      weigh(8, 114),
      third,
      kept,
    ]
    expect(cameTrueOf(batchOf([...begun, weigh(22, 109)]))).toEqual([])
    const dried = batchOf([
      ...begun,
      ...[22, 30, 45, 60, 90].map((day, nth) => weigh(day, 109 - nth * 0.4)),
    ])
    const [came] = cameTrueOf(dried)
    expect(came).toMatchObject({ what: 'dry', on: thirdOn, at: 40, low: 30, high: 55 })
    expect(addDays('2026-03-01', came!.came)).toBe(dried.facts.drying!.dryOn)
  })
})

describe('what own records teach', () => {
  const offsets = { stage: { factor: 0.8, of: 9 }, unmould: { factor: 1.3, of: 5 } }
  it('moves the working time of a formula, says so, and stays with a batch as it was on its day', () => {
    const made = computeFormula(example, library)
    const plain = workingTime(example, made, library)
    const own = workingTime(example, made, { ...library, offsets })
    expect(own.minutes).toBeCloseTo(plain.minutes * 0.8, 9)
    expect(own.factors).toContainEqual({ says: 'as your own batches went', times: 0.8 })
    expect(frozenLibrary(freeze(example, { ...library, offsets })).offsets).toEqual(offsets)
    expect(freeze(example, library)).not.toHaveProperty('offsets')
  })
  it('is kept at the bench beside what would have been said without', () => {
    const said = (kept: Offsets) => {
      const ctx = contextOf(freeze(example, { ...library, offsets: kept }), usualSetup, 1, say)
      const plan = planFor(ctx)
      const state = runOf(plan, '2026-03-01T09:00:00Z', [])
      return foretoldAtBench(ctx, plan, state, afterPlan(ctx, state, '2026-03-01T11:00:00Z'))
    }
    const [plain, own] = [said({}), said(offsets)]
    for (const forecast of own) {
      const before = plain.find(({ what, of }) => what === forecast.what && of === forecast.of)!
      if (forecast.what === 'stage' || forecast.what === 'unmould')
        expect(Math.abs(forecast.raw! - before.at)).toBeLessThan(0.6)
      else expect(forecast).toEqual(before)
    }
    const medium = (list: typeof own) => list.find(({ of }) => of === 'medium')!.at
    expect(medium(own)).toBeLessThan(medium(plain))
  })
})

describe('papers for a class', () => {
  it('give each pair its own lye, and all pairs what the table holds', () => {
    const { each, groups } = classSheet(example, library, { pairs: 5, oils: 400 }, 1)
    const lines = groups.flatMap(({ lines: some }) => some)
    // 400 g of olive oil at 5 %: 400 × 0.190 × 0.95 × 39.997 / 56.1056 = 51.47, down to what the scale shows.
    expect(lines.find(({ id }) => id === 'naoh')).toMatchObject({ grams: 51, all: 255 })
    expect(lines.find(({ id }) => id === 'olive')).toMatchObject({ grams: 400, all: 2000 })
    expect(each.secondOpinion.agrees).toBe(true)
    expect(each.superfat).toBeGreaterThanOrEqual(0.05)
  })
  it('give half of a recipe half its weights, and of a variant only what changes', () => {
    const scented = {
      ...example,
      scents: [
        { id: 'fir', name: 'Fir', rate: 0.03, of: 'oils' as const, moment: 'trace' as const },
      ],
    }
    const paper = handout(scented, library, variantKinds, 1, say)
    for (const line of paper.groups.flatMap(({ lines }) => lines))
      expect(Math.abs(line.half * 2 - line.grams)).toBeLessThanOrEqual(2)
    const of = (kind: string) => paper.variants.find((one) => one.kind === kind)
    expect(of('unscented')!.lines.map(({ id, whole, half }) => [id, whole, half])).toEqual([
      ['fir', 0, 0],
    ])
    expect(of('less-water')!.lines.map(({ id }) => id)).toEqual(['water'])
    // 8 % superfat: 1000 × 0.190 × 0.92 × 39.997 / 56.1056 = 124.6, of half 62.3.
    const lye = of('milder')!.lines.find(({ id }) => id === 'naoh')!
    expect([lye.whole, lye.half]).toEqual([124, 62])
    expect(of('plain')).toBeUndefined()
    expect(paper.whole.secondOpinion.agrees && paper.half.secondOpinion.agrees).toBe(true)
  })
})

describe('a year on paper', () => {
  const entry = (number: number, more: Partial<YearEntry> = {}): YearEntry => ({
    id: String(number),
    number,
    name: 'Hostel Bar',
    thumbnail: { pattern: 'plain', colours: ['#ffffff'] },
    pouredOn: '2026-03-01',
    fats: '',
    made: '',
    became: '',
    said: [],
    scents: [],
    troubles: [],
    ...more,
  })
  it('leads by formula, scent and trouble to the page a batch stands on', () => {
    const entries = Array.from({ length: 12 }, (_, nth) =>
      entry(nth + 20, nth % 6 ? {} : { name: 'Fir & Smoke', scents: ['Fir'], troubles: ['Ash'] }),
    )
    const index = yearIndex(entries)
    expect(index.scents).toEqual([
      {
        says: 'Fir',
        batches: [
          { number: 20, page: yearPage(0) },
          { number: 26, page: yearPage(6) },
        ],
      },
    ])
    expect(index.troubles[0]!.says).toBe('Ash')
    expect(index.formulas.map(({ says }) => says)).toEqual(['Fir & Smoke', 'Hostel Bar'])
    expect(sum(index.formulas.map(({ batches }) => batches.length))).toBe(12)
    expect([yearPage(0), yearPage(4), yearPage(5)]).toEqual([2, 2, 3])
  })
  it('says of a batch what was written, in the order of its days, and passes over one that was never poured', () => {
    const batch = batchOf([
      told({ kind: 'poured', day: '2026-03-01' }),
      told({ kind: 'cut', day: '2026-03-02', bars: 12 }),
      told({ kind: 'trouble', day: '2026-03-08', trouble: 'ash', how: 2, note: 'A veil.' }),
      told({ kind: 'noted', day: '2026-03-09', note: 'Steamed it off.', from: 'Jo' }),
    ])
    const told_ = yearEntry(batch, say)!
    expect(told_.said).toEqual(['Ash: A veil.', 'Jo: Steamed it off.'])
    expect(told_.troubles).toEqual(['Ash'])
    expect(told_.became).toBe('Cut after 1 day, 12 bars')
    expect(yearEntry(batchOf([]), say)).toBeNull()
  })
})
