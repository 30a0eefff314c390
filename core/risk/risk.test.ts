import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import { anyFormula } from '../../tests/support/anyFormula'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { faultsInFormula } from '../formula/faults'
import { library } from '../materials/library'
import { closedForm } from './closedForm'
import { drawSuperfats, joinDraws } from './draws'
import { lyeRisk } from './lyeRisk'
import { uncertaintyOf, type Uncertainty } from './uncertainty'
import { mean, sum, sumOf } from '../statistics/sum'
import { runs } from '../../tests/support/runs'

/** The check case of docs/science.md: four fats, purity 0.9875 assumed and real, a scale of 1 g. */
const check = (superfat: number): Uncertainty => ({
  fats: [
    { name: 'olive', grams: 450, sap: 190, sigma: 3 },
    { name: 'coconut', grams: 250, sap: 257, sigma: 4.25 },
    { name: 'shea', grams: 200, sap: 180, sigma: 5 },
    { name: 'castor', grams: 100, sap: 180, sigma: 2.75 },
  ],
  alkalis: [
    {
      name: 'lye',
      grams: (145.2509 * (1 - superfat)) / 0.9875,
      purity: 0.9875,
      sigma: 0.00375,
      asNaoh: 1,
    },
  ],
  acids: 0,
  scale: 1,
})
const sigma = (values: Float64Array) => {
  const middle = mean(values)
  return Math.sqrt(mean(values.map((value) => (value - middle) ** 2)))
}

describe('the check case', () => {
  const spread = check(0.06)
  const draws = drawSuperfats(spread, 200_000, 7)
  const summed = lyeRisk(draws, spread, 0.06, 0.001)

  it('has a spread of 1.014 points, by closed form and by draws', () => {
    expect(closedForm(spread).sigma * 100).toBeCloseTo(1.014, 2)
    expect(sigma(draws.superfats) * 100).toBeCloseTo(1.014, 2)
  })

  it('needs about 3.3 % for one lye-heavy batch in a thousand', () => {
    expect(summed.smallest).toBeGreaterThan(0.0315)
    expect(summed.smallest).toBeLessThan(0.0345)
    const at = check(summed.smallest)
    const again = lyeRisk(drawSuperfats(at, 200_000, 8), at, summed.smallest, 0.001)
    expect(again.lyeHeavy).toBeGreaterThan(0.0006)
    expect(again.lyeHeavy).toBeLessThan(0.0015)
  })

  it('says median, range and what counts most: olive, then coconut, then shea', () => {
    expect(summed.median).toBeCloseTo(0.06, 3)
    expect(summed.low).toBeCloseTo(0.06 - 1.645 * 0.01014, 3)
    expect(summed.high).toBeCloseTo(0.06 + 1.645 * 0.01014, 3)
    expect(summed.sources.slice(0, 3).map(({ name }) => name)).toEqual(['olive', 'coconut', 'shea'])
    expect(sumOf(summed.sources, ({ share }) => share)).toBeCloseTo(1, 9)
    expect(sum(summed.histogram.counts)).toBe(200_000)
  })

  it('is told on the footing of the formula: lye taken as pure needs less', () => {
    // Weighed as if pure: 1.25 % less lye is in it, so less superfat need be planned.
    const pure = { ...spread, alkalis: [{ ...spread.alkalis[0]!, grams: 145.2509 * 0.94 }] }
    const { smallest, median } = lyeRisk(drawSuperfats(pure, 100_000, 7), pure, 0.06, 0.001)
    expect(median).toBeCloseTo(1 - 0.94 * 0.9875, 3)
    expect(smallest).toBeCloseTo(1 - (1 - summed.smallest) / 0.9875, 3)
  })
})

describe('draws', () => {
  it('are the same for the same seed and others for another', () => {
    const spread = check(0.05)
    const figures = (seed: number) => [...drawSuperfats(spread, 500, seed).superfats]
    expect(figures(1)).toEqual(figures(1))
    expect(figures(1)).not.toEqual(figures(2))
  })

  it('of several lots are one', () => {
    const lots = [1, 2].map((seed) => drawSuperfats(check(0.05), 3, seed))
    const joined = joinDraws(lots)
    expect([...joined.superfats]).toEqual(lots.flatMap(({ superfats }) => [...superfats]))
    expect(joined.needed).toHaveLength(6)
  })

  it('keep purity at 1 or below', () => {
    const spread = check(0)
    const sure: Uncertainty = {
      ...spread,
      scale: 1e-9,
      fats: spread.fats.map((fat) => ({ ...fat, sigma: 0 })),
      alkalis: [{ ...spread.alkalis[0]!, grams: 100, purity: 1, sigma: 0.05 }],
    }
    const { superfats } = drawSuperfats(sure, 20_000, 3)
    // 100 g at most pure against 145.25: no batch below 31.1 % but for the weighing's half per mille
    expect(Math.min(...superfats)).toBeGreaterThan(1 - 100 / 145.2509 - 0.004)
  })

  it('agree with the closed form over fifty random formulas', () => {
    let seed = 1
    fc.assert(
      fc.property(anyFormula, (document) => {
        fc.pre(faultsInFormula(document, library).length === 0)
        const result = computeFormula(document, library)
        const spread = uncertaintyOf(document, result, library, 0.1, 'fresh')
        const count = 20_000
        const { superfats } = drawSuperfats(spread, count, seed++)
        const form = closedForm(spread)
        // Five standard errors, and what the closed form leaves out: the fourth power of how far the fats' demand strays.
        const relative = form.sigma / (1 - form.mean)
        const error = (5 * form.sigma) / Math.sqrt(count) + 10 * relative ** 4 + 0.0005
        return Math.abs(mean(superfats) - form.mean) < error
      }),
      runs(20),
    )
  })
})

describe('what is known of a formula', () => {
  const formula: FormulaDocument = {
    ...blankFormula('Known'),
    fats: [
      { id: 'olive', share: 0.8, moment: 'pot', inLye: true },
      { id: 'own-oil', name: 'Shed oil', sap: 200, share: 0.2, moment: 'pot', inLye: true },
    ],
  }
  const spread = (changes: Partial<FormulaDocument> = {}, age: 'fresh' | 'old' = 'fresh') => {
    const document = { ...formula, ...changes }
    return uncertaintyOf(document, computeFormula(document, library), library, 0.1, age)
  }

  it('are published ranges as four sigmas, and lye by its age', () => {
    expect(spread().fats[0]).toMatchObject({ sap: 190, sigma: 3 })
    expect(spread().fats[1]).toMatchObject({ sap: 200, sigma: 0.5 })
    expect(spread().alkalis[0]).toMatchObject({
      purity: 0.9875,
      sigma: expect.closeTo(0.00375, 9) as number,
    })
    expect(spread({}, 'old').alkalis[0]).toMatchObject({
      purity: 0.96,
      sigma: expect.closeTo(0.01, 9) as number,
    })
  })

  it('takes milk fat, potash and ready-mixed lye into account', () => {
    const milk = spread({
      liquids: [{ id: 'goat-milk', share: 0.5, moment: 'oils', way: 'poured' }],
    })
    expect(milk.fats.at(-1)!.name).toBe('fat of Goat milk')
    const potash = spread({ alkali: { ...formula.alkali, kohShare: 0.2, solutionStrength: 0.5 } })
    expect(potash.alkalis.map(({ name }) => name)).toEqual([
      'Ready-mixed lye',
      'Purity of the potash',
    ])
  })

  it('says nothing of an empty pot', () => {
    const empty = spread({ fats: [] })
    expect(lyeRisk(drawSuperfats(empty, 100, 1), empty, 0, 0.001).draws).toBe(0)
  })
})
