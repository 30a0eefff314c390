import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { makingOrder } from '../formula/makingOrder'
import { discountOf, fullWaters, ratioAtDiscount, waterAtDiscount } from './discount'
import { divideLiquid, type LiquidPart } from './liquids'
import { milkWay, milkWays, scorches, scorchingLiquids, setMilkWay } from './milk'
import { ratioFrom, waterFloor, waysFrom } from './ways'

const full = (id: string) => fullWaters.find((water) => water.id === id)!

describe('a water discount, with what it is a discount from', () => {
  it.each([
    // 1000 g oils, 136.5 g lye: 38 % is 380 g; less 10 % is 342 g
    ['oils-38', 0.1, 342 / 136.5],
    ['strength-25', 0.1, 2.7],
    ['strength-28', 0, 0.72 / 0.28],
    ['ratio-2.5', 0.2, 2],
  ])('%s less %f', (id, discount, ratio) => {
    expect(ratioAtDiscount(full(id), discount, 136.5, 1000)).toBeCloseTo(ratio, 9)
    expect(discountOf(full(id), ratio, 136.5, 1000)).toBeCloseTo(discount, 9)
  })

  it('is held the way its full water is said', () => {
    expect(waterAtDiscount(full('oils-38'), 0.1, 136.5, 1000)).toEqual({
      held: 'shareOfOils',
      value: 0.342,
    })
  })
})

describe('the three ways of milk', () => {
  const formula = {
    ...blankFormula('Landing Goat'),
    fats: [{ id: 'olive', share: 1, moment: 'pot' as const, inLye: true }],
    liquids: [{ id: 'goat-milk', share: 0.5, moment: 'oils' as const, way: 'poured' as const }],
    method: { ...blankFormula('').method, lyeC: 45, oilsC: 45 },
  }
  const made = (way: 'poured' | 'frozen' | 'into-cooled-lye') => {
    const document = setMilkWay(formula, 0, way)
    const result = computeFormula(document, library)
    const groups = makingOrder(result, library)
    const group = groups.find(({ lines }) => lines.some(({ id }) => id === 'goat-milk'))!
    return { document, result, title: group.title, groups }
  }

  it('go in at their moment, no warmer than they bear, and change the order of the sheet', () => {
    expect(made('poured')).toMatchObject({
      title: 'Into the oils',
      document: { method: { lyeC: 38, oilsC: 38 } },
    })
    expect(made('frozen')).toMatchObject({
      title: 'Water',
      document: { method: { lyeC: 30, oilsC: 38 } },
    })
    expect(made('frozen').groups[1]?.how).toMatch(/Sprinkle/)
    expect(made('into-cooled-lye')).toMatchObject({
      title: 'Into the cooled lye',
      document: { method: { lyeC: 24, oilsC: 38 } },
    })
  })

  it('count in the lye jug only what is there while the lye dissolves', () => {
    // Half of the liquid is milk with 87 % water: all of it 2.2, without the milk 2.2 · 0.5/0.935.
    const { ratio, ratioInLye } = made('frozen').result.water
    expect(ratioInLye).toBeCloseTo(ratio, 9)
    expect(made('into-cooled-lye').result.water.ratioInLye).toBeCloseTo((2.2 * 0.5) / 0.935, 9)
    expect(made('poured').result.water.ratioInLye).toBeCloseTo((2.2 * 0.5) / 0.935, 9)
  })

  it('are for liquids that scorch, and keep temperatures that are low enough', () => {
    const scorching = (id: string) => scorches(library.liquids.get(id)!)
    expect(['goat-milk', 'coconut-milk', 'beer'].map(scorching)).toEqual([true, true, true])
    expect(['distilled-water', 'rain-water'].map(scorching)).toEqual([false, false])
    // By its sugar or its fat: honeyed water has the one, cream the other.
    expect([
      scorches({ sugar: 0.008, fat: 0 }),
      scorches({ sugar: 0, fat: 0.005 }),
      scorches({ sugar: 0.007, fat: 0.004 }),
    ]).toEqual([true, true, false])
    const cool = { ...formula, method: { ...formula.method, lyeC: 20, oilsC: 30 } }
    for (const { id } of milkWays)
      expect(setMilkWay(cool, 0, id).method).toMatchObject({ lyeC: 20, oilsC: 30 })
  })

  it('are for the line they are given for, and count only where there is any', () => {
    const lines = [
      { id: 'rain-water', share: 0.2, moment: 'lye' as const, way: 'poured' as const },
      { id: 'goat-milk', share: 0.5, moment: 'oils' as const, way: 'poured' as const },
      { id: 'coconut-milk', share: 0, moment: 'oils' as const, way: 'poured' as const },
      { id: 'unheard-of', share: 0.1, moment: 'oils' as const, way: 'poured' as const },
    ]
    const several = { ...formula, liquids: lines }
    expect(scorchingLiquids(several, library).map(({ index, line }) => [index, line.id])).toEqual([
      [1, 'goat-milk'],
    ])
    expect(setMilkWay(several, 1, 'frozen').liquids).toEqual([
      lines[0],
      { ...lines[1], way: 'frozen', moment: 'lye' },
      lines[2],
      lines[3],
    ])
    expect(milkWay('into-cooled-lye')).toMatchObject({ moment: 'lye', lyeC: 24, oilsC: 38 })
  })
})

describe('water over water and other liquids', () => {
  const liquid = (changes: Partial<LiquidPart>): LiquidPart => ({
    share: 0,
    grams: 0,
    water: 1,
    ...changes,
  })

  it('by the water in all of it: 40 % of the liquid is milk with 87 % water', () => {
    // 300 g of water wanted: M·(0.6 + 0.4·0.87) = 300, M = 316.4557
    const { mass, water, content, liquids } = divideLiquid({ content: 300 }, [
      liquid({ share: 0.4, water: 0.87 }),
    ])
    expect(mass).toBeCloseTo(316.4557, 4)
    expect(water).toBeCloseTo(189.8734, 4)
    expect(liquids[0]).toBeCloseTo(126.5823, 4)
    expect(content).toBeCloseTo(300, 9)
  })

  it('by what is weighed as water, beside a share and a weight', () => {
    // 180 g weighed and 50 g of purée with 80 % water are six tenths: all of it (180 + 50)/0.6 = 383.3333, milk 153.3333
    const { mass, water, content, liquids } = divideLiquid({ weighed: 180 }, [
      liquid({ share: 0.4, water: 0.87 }),
      liquid({ grams: 50, water: 0.8 }),
    ])
    expect(mass).toBeCloseTo(383.3333, 4)
    expect(water).toBeCloseTo(180, 9)
    expect(liquids).toEqual([expect.closeTo(153.3333, 4), 50])
    // 180 + 153.3333·0.87 + 50·0.8
    expect(content).toBeCloseTo(353.4, 4)
  })

  it('with a ready-mixed lye, whose water is already there', () => {
    const { water, mass, content } = divideLiquid(
      { content: 300 },
      [liquid({ grams: 100, water: 0.87 })],
      120,
    )
    expect(water).toBeCloseTo(300 - 120 - 87, 9)
    expect(mass).toBeCloseTo(313, 9)
    expect(content).toBeCloseTo(300, 9)
    const weighed = divideLiquid({ weighed: 93 }, [liquid({ grams: 100, water: 0.87 })], 120)
    expect(weighed.content).toBeCloseTo(300, 9)
    expect(weighed.water).toBeCloseTo(93, 9)
  })

  it('names the least that can be wanted, below which water would have to be taken out', () => {
    const milk = liquid({ share: 0.4, water: 0.87 })
    expect(divideLiquid({ content: 300 }, [milk]).smallestWanted).toBe(0)
    // With 120 g of water in the solution all liquid is at least 200 g, of which 0.948 is water.
    const least = divideLiquid({ content: 300 }, [milk], 120).smallestWanted
    expect(least).toBeCloseTo(189.6, 9)
    expect(divideLiquid({ content: least }, [milk], 120).water).toBeCloseTo(0, 9)
    const held = [milk, liquid({ grams: 50, water: 0.8 })]
    const leastHeld = divideLiquid({ content: 300 }, held, 120).smallestWanted
    // (120 + 50)/0.6·0.948 − 50·0.2
    expect(leastHeld).toBeCloseTo(258.6, 9)
    expect(divideLiquid({ content: leastHeld }, held, 120).water).toBeCloseTo(0, 9)
    expect(divideLiquid({ content: 300 }, [liquid({ share: 1 })], 120).smallestWanted).toBe(
      Infinity,
    )
  })
})

it('the three ways of water, by hand', () => {
  // 140 g of lye in 308 g of water beside 1000 g of oils
  expect(waysFrom(2.2, 140, 1000)).toEqual({ ratio: 2.2, strength: 0.3125, shareOfOils: 0.308 })
  expect(ratioFrom('ratio', 2.2, 140, 1000)).toBe(2.2)
  expect(ratioFrom('strength', 0.3125, 140, 1000)).toBeCloseTo(2.2, 9)
  expect(ratioFrom('shareOfOils', 0.308, 140, 1000)).toBeCloseTo(2.2, 9)
  expect(waterFloor).toBe(1)
})
