import type { FormulaDocument, Size } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { blankFormula } from './blank'
import { computeFormula } from './compute'
import { stillOpen } from './draft'
import { scaleFormula } from './edit'
import { faultsInFormula } from './faults'
import { remarksOn } from '../remarks'
import { sizedAs, waterForFattyMatter } from './sizing'

/** Typed in grams to the last thing: nothing of it is a proportion. */
const typed: FormulaDocument = {
  ...blankFormula('Galley soap'),
  size: { by: 'lines' },
  fats: [
    { id: 'olive', grams: 400, moment: 'pot', inLye: true },
    { id: 'coconut', grams: 200, moment: 'pot', inLye: true },
    { id: 'lard', grams: 80, moment: 'pot', inLye: true },
    { id: 'rice-bran', grams: 20, moment: 'pot', inLye: true },
  ],
  water: { held: 'grams', value: 201 },
  iceGrams: 50,
  liquids: [{ id: 'vinegar-5', grams: 60, moment: 'lye', way: 'poured' }],
  additives: [
    { id: 'citric-acid-monohydrate', grams: 7, carrier: null },
    { id: 'rose-clay', amount: { value: 1.5, unit: 'tsp', per: null }, carrier: null },
  ],
  scents: [{ id: 'rain', name: 'Rain', grams: 21, moment: 'trace' }],
}
const sizes: Size[] = [
  { by: 'oils', grams: 1234 },
  { by: 'batter', grams: 2000 },
  { by: 'bars', count: 12, grams: 85 },
  { by: 'fattyMatter', batterGrams: 900, share: 0.6, of: 'oils' },
  { by: 'fattyMatter', batterGrams: 900, share: 0.6, of: 'fattyAcids' },
  {
    by: 'mould',
    mould: { shape: 'box', lengthMm: 195, widthMm: 70, depthMm: 60 },
    fill: 0.9,
  },
  {
    by: 'moulds',
    moulds: [
      { name: 'Squares', mould: { shape: 'cavities', count: 12, millilitres: 90 }, fill: 1 },
    ],
  },
]

describe('a formula typed in grams, sized any other way', () => {
  it.each(sizes.map((size) => [size.by, size] as const))('%s keeps every ratio', (_, size) => {
    const before = computeFormula(typed, library)
    const sized = sizedAs(typed, size, library)
    expect(faultsInFormula(sized, library)).toEqual([])
    const after = computeFormula(sized, library)
    const factor = after.oils / before.oils
    expect(factor).toBeGreaterThan(0.5)
    const close = (is: number, was: number) => expect(is / (was * factor)).toBeCloseTo(1, 9)
    after.fats.forEach(({ grams }, index) => close(grams, before.fats[index]!.grams))
    close(after.lye.naoh, before.lye.naoh)
    close(after.water.weighed, before.water.weighed)
    close(after.water.ice, before.water.ice)
    close(after.liquids[0]!.grams, before.liquids[0]!.grams)
    close(after.additives[0]!.grams, before.additives[0]!.grams)
    close(after.additives[1]!.grams, before.additives[1]!.grams)
    close(after.scents[0]!.grams, before.scents[0]!.grams)
    expect(after.superfat.total).toBeCloseTo(before.superfat.total, 9)
  })

  it('halved and doubled it is the same again', () => {
    const back = scaleFormula(scaleFormula(typed, 0.5), 2)
    expect(computeFormula(back, library)).toEqual(computeFormula(typed, library))
    const half = computeFormula(scaleFormula(typed, 0.5), library)
    expect(half.water.weighed).toBeCloseTo(100.5, 6)
    expect(half.liquids[0]!.grams).toBeCloseTo(30, 6)
  })
})

describe('fatty matter when poured', () => {
  const document: FormulaDocument = {
    ...blankFormula('Standard'),
    fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
    water: { held: 'ratio', value: 2.6 },
  }
  it('says the water with which a share holds, whichever of the two is meant', () => {
    for (const of of ['oils', 'fattyAcids'] as const) {
      const { ratio, share } = waterForFattyMatter(document, 0.7, of, library)
      expect(share).toBeLessThan(0.7)
      const dry = computeFormula({ ...document, water: { held: 'ratio', value: ratio! } }, library)
      const matter = of === 'oils' ? dry.oils : dry.fattyMatter
      expect(matter / dry.batter).toBeCloseTo(0.7, 9)
    }
  })
  it('never asks for less water than the lye needs', () => {
    expect(waterForFattyMatter(document, 0.9, 'oils', library).ratio).toBeNull()
  })
})

describe('a draft', () => {
  const say = formatter()
  const fats = (shares: (number | null)[]): FormulaDocument => ({
    ...blankFormula('Draft'),
    fats: shares.map((share, index) => ({
      id: ['olive', 'coconut', 'shea'][index]!,
      share,
      moment: 'pot',
      inLye: true,
    })),
  })
  it.each([
    ['empty', blankFormula('Empty'), 'Remarks appear here as the formula grows.'],
    ['30 % open', fats([0.5, 0.2]), '30 % still to place.'],
    ['over', fats([0.9, 0.2]), 'The fats are 10 % over: all together make 100 %.'],
    ['without a number', fats([1, null]), 'Coconut oil, melts at 24 °C has no number yet.'],
    [
      'without a value',
      {
        ...fats([0.5]),
        fats: [{ id: 'own-x', name: 'Estuary oil', share: 1, moment: 'pot' as const, inLye: true }],
      },
      'Estuary oil has no saponification value yet: no lye can be worked out.',
    ],
  ])('%s says so quietly, and nothing is judged', (_, document, says) => {
    expect(stillOpen(document, library, say).map((item) => item.says)).toContain(says)
    const lyeHeavy = { ...document, superfat: -0.2 }
    expect(remarksOn(lyeHeavy, computeFormula(lyeHeavy, library))).toEqual([])
  })
  it('a fat without a value is never zero demand: no lye at all is worked out', () => {
    const document: FormulaDocument = {
      ...fats([0.5]),
      fats: [
        { id: 'olive', share: 0.5, moment: 'pot', inLye: true },
        { id: 'own-x', name: 'Estuary oil', share: 0.5, moment: 'pot', inLye: true },
      ],
    }
    const result = computeFormula(document, library)
    expect(result.unknownFats).toEqual(['Estuary oil'])
    expect(result.lye.naoh).toBe(0)
    expect(faultsInFormula(document, library).map(({ path }) => path)).toContain('fats[1].id')
  })
})
