import { expect, it } from 'vitest'
import { library } from '../materials/library'
import { blankFormula } from './blank'
import { computeFormula } from './compute'
import { batterMillilitres, lyeDensity, potFor } from './volume'

it('interpolates the density of lye', () => {
  expect(lyeDensity(0.25)).toBe(1.274)
  expect(lyeDensity(0.35)).toBeCloseTo(1.379, 6)
  expect(lyeDensity(0)).toBe(0.998)
  expect(lyeDensity(0.6)).toBe(1.525)
})

it('adds the volumes of fats and lye', () => {
  const document = {
    ...blankFormula('Volume'),
    fats: [{ id: 'olive', share: 1, moment: 'pot' as const, inLye: true }],
    water: { held: 'strength' as const, value: 0.25 },
  }
  const result = computeFormula(document, library)
  // 1000 g ÷ 0.902 = 1108.6 ml; NaOH 1000·0.19·F·0.95 = 128.676 g, its 25 % solution 514.71 g ÷ 1.274 = 404.0 ml
  expect(batterMillilitres(result, library)).toBeCloseTo(1512.65, 1)
  expect(potFor(1512.65)).toEqual({ litres: 2, fill: expect.closeTo(0.7563, 4) })
  expect(potFor(0).litres).toBe(1)
  expect(potFor(200_000).litres).toBe(250)
})
