import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { blankFormula } from './blank'
import {
  isEstimate,
  lineGrams,
  sayAs,
  scaleMeasure,
  scentDensity,
  usesBatter,
  waysToMeasure,
  type Measure,
} from './measure'
import { applyPatch } from './patch'
import { batterMillilitres, lyeDensity, potFor } from './volume'
import { computeFormula } from './compute'

const spoon = (value: number | null, unit: string, per: string | null = null): Measure => ({
  amount: { value, unit, per } as Measure['amount'],
})

describe('how much of an extra', () => {
  it.each<[Measure, number]>([
    [{ grams: 12 }, 12],
    [{ rate: 0.02 }, 20],
    [{ rate: 0.02, of: 'oils' }, 20],
    [{ rate: 0.02, of: 'batter' }, 28],
    [{}, 0],
    [{ rate: null, grams: null }, 0],
    // A teaspoon of 4.92892 ml at 0.5 g/ml
    [spoon(2, 'tsp'), 4.92892],
    [spoon(null, 'tsp'), 0],
    [spoon(2, 'tsp', 'kg'), 4.92892],
    [spoon(2, 'tsp', '500g'), 9.85784],
    // 1000 g of oils are 2.20462 lb
    [spoon(1, 'tsp', 'lb'), 2.46446 * 2.20462],
    [spoon(3, 'g'), 3],
    [spoon(1, 'oz'), 28.349523125],
  ])('%j of 1000 g oils in 1400 g batter is %f g', (line, grams) => {
    expect(lineGrams(line, 0.5, 1000, 1400)).toBeCloseTo(grams, 4)
  })

  it('with the spoons of the workshop', () => {
    expect(lineGrams(spoon(1, 'tsp'), 1, 1000, 1400, 'metric')).toBe(5)
  })

  it('is an estimate only where a volume was named', () => {
    expect(isEstimate(spoon(1, 'tsp'))).toBe(true)
    expect(
      [spoon(1, 'g'), { grams: 5, ...spoon(1, 'tsp') }, { rate: 1, ...spoon(1, 'tsp') }, {}].map(
        isEstimate,
      ),
    ).toEqual([false, false, false, false])
    expect(
      usesBatter([
        { rate: 0.1, of: 'oils' },
        { rate: 0.1, of: 'batter' },
      ]),
    ).toBe(true)
    expect(usesBatter([{ rate: 0.1, of: 'oils' }, { of: 'batter' }])).toBe(false)
  })

  it('said any other way it weighs the same', () => {
    for (const { id } of waysToMeasure) {
      const said = sayAs(id, 17.3, 0.8, 1000, 1400)
      expect(lineGrams(said, 0.8, 1000, 1400), id).toBeCloseTo(17.3, 1)
      const ways = [said.rate, said.grams, said.amount].filter((one) => one !== undefined)
      expect(ways, id).toHaveLength(1)
    }
    expect(sayAs('tsp/kg', 17.3, 0.8, 0, 0).amount).toEqual({
      value: expect.closeTo(4.38737, 4) as number,
      unit: 'tsp',
      per: 'kg',
    })
    expect([sayAs('oils', 5, 1, 0, 0).rate, sayAs('batter', 5, 1, 0, 0).rate]).toEqual([0, 0])
    expect(sayAs('tsp', 10, 1, 1000, 1400, 'metric').amount).toEqual({
      value: 2,
      unit: 'tsp',
      per: null,
    })
  })

  it('scales weights and spoons; what is a rate grows by itself', () => {
    expect(scaleMeasure({ grams: 10 }, 2)).toEqual({ grams: 20 })
    expect(scaleMeasure({ rate: 0.1, of: 'oils' }, 2)).toEqual({ rate: 0.1, of: 'oils' })
    expect(scaleMeasure(spoon(1.5, 'tsp'), 2)).toEqual(spoon(3, 'tsp'))
    expect(scaleMeasure(spoon(1.5, 'tsp', 'kg'), 2)).toEqual(spoon(1.5, 'tsp', 'kg'))
    expect(scaleMeasure(spoon(null, 'tsp'), 2)).toEqual(spoon(0, 'tsp'))
    expect(scaleMeasure({ grams: 10 }, 1 / 3, Math.round)).toEqual({ grams: 3 })
  })

  it('citrus oils are lighter than other scents', () => {
    expect(['Sweet orange', 'LEMON peel', 'Bergamot'].map((name) => scentDensity(name))).toEqual([
      0.85, 0.85, 0.85,
    ])
    expect(['Rain', 'Lemongrass', 'Orangery'].map((name) => scentDensity(name))).toEqual([
      0.95, 0.95, 0.95,
    ])
    expect(scentDensity('Sweet orange', { scent: { density: 0.91 } })).toBe(0.91)
    expect(scentDensity('Sweet orange', { scent: { density: null } })).toBe(0.85)
  })
})

it('a patch sets its places and leaves the rest as it was', () => {
  const before = { fats: [{ share: 0.5 }, { share: 0.4 }], water: { value: 2 } }
  const after = applyPatch(before, [
    { path: ['fats', 1, 'share'], value: 0.5 },
    { path: ['method', 'gel'], value: 'leave' },
  ])
  expect(after).toEqual({
    fats: [{ share: 0.5 }, { share: 0.5 }],
    water: { value: 2 },
    method: { gel: 'leave' },
  })
  expect(before.fats[1]!.share).toBe(0.4)
  expect(after.fats[0]).toBe(before.fats[0])
  expect(Array.isArray(after.fats)).toBe(true)
  expect(applyPatch(before, [{ path: [], value: { fats: [] } as never }])).toEqual({ fats: [] })
})

describe('volume', () => {
  it('of soda solutions, between and beyond the table', () => {
    expect(lyeDensity(0)).toBe(0.998)
    expect(lyeDensity(0.05)).toBeCloseTo((0.998 + 1.109) / 2, 9)
    expect(lyeDensity(0.3)).toBeCloseTo(1.328, 9)
    expect(lyeDensity(0.275)).toBeCloseTo(1.301, 9)
    expect(lyeDensity(0.35)).toBeCloseTo(1.379, 9)
    expect(lyeDensity(0.6)).toBe(1.525)
  })

  it('of a batter: fats by their density, lye and water as one, the rest at one', () => {
    const document: FormulaDocument = {
      ...blankFormula('Poured'),
      fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
      water: { held: 'strength', value: 0.3 },
      additives: [{ id: 'rose-clay', grams: 20, carrier: null }],
      scents: [{ id: 'rain', grams: 30, moment: 'trace' }],
    }
    const result = computeFormula(document, library)
    const density = library.fats.get('olive')!.density.value
    const solution = (result.lye.naoh + result.water.weighed) / 1.328
    expect(batterMillilitres(result, library)).toBeCloseTo(1000 / density + solution + 50, 6)
    const unknown = { ...result, fats: [{ ...result.fats[0]!, id: 'seal' }] }
    expect(batterMillilitres(unknown, library)).toBeCloseTo(1000 / 0.91 + solution + 50, 6)
  })

  it('the pot that leaves a fifth free', () => {
    expect(potFor(800)).toEqual({ litres: 1, fill: 0.8 })
    expect(potFor(801)).toEqual({ litres: 1.5, fill: 0.534 })
    expect(potFor(70_000)).toEqual({ litres: 88, fill: 70 / 88 })
  })
})
