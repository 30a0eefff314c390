import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import { anyFormula } from '../../tests/support/anyFormula'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { faultsInFormula } from '../formula/faults'
import { library } from '../materials/library'
import { freeze } from '../batch/freeze'
import { closedForm } from './closedForm'
import { drawSuperfats, joinDraws, type Draws, type Straying } from './draws'
import { lyeRisk, type LyeRisk } from './lyeRisk'
import { lyeHeavyOdds } from './odds'
import { uncertaintyOf, type Uncertainty } from './uncertainty'
import { mean, sum, sumOf } from '../statistics/sum'
import { runs } from '../../tests/support/runs'

/** The check case of docs/science.md: four fats, purity 0.9875 assumed and real, a scale of 1 g. */
const check = (superfat: number): Uncertainty => ({
  fats: [
    { name: 'olive', grams: 450, sap: 190, below: 3, above: 3 },
    { name: 'coconut', grams: 250, sap: 257, below: 4.25, above: 4.25 },
    { name: 'shea', grams: 200, sap: 180, below: 5, above: 5 },
    { name: 'castor', grams: 100, sap: 180, below: 2.75, above: 2.75 },
  ],
  alkalis: [
    {
      name: 'lye',
      grams: (145.2509 * (1 - superfat)) / 0.9875,
      purities: [{ purity: 0.9875, sigma: 0.00375 }],
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

/** Each fat by itself, and normal on either side: what the closed form knows. */
const apart: Straying = { together: 0, tails: false }

describe('the check case', () => {
  const spread = check(0.06)
  const count = 60_000
  let draws: Draws
  let summed: LyeRisk
  beforeAll(() => {
    draws = drawSuperfats(spread, count, 7, apart)
    summed = lyeRisk(draws, spread, 0.06, 0.001)
  })

  it('has a spread of 1.014 points, by closed form and by draws', () => {
    expect(closedForm(spread).sigma * 100).toBeCloseTo(1.014, 2)
    expect(sigma(draws.superfats) * 100).toBeCloseTo(1.014, 2)
  })

  it.each([
    ['each fat by itself', apart, 3.2, 2.4],
    ['fats that stray together', { together: 0.3, tails: false }, 4.1, 3.1],
    ['together and with tails, as lots do', undefined, 4.6, 3.1],
  ] as const)('needs for 1 in 1,000 and 1 in 100, %s', (_, how, thousand, hundred) => {
    const drawn = drawSuperfats(spread, 400_000, 7, how)
    const smallest = (risk: number) => lyeRisk(drawn, spread, 0.06, risk).smallest * 100
    expect(Math.abs(smallest(0.001) - thousand)).toBeLessThan(0.15)
    expect(Math.abs(smallest(0.01) - hundred)).toBeLessThan(0.15)
  })

  it('at the smallest superfat the chance is the chosen one', () => {
    const { smallest } = lyeRisk(drawSuperfats(spread, count, 7), spread, 0.06, 0.01)
    const at = check(smallest)
    const again = lyeRisk(drawSuperfats(at, count, 8), at, smallest, 0.01)
    expect(again.lyeHeavy).toBeGreaterThan(0.008)
    expect(again.lyeHeavy).toBeLessThan(0.012)
  })

  it('says median, range and what counts most: olive, then coconut, then shea', () => {
    expect(summed.median).toBeCloseTo(0.06, 3)
    expect(summed.low).toBeCloseTo(0.06 - 1.645 * 0.01014, 3)
    expect(summed.high).toBeCloseTo(0.06 + 1.645 * 0.01014, 3)
    expect(summed.sources.slice(0, 3).map(({ name }) => name)).toEqual(['olive', 'coconut', 'shea'])
    expect(sumOf(summed.sources, ({ share }) => share)).toBeCloseTo(1, 9)
    expect(sum(summed.histogram.counts)).toBe(count)
  })

  it('is told on the footing of the formula: lye taken as pure needs less', () => {
    // Weighed as if pure: 1.25 % less lye is in it, so less superfat need be planned.
    const pure = { ...spread, alkalis: [{ ...spread.alkalis[0]!, grams: 145.2509 * 0.94 }] }
    const { smallest, median } = lyeRisk(drawSuperfats(pure, count, 7, apart), pure, 0.06, 0.001)
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
      fats: spread.fats.map((fat) => ({ ...fat, below: 0, above: 0 })),
      alkalis: [{ ...spread.alkalis[0]!, grams: 100, purities: [{ purity: 1, sigma: 0.05 }] }],
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
        const { superfats } = drawSuperfats(spread, count, seed++, apart)
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

  const near = (value: number) => expect.closeTo(value, 9) as number
  it('are published ranges as two sigmas to each side, and lye by its age', () => {
    const { typical, low, high } = library.fats.get('olive')!.sap
    expect(spread().fats[0]).toMatchObject({
      sap: typical,
      below: near((typical - low) / 2),
      above: near((high - typical) / 2),
    })
    expect(spread().fats[1]).toMatchObject({ sap: 200, below: 0.5, above: 0.5 })
    expect(spread().alkalis[0]!.purities).toEqual([{ purity: 0.9875, sigma: near(0.00375) }])
    expect(spread({}, 'old').alkalis[0]!.purities).toEqual([
      { purity: near(0.96), sigma: near(0.01) },
    ])
  })

  it('a purity stated below 98 % is as likely that of fresh lye: then too much of it is weighed', () => {
    const weak = spread({ alkali: { ...formula.alkali, naohPurity: 0.9 } })
    expect(weak.alkalis[0]!.purities).toEqual([
      { purity: 0.9, sigma: near(0.0045) },
      { purity: 0.9875, sigma: near(0.00375) },
    ])
    const { lyeHeavy, median } = lyeRisk(drawSuperfats(weak, 40_000, 1), weak, 0.05, 0.01)
    // Weighed for 90 %: with fresh lye 1 − 0.95 · 0.9875/0.9 = −4.2 %, so nearly half of the batches are lye-heavy.
    expect(lyeHeavy).toBeGreaterThan(0.48)
    expect(lyeHeavy).toBeLessThan(0.51)
    expect(median).toBeLessThan(0.05)
    const usual = spread({ alkali: { ...formula.alkali, naohPurity: 0.98 } })
    expect(usual.alkalis[0]!.purities).toHaveLength(1)
  })

  it('reaches further to the side to which the range does', () => {
    const one = spread({ fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }] })
    const skewed = {
      ...one,
      scale: 1e-9,
      fats: [{ ...one.fats[0]!, below: 4, above: 1 }],
      alkalis: [{ ...one.alkalis[0]!, purities: [{ purity: 0.9875, sigma: 0 }] }],
    }
    const all = drawSuperfats(skewed, 40_000, 3).superfats.sort()
    const middle = all[20_000]!
    const ratio = (middle - all[400]!) / (all[39_600]! - middle)
    expect(ratio).toBeGreaterThan(3)
    expect(ratio).toBeLessThan(5)
  })

  it('odds of a batch are those of its draws, and none for a thick superfat', () => {
    const document: FormulaDocument = {
      ...formula,
      fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
    }
    const frozen = freeze(document, library)
    const odds = (superfat: number) => lyeHeavyOdds(frozen, superfat, 0.1)
    const own = uncertaintyOf(document, frozen.result, library, 0.1, 'fresh')
    const draws = drawSuperfats(own, 60_000, 9)
    const planned = frozen.result.superfat.total
    expect(odds(planned)).toBeCloseTo(lyeRisk(draws, own, planned, 0.01).lyeHeavy, 2)
    const { smallest } = lyeRisk(draws, own, planned, 0.05)
    expect(odds(smallest)).toBeGreaterThan(0.043)
    expect(odds(smallest)).toBeLessThan(0.057)
    expect(odds(0.2)).toBe(0)
    expect(odds(-0.05)).toBeGreaterThan(0.95)
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
