import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '../../tests/support/runs'
import { acids, isCitric, naohPerGramOfAcid, type Acid } from './acids'
import { naohPerGramOfFat, pureAlkaliIn, usualKohPurity, weighAlkali } from './alkali'
import { atomicMass, molarMass, naohPerKoh } from './elements'
import {
  fattyAcidFraction,
  fattyAcidMolarMass,
  fattyAcidNames,
  fattyAcids,
  meanFattyAcidMass,
  saponificationValueOf,
  triglycerideMass,
} from './fattyAcids'
import { superfatAsWeighed } from './superfat'

/* Against handbook values and sums worked by hand, never against what the code itself says elsewhere. */

describe('masses', () => {
  it('are those of the handbook', () => {
    expect(molarMass).toEqual({ naoh: 39.997, koh: 56.1056, water: 18.015 })
    expect(atomicMass).toEqual({ carbon: 12.011, hydrogen: 1.008, oxygen: 15.999 })
    expect(naohPerKoh).toBeCloseTo(0.712888, 6)
    // Na 22.990 and K 39.098 with O and H.
    expect(22.99 + atomicMass.oxygen + atomicMass.hydrogen).toBeCloseTo(molarMass.naoh, 2)
    expect(39.098 + atomicMass.oxygen + atomicMass.hydrogen).toBeCloseTo(molarMass.koh, 2)
  })

  it.each([
    ['caprylic', 144.21],
    ['capric', 172.27],
    ['lauric', 200.32],
    ['myristic', 228.37],
    ['palmitic', 256.43],
    ['stearic', 284.48],
    ['arachidic', 312.54],
    ['behenic', 340.58],
    ['palmitoleic', 254.41],
    ['oleic', 282.46],
    ['gondoic', 310.51],
    ['erucic', 338.57],
    ['linoleic', 280.45],
    ['linolenic', 278.43],
    ['ricinoleic', 298.46],
  ] as const)('%s acid weighs %d g a mole', (acid, grams) => {
    expect(Math.abs(fattyAcidMolarMass(acid) - grams)).toBeLessThan(0.03)
  })
  it('every fatty acid is among them', () => {
    expect(fattyAcidNames).toHaveLength(15)
    expect(Object.keys(fattyAcids)).toEqual(fattyAcidNames)
  })
})

describe('acids', () => {
  it.each([
    ['citric-anhydrous', 0.62455],
    ['citric-monohydrate', 0.57101],
    ['lactic', 0.44403],
    ['ascorbic', 0.2271],
    ['acetic', 0.66604],
    ['tartaric', 0.53299],
    ['bicarbonate', 0.476],
    ['borax', 0.21],
  ] as const)('a gram of %s takes %d g of soda', (acid, grams) => {
    expect(naohPerGramOfAcid(acid)).toBeCloseTo(grams, 3)
    expect(naohPerGramOfAcid(acid, 0.05)).toBeCloseTo(grams * 0.05, 4)
  })
  it('citric acid is known with and without its water', () => {
    const citric = (Object.keys(acids) as Acid[]).filter(isCitric)
    expect(citric).toEqual(['citric-anhydrous', 'citric-monohydrate'])
    expect(isCitric(null)).toBe(false)
  })
})

describe('lye', () => {
  const soda = { naohPurity: 1, kohShare: 0, kohPurity: 0.9, solutionStrength: null }
  it('a gram of olive oil of 190 takes 0.13545 g', () => {
    expect(naohPerGramOfFat(190)).toBeCloseTo(0.13545, 5)
    expect(usualKohPurity).toBe(0.9)
  })
  it('is weighed at its purity, or as what a solution holds', () => {
    expect(weighAlkali(98, { ...soda, naohPurity: 0.98 })).toMatchObject({
      naoh: 100,
      koh: 0,
      solution: null,
      waterInSolution: 0,
    })
    expect(weighAlkali(100, { ...soda, naohPurity: 0.9, solutionStrength: 0.4 })).toEqual({
      pureNaoh: 100,
      pureKoh: 0,
      naoh: 0,
      koh: 0,
      solution: 250,
      waterInSolution: 150,
    })
  })
  it('a tenth of the moles as potash: 122.882 g of soda and 21.281 g of potash for 136.536', () => {
    const { naoh, koh, pureKoh } = weighAlkali(136.536, { ...soda, kohShare: 0.1 })
    expect(naoh).toBeCloseTo(122.882, 3)
    expect(koh).toBeCloseTo(21.281, 3)
    expect(pureKoh).toBeCloseTo(21.281 * 0.9, 3)
  })
  it('what is on the scale says how much pure alkali it is, whatever the mix', () => {
    const purity = fc.double({ min: 0.8, max: 1, noNaN: true })
    const choices = fc.record({
      naohPurity: purity,
      kohPurity: purity,
      kohShare: fc.double({ min: 0, max: 1, noNaN: true }),
      solutionStrength: fc.option(fc.double({ min: 0.2, max: 0.55, noNaN: true })),
    })
    fc.assert(
      fc.property(choices, fc.double({ min: 1, max: 5000, noNaN: true }), (choice, pure) => {
        const { naoh, koh, solution } = weighAlkali(pure, choice)
        return Math.abs(pureAlkaliIn((solution ?? naoh) + koh, choice) - pure) < 1e-6 * pure
      }),
      runs(100),
    )
    expect(pureAlkaliIn(100, { ...soda, naohPurity: 0.98 })).toBeCloseTo(98, 9)
    expect(pureAlkaliIn(100, { ...soda, solutionStrength: 0.5 })).toBeCloseTo(50, 9)
    // All potash: 100 g at 90 % are 90 · 0.712888 g of soda.
    expect(pureAlkaliIn(100, { ...soda, kohShare: 1 })).toBeCloseTo(64.16, 2)
  })
})

describe('what a profile says of a fat', () => {
  it('all oleic: triolein of 885.4 g a mole and a value of 190.1', () => {
    expect(saponificationValueOf({ oleic: 1 })).toBeCloseTo(190.1, 1)
    expect(triglycerideMass(190.1)).toBeCloseTo(885.4, 1)
    expect(saponificationValueOf({ oleic: 1 }, 0, 'free-acid')).toBeCloseTo(198.6, 1)
    expect(saponificationValueOf({ oleic: 1 }, 0.1)).toBeCloseTo(171.1, 1)
  })
  it('fractions count by moles, and their sum does not matter', () => {
    // 0.5/200.32 + 0.5/282.46 mol a gram: 234.4 g a mole.
    expect(meanFattyAcidMass({ lauric: 0.5, oleic: 0.5 })).toBeCloseTo(234.4, 1)
    expect(meanFattyAcidMass({ lauric: 0.3, oleic: 0.3 })).toBeCloseTo(234.4, 1)
    expect(meanFattyAcidMass({})).toBeNaN()
  })
  it('coconut of 257: 654.9 g a mole, 0.9419 of it fatty acids', () => {
    expect(triglycerideMass(257)).toBeCloseTo(654.9, 1)
    expect(fattyAcidFraction(257)).toBeCloseTo(0.9419, 4)
  })
})

describe('superfat from the scale', () => {
  const fats = [
    { grams: 450, sap: 190 },
    { grams: 250, sap: 257 },
    { grams: 200, sap: 180 },
    { grams: 100, sap: 180 },
  ]
  it('full demand 145.251 g: none over; 136.536 g: 6 %; more: lye left over', () => {
    const of = (grams: number, purity = 1) => superfatAsWeighed({ fats, naoh: { grams, purity } })
    expect(of(145.251)).toBeCloseTo(0, 5)
    expect(of(136.536)).toBeCloseTo(0.06, 5)
    expect(of(136.536 / 0.98, 0.98)).toBeCloseTo(0.06, 5)
    expect(of(150)).toBeCloseTo(-0.0327, 4)
    expect(superfatAsWeighed({ fats: [], naoh: { grams: 1, purity: 1 } })).not.toBeGreaterThan(0)
  })
  it('potash, acids and sour liquids count by their groups', () => {
    expect(
      superfatAsWeighed({
        fats,
        naoh: { grams: 122.882, purity: 1 },
        koh: { grams: 21.281, purity: 0.9 },
      }),
    ).toBeCloseTo(0.06, 5)
    // Tallow 1200, coconut 600, rapeseed 600 at 3 %, 36 g of citric acid, soda of 98 %: 378.995 g.
    const soap = [
      { grams: 1200, sap: 198 },
      { grams: 600, sap: 257 },
      { grams: 600, sap: 188 },
    ]
    const naoh = { grams: 378.995, purity: 0.98 }
    const acid = { acid: 'citric-anhydrous' as const, grams: 36 }
    expect(superfatAsWeighed({ fats: soap, naoh, acids: [acid] })).toBeCloseTo(0.03, 4)
    const half = { ...acid, grams: 72, strength: 0.5 }
    expect(superfatAsWeighed({ fats: soap, naoh, acids: [half] })).toBeCloseTo(0.03, 4)
    // 100 g of vinegar of 5 % take 3.33 g of soda of 145.251.
    const sour = [{ grams: 100, naohPerGram: 0.0333 }]
    const full = { grams: 145.251, purity: 1 }
    expect(superfatAsWeighed({ fats, naoh: full, sour })).toBeCloseTo(3.33 / 145.251, 4)
  })
})
