import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import type { RunSetup } from '#contracts/run'
import { anyFormula } from '../../../tests/support/anyFormula'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { asWeighed, potsAsWeighed, reallyThere } from '../run/asWeighed'
import { mayMove } from './plan'
import type { Step } from './step'
import { sumOf } from '../../statistics/sum'
import { runs } from '../../../tests/support/runs'

const fat = (id: string, share: number) => ({
  id,
  share,
  moment: 'pot' as const,
  inLye: true,
})
const base: FormulaDocument = {
  ...blankFormula('Block'),
  fats: [fat('tallow', 0.3), fat('olive', 0.7)],
}
const ids = (document: FormulaDocument, setup: Partial<RunSetup> = {}) =>
  plannedFrom(document, setup).plan.steps.map(({ id }) => id)
const place = (list: string[], id: string) => {
  expect(list).toContain(id)
  return list.indexOf(id)
}
const planned = (step: Step) => step.weigh!.grams

const setups = fc.record({
  meltBy: fc.constantFrom('stove' as const, 'lye' as const),
  divide: fc.constantFrom(null, 'upfront' as const, 'batter' as const),
  thermometer: fc.boolean(),
  oilsOntoLye: fc.boolean(),
})

// Whole plans of drawn formulas take a while on a busy machine.
describe('any formula as a plan', { timeout: 30_000 }, () => {
  it('weighs everything once, in an order in which nothing is missing', () => {
    fc.assert(
      fc.property(anyFormula, setups, (document, setup) => {
        const { ctx, plan } = plannedFrom(document, setup)
        const seen = new Set<string>()
        for (const { id, after } of plan.steps) {
          expect(seen.has(id)).toBe(false)
          for (const before of after) expect(seen.has(before), `${id} after ${before}`).toBe(true)
          seen.add(id)
        }
        const { result } = ctx.onScale
        const sum = (...kinds: string[]) =>
          sumOf(plan.steps, ({ weigh }) => (weigh && kinds.includes(weigh.kind) ? weigh.grams : 0))
        const near = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThan(0.11 * 40)
        expect(sum('naoh')).toBeCloseTo(result.lye.naoh, 6)
        expect(sum('koh')).toBeCloseTo(result.lye.koh, 6)
        expect(sum('solution')).toBeCloseTo(result.lye.solution ?? 0, 6)
        expect(sum('water', 'ice')).toBeCloseTo(Math.max(0, result.water.weighed), 6)
        near(
          sum(
            'water',
            'ice',
            'naoh',
            'koh',
            'solution',
            'fat',
            'carrier',
            'liquid',
            'additive',
            'scent',
          ),
          result.batter,
        )
        near(
          reallyThere(plan, 'batter', planned),
          reallyThere(plan, 'oils', planned) + reallyThere(plan, 'lye', planned),
        )
      }),
      runs(40),
    )
  })

  it('weighed as planned, it has the superfat and the water of its sheet', () => {
    fc.assert(
      fc.property(anyFormula, setups, (document, setup) => {
        const { ctx, plan } = plannedFrom(document, setup, 0.01)
        const made = asWeighed(ctx, plan, planned)
        expect(Math.abs(made.superfat - ctx.onScale.superfat)).toBeLessThan(2e-3)
        expect(Math.abs(made.ratio - ctx.onScale.result.water.ratio)).toBeLessThan(5e-3)
        expect(Math.abs(made.oils - ctx.onScale.result.oils)).toBeLessThan(0.3)
      }),
      runs(40),
    )
  })

  it('the time it takes is finite and no step comes before the one above it', () => {
    fc.assert(
      fc.property(anyFormula, setups, (document, setup) => {
        const { times, minutes } = plannedFrom(document, setup).plan
        expect(minutes).toBeGreaterThan(0)
        expect(minutes).toBeLessThan(24 * 60)
        times.slice(1).forEach((time, index) => expect(time.from).toBeCloseTo(times[index]!.to, 9))
      }),
      runs(30),
    )
  })
})

it('lye that is wanted at the warmth of the room is not waited for by the day', () => {
  const method = { ...base.method, lyeC: 17.00001, oilsC: 30 }
  const { times } = plannedFrom({ ...base, method }).plan
  expect(Math.max(...times.map(({ waits }) => waits))).toBeLessThanOrEqual(180)
})

describe('the method decides the order', () => {
  it('plain lye: citric acid dissolves before the lye, hard fats melt before the oils', () => {
    const list = ids({
      ...base,
      additives: [{ id: 'citric-acid-monohydrate', rate: 0.012, of: 'oils', carrier: null }],
    })
    expect(place(list, 'weigh:additive:citric-acid-monohydrate')).toBeLessThan(
      place(list, 'dissolve'),
    )
    expect(place(list, 'gate')).toBeLessThan(place(list, 'weigh:naoh'))
    expect(place(list, 'weigh:fat:tallow')).toBeLessThan(place(list, 'melt'))
    expect(place(list, 'melt')).toBeLessThan(place(list, 'weigh:fat:olive'))
    expect(place(list, 'meet')).toBeLessThan(place(list, 'combine'))
    expect(list.at(-1)).toBe('rinse')
  })

  it('ready-mixed lye is weighed as a solution', () => {
    const list = ids({ ...base, alkali: { ...base.alkali, solutionStrength: 0.5 } })
    expect(list).toContain('weigh:solution')
    expect(list).not.toContain('weigh:naoh')
  })

  it('milk into the oils waits for oils under the guard', () => {
    const list = ids({
      ...base,
      liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }],
    })
    expect(place(list, 'cool:oils')).toBeLessThan(place(list, 'weigh:liquid:goat-milk'))
  })

  it('frozen milk takes the lye bit by bit, and the oils may go onto it by choice', () => {
    const document = {
      ...base,
      liquids: [{ id: 'goat-milk', share: 1, moment: 'lye' as const, way: 'frozen' as const }],
    }
    const { plan } = plannedFrom(document, { oilsOntoLye: true })
    const dissolve = plan.steps.find(({ id }) => id === 'dissolve')!
    expect(dissolve).toMatchObject({ watch: { vessel: 'lye', most: 38 } })
    expect(dissolve.says).toMatch(/^Sprinkle the lye/)
    expect(plan.steps.find(({ id }) => id === 'combine')!.how).toMatch(/the one exception/)
    expect(plannedFrom(document).plan.steps.find(({ id }) => id === 'combine')!.says).toMatch(
      /^Lye into the oils/,
    )
  })

  it('milk into cooled lye waits for the lye and is stirred in under the guard', () => {
    const list = ids({
      ...base,
      liquids: [{ id: 'goat-milk', share: 0.5, moment: 'lye', way: 'into-cooled-lye' }],
    })
    expect(place(list, 'dissolve')).toBeLessThan(place(list, 'cool:lye'))
    expect(place(list, 'cool:lye')).toBeLessThan(place(list, 'stir:liquid:goat-milk'))
  })

  it('oils melted by the lye need no waiting, unless there is milk', () => {
    const { plan } = plannedFrom(base, { meltBy: 'lye' })
    expect(plan.steps.find(({ id }) => id === 'melt')!.after).toContain('dissolve')
    const milky = plannedFrom(
      { ...base, liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }] },
      { meltBy: 'lye' },
    )
    expect(milky.plan.steps.find(({ id }) => id === 'melt')!.after).not.toContain('dissolve')
  })

  const parts = (water: boolean): FormulaDocument => ({
    ...base,
    scents: [{ id: 'rain', name: 'Rain', rate: 0.03, of: 'oils', moment: 'trace' }],
    parts: [
      {
        name: 'pale',
        share: 0.6,
        scent: true,
        additives: [],
        ...(water ? { water: { held: 'ratio' as const, value: 1.5 } } : {}),
      },
      {
        name: 'dark',
        share: 0.4,
        scent: false,
        additives: [{ id: 'activated-charcoal', grams: 2, carrier: null }],
      },
    ],
  })

  it('pots with water of their own have lye of their own and divide the oils only', () => {
    const list = ids(parts(true))
    expect(list).toEqual(
      expect.arrayContaining(['weigh:naoh@0', 'weigh:naoh@1', 'weigh:share:oils@0', 'combine@1']),
    )
    expect(list).not.toContain('weigh:share:lye@0')
  })

  it('other pots are divided as batter, or up front by choice', () => {
    expect(ids(parts(false))).toContain('weigh:share:batter@1')
    const upfront = ids(parts(false), { divide: 'upfront' })
    expect(upfront).toEqual(expect.arrayContaining(['weigh:share:lye@0', 'weigh:share:oils@1']))
    expect(upfront).toContain('weigh:scent:rain@0')
    expect(upfront).not.toContain('weigh:scent:rain@1')
  })

  it('divided unevenly, each pot has the superfat of what is really in it', () => {
    const { ctx, plan } = plannedFrom(parts(false), { divide: 'upfront' })
    const weights = (step: Step) =>
      step.weigh!.kind === 'share' && step.weigh!.id === 'lye'
        ? step.weigh!.grams + (step.weigh!.pot === 0 ? 5 : -5)
        : step.weigh!.grams
    const [pale, dark] = potsAsWeighed(ctx, plan, weights)
    const whole = asWeighed(ctx, plan, weights)
    expect(pale!.superfat).toBeLessThan(whole.superfat)
    expect(dark!.superfat).toBeGreaterThan(whole.superfat)
    expect(dark!.scent).toBe(0)
  })
})

describe('a plan changed before the start', () => {
  it('takes the maker’s order as far as nothing is missing', () => {
    const usual = ids(base)
    const order = ['weigh:fat:tallow', 'weigh:fat:olive', 'melt', ...usual]
    const list = ids(base, { order: [...new Set(order)] })
    expect(list[0]).toBe('weigh:fat:tallow')
    expect(place(list, 'melt')).toBeLessThan(place(list, 'weigh:fat:olive'))
    expect(place(list, 'gate')).toBeLessThan(place(list, 'weigh:naoh'))
  })

  it('leaves out what may be left out, never what is needed, and keeps own steps', () => {
    const list = ids(base, {
      leftOut: ['mould', 'weigh:naoh', 'rinse'],
      own: [{ id: 'own:1', after: 'meet', says: 'Photograph the pan', minutes: 1 }],
    })
    expect(list).not.toContain('mould')
    expect(list).toEqual(expect.arrayContaining(['weigh:naoh', 'rinse']))
    expect(place(list, 'own:1')).toBe(place(list, 'meet') + 1)
  })

  it('a step may not move before what it waits for', () => {
    const { steps } = plannedFrom(base).plan
    const at = (id: string) => steps.findIndex((step) => step.id === id)
    expect(mayMove(steps, at('dissolve'), at('weigh:naoh'))).toBe(false)
    expect(mayMove(steps, at('weigh:fat:tallow'), at('weigh:water'))).toBe(true)
    expect(mayMove(steps, at('gate'), 3)).toBe(false)
  })
})
