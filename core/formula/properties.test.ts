import type { FormulaDocument } from '#contracts/formula'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { superfatAsWeighed } from '../chemistry/superfat'
import { library } from '../materials/library'
import { ratioFrom, waysFrom } from '../water/ways'
import { blankFormula } from './blank'
import { computeFormula } from './compute'
import { holdWater, scaleFormula, toGrams, toShares } from './edit'
import { faultsInFormula } from './faults'
import { onScale } from './onScale'
import { remarksOn } from '../remarks'
import { sum } from '../statistics/sum'

const fatIds = [...library.fats.keys()]
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })

/** Valid formulas by grams over every feature of the document that exists. */
const formulas: fc.Arbitrary<FormulaDocument> = fc
  .record({
    fats: fc.array(
      fc.record({
        id: fc.constantFrom(...fatIds),
        grams: between(1, 5000),
        moment: fc.constantFrom('pot' as const, 'trace' as const),
      }),
      { minLength: 1, maxLength: 20 },
    ),
    superfat: between(0, 0.3),
    naohPurity: between(0.8, 1),
    kohShare: fc.oneof(fc.constant(0), between(0, 1)),
    kohPurity: between(0.8, 1),
    solutionStrength: fc.oneof(fc.constant(null), between(0.3, 0.5)),
    ratio: between(2.5, 4),
    milk: fc.oneof(fc.constant(0), between(0.05, 0.3)),
    citric: fc.oneof(fc.constant(0), between(0.001, 0.02)),
    scent: between(0, 0.06),
  })
  .map((draw) => ({
    ...blankFormula('Drawn'),
    size: { by: 'lines' as const },
    fats: draw.fats.map((line) => ({ ...line, inLye: true })),
    superfat: draw.superfat,
    alkali: {
      naohPurity: draw.naohPurity,
      kohShare: draw.kohShare,
      kohPurity: draw.kohPurity,
      solutionStrength: draw.solutionStrength,
    },
    water: { held: 'ratio' as const, value: draw.ratio },
    liquids: draw.milk
      ? [{ id: 'goat-milk', share: draw.milk, moment: 'oils' as const, way: 'poured' as const }]
      : [],
    additives: draw.citric
      ? [
          {
            id: 'citric-acid-monohydrate',
            rate: draw.citric,
            of: 'oils' as const,
            carrier: null,
          },
        ]
      : [],
    scents: [{ id: 'rain', rate: draw.scent, of: 'oils' as const, moment: 'trace' as const }],
  }))

const weightsOf = (document: FormulaDocument) => {
  const { lye, water, fats, liquids, additives, scents } = computeFormula(document, library)
  const portions = [...fats, ...liquids, ...additives, ...scents].map(({ grams }) => grams)
  return [...portions, lye.naoh, lye.koh, lye.solution ?? 0, water.weighed]
}
const close = (a: number, b: number, tolerance = 1e-9) =>
  Math.abs(a - b) <= tolerance * Math.max(1, Math.abs(a), Math.abs(b))

describe('for any formula', () => {
  it('scaling it scales every weight', () => {
    fc.assert(
      fc.property(formulas, between(0.1, 10), (document, factor) => {
        const before = weightsOf(document)
        const after = weightsOf(scaleFormula(document, factor))
        return before.every((grams, index) => close(grams * factor, after[index]!, 1e-4))
      }),
    )
  })

  it('the weights sum to the batter', () => {
    fc.assert(
      fc.property(formulas, (document) =>
        close(sum(weightsOf(document)), computeFormula(document, library).batter),
      ),
    )
  })

  it('superfat as weighed inverts the lye for a superfat', () => {
    fc.assert(
      fc.property(formulas, (document) => {
        const { fats, liquids, additives, lye, superfat } = computeFormula(document, library)
        const inverse = superfatAsWeighed({
          fats: [
            ...fats.map(({ grams, sap }) => ({ grams, sap })),
            ...liquids.map(({ id, fatGrams }) => ({
              grams: fatGrams,
              sap: library.liquids.get(id)!.fatSap,
            })),
          ],
          acids: additives.map(({ grams }) => ({ acid: 'citric-monohydrate', grams })),
          naoh: { grams: lye.pureNaoh, purity: 1 },
          koh: { grams: lye.koh, purity: document.alkali.kohPurity },
        })
        return (
          close(inverse, superfat.total) &&
          (liquids.length > 0 || close(inverse, document.superfat!))
        )
      }),
    )
  })

  it('lye falls as superfat rises', () => {
    fc.assert(
      fc.property(formulas, between(0.001, 0.2), (document, more) => {
        const lyeAt = (superfat: number) =>
          computeFormula({ ...document, superfat }, library).lye.pureAsNaoh
        return lyeAt(document.superfat! + more) < lyeAt(document.superfat!)
      }),
    )
  })

  it('saying the water another way, whichever is held, changes no weight', () => {
    fc.assert(
      fc.property(
        formulas,
        fc.constantFrom('ratio' as const, 'strength' as const, 'shareOfOils' as const),
        (document, held) => {
          const before = weightsOf(document)
          const after = weightsOf(holdWater(document, held, library))
          return before.every((grams, index) => close(grams, after[index]!, 1e-4))
        },
      ),
    )
  })

  it('shares and grams say the same formula', () => {
    fc.assert(
      fc.property(formulas, (document) => {
        const shares = toShares(document)
        const again = weightsOf(toGrams(shares, library))
        return (
          faultsInFormula(shares, library).every((fault) => !fault.path.startsWith('fats')) &&
          weightsOf(document).every((grams, index) => close(grams, again[index]!, 1e-4))
        )
      }),
    )
  })

  it('remarks never throw, and say stop whenever it is lye-heavy or too dry', () => {
    fc.assert(
      fc.property(formulas, between(-0.4, 0.1), between(0.3, 2), (document, superfat, value) => {
        const risky = { ...document, superfat, water: { held: 'ratio' as const, value } }
        const result = computeFormula(risky, library)
        const ids = remarksOn(risky, result, library).map(({ id }) => id)
        return (
          ids.includes('superfat-negative') === result.superfat.total < -1e-9 &&
          ids.includes('water-below-floor') === value < 1 - 1e-9
        )
      }),
    )
  })

  it('rounding to the scale never adds lye, and both opinions agree', () => {
    fc.assert(
      fc.property(formulas, fc.constantFrom(0.01, 0.1, 1, 5), (document, scale) => {
        fc.pre(document.fats.every(({ grams }) => grams! >= scale))
        const sheet = onScale(document, library, scale)
        const { naoh, solution } = sheet.result.lye
        const onSteps = (grams: number) => close(grams / scale, Math.round(grams / scale), 1e-6)
        return (
          sheet.secondOpinion.agrees &&
          onSteps(naoh) &&
          onSteps(solution ?? 0) &&
          (document.liquids.length > 0 || sheet.superfat >= document.superfat! - 1e-9)
        )
      }),
    )
  })
})

describe('the three waters', () => {
  it('there and back is the identity', () => {
    fc.assert(
      fc.property(between(0.5, 10), between(1, 1000), between(10, 10000), (ratio, lye, oils) => {
        const ways = waysFrom(ratio, lye, oils)
        return (['ratio', 'strength', 'shareOfOils'] as const).every((held) =>
          close(ratioFrom(held, ways[held], lye, oils), ratio, 1e-9),
        )
      }),
    )
  })
})

it('a second opinion of other grams does not agree', () => {
  const document = {
    ...blankFormula('Wrong'),
    fats: [{ id: 'olive', share: 1, moment: 'pot' as const, inLye: true }],
  }
  const sheet = onScale(document, library, 1)
  const { result } = sheet
  result.lye.naoh += 1
  expect(sheet.secondOpinion.agrees).toBe(true)
  const again = superfatAsWeighed({
    fats: [{ grams: 1000, sap: 190 }],
    naoh: { grams: result.lye.naoh, purity: 1 },
  })
  expect(sheet.superfat - again).toBeCloseTo(1 / (1000 * 0.19 * 0.712888), 5)
})
