import fc from 'fast-check'
import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { libraryWith } from '../materials/own'
import { formatter } from '../units/formatter'
import { blendOf } from '../../tests/support/blendOf'
import { anyFormula } from '../../tests/support/anyFormula'
import { allergenLists, allergensOf } from './allergens'
import { dryOf, foundInBar } from './found'
import { wholeOf } from './line'
import { listed, listText } from './list'
import { placeOf } from './places'
import { putIn } from './putIn'

/* Ingredient lists against lists that were made by hand. */

const say = formatter()
const blank = blankFormula('Slab')
const stocks = libraryWith(library, [], 'us', [
  blendOf('blend-hostel', [
    ['olive', 0.6],
    ['coconut', 0.4],
  ]),
  blendOf(
    'blend-grey',
    [
      ['olive', 2 / 3],
      ['activated-charcoal', 1 / 3],
    ],
    { name: 'Charcoal in oil', kind: 'coloured' },
  ),
])

/** Fats in grams, pure lye, water at 2 : 1 and 5 % superfat unless something else is said. */
const soap = (fats: Record<string, number>, changes: Partial<FormulaDocument> = {}) =>
  computeFormula(
    {
      ...blank,
      superfat: 0.05,
      water: { held: 'ratio', value: 2 },
      size: { by: 'lines' },
      alkali: { ...blank.alkali, naohPurity: 1, kohPurity: 1 },
      fats: Object.entries(fats).map(([id, grams]) => ({
        id,
        share: null,
        grams,
        moment: 'pot',
        inLye: true,
      })),
      ...changes,
    },
    stocks,
  )
const extra = (id: string, grams: number) => ({
  id,
  rate: null,
  grams,
  of: 'oils' as const,
  carrier: null,
})
const liquid = (id: string, share: number) => ({
  id,
  share,
  moment: 'lye' as const,
  way: 'poured' as const,
})
const scent = (grams: number) => ({
  id: 'fir',
  name: 'Fir & smoke',
  rate: null,
  grams,
  of: 'oils' as const,
  moment: 'trace' as const,
})
const hard = { olive: 600, coconut: 400 }
const recipes: Record<string, ReturnType<typeof soap>> = {
  plain: soap(hard),
  potash: soap(hard, { alkali: { ...blank.alkali, naohPurity: 1, kohPurity: 1, kohShare: 0.5 } }),
  impure: soap(hard, { alkali: { ...blank.alkali, naohPurity: 0.95 } }),
  solution: soap(hard, { alkali: { ...blank.alkali, naohPurity: 1, solutionStrength: 0.5 } }),
  milk: soap(hard, { liquids: [liquid('goat-milk', 1)] }),
  buttermilk: soap(hard, { liquids: [liquid('buttermilk', 0.5)] }),
  citric: soap(hard, { additives: [extra('citric-acid-monohydrate', 20)] }),
  vinegar: soap(hard, { liquids: [liquid('vinegar-5', 0.5)] }),
  lactate: soap(hard, { additives: [extra('sodium-lactate', 30), extra('sugar', 10)] }),
  blend: soap({ 'blend-hostel': 900, castor: 100 }),
  coloured: soap({ olive: 970, 'blend-grey': 30 }),
  colours: soap(hard, { additives: [extra('titanium-dioxide', 40), extra('iron-oxide-red', 5)] }),
  small: soap(hard, {
    scents: [scent(30)],
    additives: [extra('kaolin', 12), extra('vitamin-e', 1)],
  } as Partial<FormulaDocument>),
  wax: soap({ olive: 900, beeswax: 100 }),
  shaving: soap(
    { 'stearic-acid': 500, coconut: 500 },
    {
      alkali: { ...blank.alkali, naohPurity: 1, kohPurity: 1, kohShare: 0.7 },
      additives: [extra('glycerin', 50)],
    },
  ),
}
const gb = placeOf('gb')
const us = placeOf('us')
const putText = (name: string, place = gb) =>
  listText(listed(putIn(recipes[name]!, stocks), place, []), say)
/** With a tenth of water. */
const foundText = (name: string, place = gb) => {
  const result = recipes[name]!
  return listText(listed(foundInBar(result, stocks, dryOf(result, stocks) / 0.9), place, []), say)
}

/* By hand, of 600 g of olive (190) and 400 g of coconut (257) at 5 %: sodium olivate 570 · (1 + 0.190 · 9.299 / 56.1056) = 587.9,
   cocoate 380 · (1 + 0.257 · 9.299 / 56.1056) = 396.2, glycerin (570 · 0.190 + 380 · 0.257) · 30.698 / 56.1056 = 112.7, free 30 and 20;
   a tenth of water is 1,146.8 / 9 = 127.4. */
const fats = 'Olea Europaea Fruit Oil, Cocos Nucifera Oil'
const soaps = 'Sodium Olivate, Sodium Cocoate, Aqua, Glycerin'
const byHand: [name: string, putIn: string, inBar: string][] = [
  ['plain', `${fats}, Aqua, Sodium Hydroxide`, `${soaps}, ${fats}`],
  // Half of the moles: 309.5 to 294.0 g, 212.1 to 198.1 g.
  [
    'potash',
    `${fats}, Aqua, Potassium Hydroxide, Sodium Hydroxide`,
    `Potassium Olivate, Sodium Olivate, Potassium Cocoate, Sodium Cocoate, Aqua, Glycerin, ${fats}`,
  ],
  // A twentieth of 154.5 g of soda is none: 7.7 g.
  ['impure', `${fats}, Aqua, Sodium Hydroxide`, `${soaps}, ${fats}, Sodium Carbonate`],
  ['solution', `${fats}, Aqua, Sodium Hydroxide`, `${soaps}, ${fats}`],
  // 294 g of milk: 13 % of it solids and fat, 38 g, and the soda of its fat: more than the free olive.
  ['milk', `${fats}, Caprae Lac, Sodium Hydroxide`, `${soaps}, Caprae Lac, ${fats}`],
  // 147 g of buttermilk: 14 g of solids and fat.
  ['buttermilk', `${fats}, Aqua, Buttermilk, Sodium Hydroxide`, `${soaps}, ${fats}, Buttermilk`],
  // 20 g of the monohydrate: 20 · 258.07 / 210.14 = 24.6 g of citrate, between 30 and 20.
  [
    'citric',
    `${fats}, Aqua, Sodium Hydroxide, Citric Acid`,
    `${soaps}, Olea Europaea Fruit Oil, Sodium Citrate, Cocos Nucifera Oil`,
  ],
  // 158 g of vinegar and half as much water to 158 g of lye; 7.9 g of acid are 10.8 g of acetate.
  ['vinegar', `${fats}, Acetum, Aqua, Sodium Hydroxide`, `${soaps}, ${fats}, Sodium Acetate`],
  [
    'lactate',
    `${fats}, Aqua, Sodium Hydroxide, Sodium Lactate, Sucrose`,
    `${soaps}, Olea Europaea Fruit Oil, Sodium Lactate, Cocos Nucifera Oil, Sucrose`,
  ],
  // 540, 360 and 100 g.
  [
    'blend',
    `${fats}, Aqua, Sodium Hydroxide, Ricinus Communis Seed Oil`,
    `${soaps}, Sodium Castorate, ${fats}, Ricinus Communis Seed Oil`,
  ],
  // 990 g of olive and 10 g of charcoal; what is of plants or ash and has no number is a colour all the same.
  [
    'coloured',
    'Olea Europaea Fruit Oil, Aqua, Sodium Hydroxide, Charcoal Powder',
    'Sodium Olivate, Aqua, Glycerin, Olea Europaea Fruit Oil, Charcoal Powder',
  ],
  // 40 g of white would be before the free fats: colours are last.
  [
    'colours',
    `${fats}, Aqua, Sodium Hydroxide, CI 77891, CI 77491`,
    `${soaps}, ${fats}, CI 77891, CI 77491`,
  ],
  // 30 g of scent, 12 g of clay, 1 g of tocopherol.
  [
    'small',
    `${fats}, Aqua, Sodium Hydroxide, Parfum, Kaolin, Tocopherol`,
    `${soaps}, Olea Europaea Fruit Oil, Parfum, Cocos Nucifera Oil, Kaolin, Tocopherol`,
  ],
  // Beeswax of 94 at 5 %, more than half of it no acid: 54.4 g of its alcohols and what is free, 52 g of its soap.
  [
    'wax',
    'Olea Europaea Fruit Oil, Aqua, Sodium Hydroxide, Cera Alba',
    'Sodium Olivate, Aqua, Glycerin, Cera Alba, Sodium Beeswax, Olea Europaea Fruit Oil',
  ],
  [
    'shaving',
    'Cocos Nucifera Oil, Stearic Acid, Aqua, Potassium Hydroxide, Glycerin, Sodium Hydroxide',
    'Potassium Stearate, Potassium Cocoate, Sodium Stearate, Sodium Cocoate, Aqua, Glycerin, Cocos Nucifera Oil, Stearic Acid',
  ],
]

describe('lists made by hand', () => {
  it.each(byHand)('%s', (name, put, inBar) => {
    expect(putText(name)).toBe(put)
    expect(foundText(name)).toBe(inBar)
  })

  it('in the words of another place', () => {
    expect(putText('small', us)).toBe(
      'Olea Europaea Fruit Oil (Olive Oil), Cocos Nucifera Oil (Coconut Oil), Water, Sodium Hydroxide, Fragrance, Kaolin, Tocopherol',
    )
    // Colours by their names, where their mass puts them.
    expect(foundText('colours', us)).toBe(
      'Sodium Olivate, Sodium Cocoate, Water, Glycerin, Titanium Dioxide, Olea Europaea Fruit Oil (Olive Oil), Cocos Nucifera Oil (Coconut Oil), Iron Oxides',
    )
    const english = { ...us, plants: 'english' as const }
    expect(putText('milk', english)).toBe('Olive Oil, Coconut Oil, Goat Milk, Sodium Hydroxide')
  })
})

describe('what is in the bar', () => {
  const grams = (result: ReturnType<typeof soap>, bar?: number) =>
    new Map(
      foundInBar(result, stocks, bar ?? dryOf(result, stocks)).map(({ latin, grams: own }) => [
        latin,
        own,
      ]),
    )
  const a = { olive: 450, coconut: 250, shea: 200, castor: 100 }

  it('is what the chemistry of four fats says, to the milligram', () => {
    const result = soap(a, { superfat: 0.06 })
    const found = grams(result, dryOf(result, stocks) / 0.9)
    const expected = {
      'Sodium Olivate': 436.321,
      'Sodium Cocoate': 245.01,
      'Sodium Shea Butterate': 193.609,
      'Sodium Castorate': 96.804,
      Glycerin: 104.792,
      Aqua: 126.28,
    }
    for (const [name, value] of Object.entries(expected))
      expect(found.get(name), name).toBeCloseTo(value, 2)
    expect(dryOf(result, stocks)).toBeCloseTo(1136.536, 2)
  })

  it('with a tenth of potash, of a free acid, and of citric acid', () => {
    const alkali = { ...blank.alkali, naohPurity: 1, kohPurity: 1, kohShare: 0.1 }
    const mixed = [...grams(soap(a, { superfat: 0.06, alkali }))]
    const of = (word: string) =>
      mixed.reduce((sum, [name, own]) => sum + (name.startsWith(word) ? own : 0), 0)
    expect(of('Sodium')).toBeCloseTo(874.569, 2)
    expect(of('Potassium')).toBeCloseTo(102.673, 2)
    expect(dryOf(soap(a, { superfat: 0.06, alkali }), stocks)).toBeCloseTo(1142.035, 2)
    const stearic = soap(
      { olive: 1 },
      {
        superfat: 0,
        fats: [
          { id: 'stearic-acid', share: null, grams: 100, sap: 208, moment: 'pot', inLye: true },
        ],
        additives: [extra('citric-acid-anhydrous', 36)],
      },
    )
    expect(grams(stearic).get('Sodium Stearate')).toBeCloseTo(108.149, 2)
    expect(grams(stearic).get('Sodium Citrate')).toBeCloseTo(48.357, 3)
  })

  it('sums to what the bars weigh, by mass, and holds what was put in and no more', () => {
    fc.assert(
      fc.property(anyFormula, fc.double({ min: 1, max: 1.4, noNaN: true }), (document, wet) => {
        const result = computeFormula(document, library)
        if (!(result.batter > 0) || result.superfat.total < 0 || result.unknownFats.length) return
        const bar = dryOf(result, library) * wet
        const lines = foundInBar(result, library, bar)
        expect(wholeOf(lines)).toBeCloseTo(bar, 6)
        expect(lines.map((line) => line.grams)).toEqual(
          lines.map((line) => line.grams).sort((one, other) => other - one),
        )
        expect(lines.every((line) => line.grams > 0)).toBe(true)
        // Dry it weighs less than what was poured.
        expect(dryOf(result, library)).toBeLessThanOrEqual(result.batter + 1e-6)
        expect(wholeOf(putIn(result, library))).toBeCloseTo(result.batter, 6)
      }),
    )
  })
})

describe('allergens', () => {
  const scents = (limonene: number | null, linalool: number | null) => [
    {
      grams: 30,
      allergens: [
        { name: 'limonene', share: limonene },
        { name: 'Linalool', share: linalool },
        { name: 'Something else', share: 0.5 },
      ],
    },
  ]
  const { names } = allergenLists.find(({ id }) => id === 'short')!

  it('are named above one part in ten thousand of the bar, and where nobody says how much there is', () => {
    // 30 g · 0.4 % in 1,200 g is exactly one in ten thousand: not above it.
    expect(allergensOf(scents(0.02, 0.004), 1200, names)).toEqual([
      { name: 'Limonene', share: expect.closeTo(0.0005, 9) as number, named: true },
      { name: 'Linalool', share: expect.closeTo(0.0001, 9) as number, named: false },
    ])
    expect(allergensOf(scents(null, 0.0041), 1200, names).map(({ named }) => named)).toEqual([
      true,
      true,
    ])
    // Two scents with it are one share.
    expect(
      allergensOf([...scents(0.002, 0), ...scents(0.003, 0)], 1200, names)[0]!.share,
    ).toBeCloseTo((30 * 0.005) / 1200, 12)
  })

  it('are of the list that counts where it is sold: the longer one holds the shorter', () => {
    const long = allergenLists.find(({ id }) => id === 'long')!
    expect(names.every((name) => long.names.includes(name))).toBe(true)
    expect(new Set(long.names).size).toBe(long.names.length)
    const camphor = [{ grams: 30, allergens: [{ name: 'Camphor', share: 0.1 }] }]
    expect(allergensOf(camphor, 1200, names)).toEqual([])
    expect(allergensOf(camphor, 1200, long.names)[0]).toMatchObject({ named: true })
  })

  it('stand behind the list they belong to, before the colours', () => {
    const found = allergensOf(scents(0.02, 0.001), 1200, names)
    const entries = listed(putIn(recipes.colours!, stocks), gb, found)
    expect(entries.map(({ says }) => says).slice(-3)).toEqual(['Limonene', 'CI 77891', 'CI 77491'])
  })
})
