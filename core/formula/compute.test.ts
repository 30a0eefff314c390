import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { fattyAcidFraction, triglycerideMass } from '../chemistry/fattyAcids'
import { library } from '../materials/library'
import { blankFormula } from './blank'
import { computeFormula } from './compute'
import { faultsInFormula } from './faults'

const fat = (id: string, grams: number) => ({ id, grams, moment: 'pot' as const, inLye: true })
const share = (id: string, part: number) => ({
  id,
  share: part,
  moment: 'pot' as const,
  inLye: true,
})
const make = (changes: Partial<FormulaDocument>): FormulaDocument => ({
  ...blankFormula('Vector'),
  ...changes,
})
const pure = { naohPurity: 1, kohShare: 0, kohPurity: 0.9, solutionStrength: null }

const vectorA = make({
  fats: [share('olive', 0.45), share('coconut', 0.25), share('shea', 0.2), share('castor', 0.1)],
  superfat: 0.06,
})
const vectorB = make({
  size: { by: 'lines' },
  fats: [fat('tallow', 1200), fat('coconut', 600), fat('rapeseed', 600)],
  superfat: 0.03,
  alkali: { ...pure, naohPurity: 0.98 },
  additives: [{ id: 'citric-acid-anhydrous', rate: 0.015, of: 'oils', carrier: null }],
})

describe('the worked examples', () => {
  it('A: four fats, 6 % superfat, 2.2 to one', () => {
    const { lye, water, batter, fats } = computeFormula(vectorA, library)
    expect(fats.map(({ grams }) => grams)).toEqual([450, 250, 200, 100])
    expect(lye.fullFatDemand).toBeCloseTo(145.251, 3)
    expect(lye.naoh).toBeCloseTo(136.536, 3)
    expect(water.weighed).toBeCloseTo(300.379, 3)
    expect(water.strength).toBeCloseTo(0.3125, 6)
    expect(water.shareOfOils).toBeCloseTo(0.3004, 4)
    expect(batter).toBeCloseTo(1436.9147, 3)
  })

  it('A with a 50 % solution', () => {
    const { lye, water } = computeFormula(
      make({ ...vectorA, alkali: { ...pure, solutionStrength: 0.5 } }),
      library,
    )
    expect(lye.naoh).toBe(0)
    expect(lye.solution).toBeCloseTo(273.072, 3)
    expect(water.weighed).toBeCloseTo(163.843, 3)
  })

  it('B: citric acid, lye 98 % pure', () => {
    const { lye, additives } = computeFormula(vectorB, library)
    expect(additives[0]!.grams).toBeCloseTo(36, 9)
    expect(lye.acidDemand).toBeCloseTo(22.484, 3)
    expect(lye.fullFatDemand).toBeCloseTo(359.723, 3)
    expect(lye.naoh).toBeCloseTo(378.995, 3)
  })

  it('C: molar mass and fatty-acid fraction of coconut oil', () => {
    expect(triglycerideMass(257)).toBeCloseTo(654.9, 1)
    expect(fattyAcidFraction(257)).toBeCloseTo(0.9419, 4)
  })

  it('D: 40 % of the liquid as goat milk in the oils', () => {
    const { liquids, water, superfat } = computeFormula(
      make({
        ...vectorA,
        liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }],
      }),
      library,
    )
    expect(liquids[0]!.grams).toBeCloseTo(126.742, 3)
    expect(water.weighed).toBeCloseTo(190.113, 3)
    expect(water.weighed + liquids[0]!.grams).toBeCloseTo(316.855, 3)
    expect(water.ratioInLye).toBeCloseTo(1.392, 3)
    expect(water.ratio).toBeCloseTo(2.2, 9)
    expect(superfat.total).toBeCloseTo(0.0654, 4)
  })

  it('E: a tenth of the alkali as potash', () => {
    const { lye, water } = computeFormula(
      make({ ...vectorA, alkali: { ...pure, kohShare: 0.1 } }),
      library,
    )
    expect(lye.naoh).toBeCloseTo(122.882, 3)
    expect(lye.koh).toBeCloseTo(21.281, 3)
    expect(water.weighed).toBeCloseTo(312.476, 3)
  })
})

describe('fats at trace', () => {
  it('count in the lye unless the maker says not, and always in the superfat', () => {
    const held = { ...share('shea', 0.2), moment: 'trace' as const }
    const fats = [share('olive', 0.45), share('coconut', 0.25), held, share('castor', 0.1)]
    expect(computeFormula(make({ ...vectorA, fats }), library).lye.naoh).toBeCloseTo(136.536, 3)
    fats[2] = { ...held, inLye: false }
    const { lye, superfat } = computeFormula(make({ ...vectorA, fats }), library)
    // 200 g of shea would take 200·0.18·F = 25.664 g: (145.251 − 25.664)·0.94 = 112.412
    expect(lye.naoh).toBeCloseTo(112.412, 3)
    // 1 − 112.412/145.251
    expect(superfat.total).toBeCloseTo(0.22609, 4)
  })
})

describe('drafts', () => {
  it('compute with what is missing counted as nothing', () => {
    const draft = make({
      fats: [share('olive', 0.5), { ...share('coconut', 0), share: null }],
      scents: [{ id: 'rain', rate: null, of: 'oils', moment: 'trace' }],
    })
    const result = computeFormula(draft, library)
    expect(result.oils).toBe(500)
    expect(result.lye.naoh).toBeCloseTo(500 * 0.19 * 0.712888 * 0.95, 2)
    expect(faultsInFormula(draft, library).map((fault) => fault.path)).toEqual([
      'fats[1].share',
      'scents[0].rate',
    ])
  })

  it('stay finite when empty', () => {
    const result = computeFormula(make({ water: { held: 'shareOfOils', value: 0.33 } }), library)
    expect(JSON.stringify(result)).not.toContain('null,"strength"')
    expect(result.batter).toBe(0)
    expect(result.water.shareOfOils).toBe(0.33)
    expect(Number.isFinite(result.superfat.total)).toBe(true)
  })

  it('name the smallest ratio when the ready-mixed lye brings too much water', () => {
    const tight = make({
      ...vectorA,
      alkali: { ...pure, solutionStrength: 0.4 },
      water: { held: 'ratio', value: 1.2 },
    })
    expect(faultsInFormula(tight, library)).toEqual([
      { path: 'water.value', says: expect.stringContaining('smallest ratio that works is 1.5') },
    ])
  })
})

describe('what nobody knows', () => {
  it('has its id for a name, weighs what it says, and takes nothing', () => {
    const result = computeFormula(
      make({
        fats: [share('olive', 0.9), { ...share('seal', 0.1), sap: 180 }],
        liquids: [{ id: 'sea', grams: 50, moment: 'lye', way: 'poured' }],
        additives: [
          {
            id: 'moss',
            amount: { value: 10, unit: 'ml', per: null },
            carrier: { id: 'whale', ratio: 2, from: 'extra' },
          },
        ],
        scents: [{ id: 'mist', grams: 10, moment: 'trace' }],
      }),
      library,
    )
    const { fats, liquids, additives, carriers, scents, lye, unknownFats } = result
    expect([fats[1]!.name, liquids[0]!.name, additives[0]!.name, carriers[0]!.name]).toEqual([
      'seal',
      'sea',
      'moss',
      'whale',
    ])
    expect(scents[0]!.name).toBe('mist')
    // A liquid nobody knows is water, an extra has the density of it and goes in at trace.
    expect(liquids[0]).toMatchObject({ waterGrams: 50, fatGrams: 0, naohTaken: 0 })
    expect(additives[0]).toMatchObject({ grams: 10, naohTaken: 0, fatGrams: 0, moment: 'trace' })
    expect(carriers[0]!.grams).toBe(20)
    expect(lye.acidDemand).toBe(0)
    expect(unknownFats).toEqual([])
    const open = computeFormula(make({ fats: [share('olive', 0.9), share('seal', 0.1)] }), library)
    expect(open.unknownFats).toEqual(['seal'])
    expect([open.lye.pureAsNaoh, open.lye.naoh, open.water.ratioInLye]).toEqual([0, 0, 0])
    expect(open.superfat.total).toBe(open.superfat.asked)
  })
})

describe('what is in a batter, by hand', () => {
  const olive = make({
    fats: [share('olive', 1)],
    superfat: 0.05,
    water: { held: 'ratio', value: 2 },
  })

  it('its fatty acids: triglycerides by their value, free acids whole, waxes what is no alcohol', () => {
    const matter = (changes: Partial<FormulaDocument>) =>
      computeFormula(make({ ...olive, ...changes }), library).fattyMatter
    expect(matter({})).toBeCloseTo(1000 * fattyAcidFraction(190), 6)
    expect(matter({ fats: [share('olive', 0.9), share('stearic-acid', 0.1)] })).toBeCloseTo(
      900 * fattyAcidFraction(190) + 100,
      6,
    )
    const wax = library.fats.get('beeswax')!
    expect(wax.chemistry).toBe('wax-ester')
    expect(matter({ fats: [share('olive', 0.9), share('beeswax', 0.1)] })).toBeCloseTo(
      900 * fattyAcidFraction(190) + 100 * (1 - wax.unsaponifiables.value),
      6,
    )
    // The fat of milk, of its powder, and oil for a colour.
    const milk = library.liquids.get('goat-milk')!
    const powder = library.additives.get('cow-milk-powder')!
    expect(
      matter({
        liquids: [{ id: 'goat-milk', grams: 100, moment: 'oils', way: 'poured' }],
        additives: [
          { id: 'cow-milk-powder', grams: 50, carrier: null },
          { id: 'rose-clay', grams: 10, carrier: { id: 'olive', ratio: 2, from: 'extra' } },
          { id: 'sugar', grams: 10, carrier: { id: 'olive', ratio: 2, from: 'formula' } },
        ],
      }),
    ).toBeCloseTo(
      1020 * fattyAcidFraction(190) +
        100 * milk.fat * fattyAcidFraction(milk.fatSap) +
        50 * powder.fat! * fattyAcidFraction(powder.fatSap!),
      6,
    )
  })

  it('the mean profile of its fats, by share', () => {
    const { fattyAcids } = computeFormula(
      make({ fats: [share('olive', 0.75), share('coconut', 0.25)] }),
      library,
    )
    const [a, b] = ['olive', 'coconut'].map((id) => library.fats.get(id)!.profile.value)
    expect(fattyAcids.oleic).toBeCloseTo(0.75 * a!.oleic! + 0.25 * b!.oleic!, 9)
    expect(fattyAcids.lauric).toBeCloseTo(0.25 * b!.lauric!, 9)
  })

  it('the bar when long dried, and the share of a scent in it', () => {
    const { batter, water, longDried, scents } = computeFormula(
      make({
        ...olive,
        scents: [{ id: 'rain', grams: 30, moment: 'trace', maxOfBar: 0.04 }],
      }),
      library,
    )
    // 1000 + 128.6763 + 257.3526 + 30; all but the water, over 93 %
    expect(batter).toBeCloseTo(1416.0289, 3)
    expect(longDried).toBeCloseTo((1416.0289 - 257.3526) / 0.93, 3)
    expect(scents[0]).toMatchObject({
      shareOfBar: expect.closeTo(30 / longDried, 9),
      maxOfBar: 0.04,
    })
    expect(water.content).toBeCloseTo(257.3526, 3)
    // So dry a batter never grows heavier.
    const dry = computeFormula(make({ ...olive, water: { held: 'ratio', value: 0.1 } }), library)
    expect(dry.longDried).toBe(dry.batter)
    const none = computeFormula(
      make({ fats: [], scents: [{ id: 'rain', rate: 0.1, of: 'oils', moment: 'trace' }] }),
      library,
    )
    expect(none.scents[0]!.shareOfBar).toBe(0)
  })

  it('a rate of the batter is of the whole, itself and the lye of a sour liquid included', () => {
    const result = computeFormula(
      make({
        ...olive,
        liquids: [{ id: 'vinegar-5', share: 0.5, moment: 'lye', way: 'poured' }],
        additives: [{ id: 'sugar', rate: 0.02, of: 'batter', carrier: null }],
        scents: [{ id: 'rain', rate: 0.03, of: 'batter', moment: 'trace' }],
      }),
      library,
    )
    expect(result.additives[0]!.grams).toBeCloseTo(result.batter * 0.02, 9)
    expect(result.scents[0]!.grams).toBeCloseTo(result.batter * 0.03, 9)
    expect(result.lye.acidDemand).toBeCloseTo(result.liquids[0]!.naohTaken, 9)
    expect(result.water.ratio).toBeCloseTo(2, 9)
    expect(result.superfat.total).toBeCloseTo(0.05, 9)
  })

  it('in the lye jug only what is there while it dissolves', () => {
    const at = (moment: 'lye' | 'oils', way: 'poured' | 'into-cooled-lye' = 'poured') =>
      computeFormula(
        make({ ...olive, liquids: [{ id: 'beer', share: 0.5, moment, way }] }),
        library,
      ).water
    expect(at('lye').ratioInLye).toBeCloseTo(2, 9)
    expect(at('oils').ratioInLye).toBeCloseTo(at('lye', 'into-cooled-lye').ratioInLye, 9)
    expect(at('oils').ratioInLye).toBeLessThan(1.1)
    // A ready-mixed lye brings its own.
    const mixed = computeFormula(
      make({ ...olive, alkali: { ...pure, solutionStrength: 0.5 } }),
      library,
    ).water
    expect(mixed.inSolution).toBeCloseTo(128.6763, 3)
    expect(mixed.weighed).toBeCloseTo(128.6763, 3)
    expect(mixed.ratioInLye).toBeCloseTo(2, 9)
    expect(mixed.smallestRatio).toBeCloseTo(1, 9)
    expect(computeFormula(olive, library).water.smallestRatio).toBeNull()
  })
})
