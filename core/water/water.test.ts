import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { makingOrder } from '../formula/makingOrder'
import { discountOf, fullWaters, ratioAtDiscount, waterAtDiscount } from './discount'
import { milkWays, scorches, setMilkWay } from './milk'

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
    const cool = { ...formula, method: { ...formula.method, lyeC: 20, oilsC: 30 } }
    for (const { id } of milkWays)
      expect(setMilkWay(cool, 0, id).method).toMatchObject({ lyeC: 20, oilsC: 30 })
  })
})
