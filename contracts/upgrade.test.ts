import { describe, expect, it } from 'vitest'
import { computeFormula } from '#core/formula/compute'
import { library } from '#core/materials/library'
import { checkSchema, formulaSchema } from './formula'
import { upgradedFormula } from './upgrade'

const one = {
  format: 'mantle.formula',
  version: 1,
  name: 'Of the first days',
  size: { by: 'oils', grams: 1000 },
  fats: [
    { id: 'olive', share: 0.7 },
    { id: 'coconut', share: 0.3 },
  ],
  iceShare: 0.25,
  additives: [
    { id: 'rose-clay', amount: { value: 2, unit: 'tsp/kg-oils' } },
    { id: 'honey', amount: { value: 1, unit: 'tbsp' } },
  ],
  scents: [{ id: 'rain', name: 'Rain', amount: { value: 3, unit: 'tsp/kg-oils' } }],
  parts: [
    { name: 'pale', share: 0.5 },
    {
      name: 'dark',
      share: 0.5,
      additives: [{ id: 'rose-clay', amount: { value: 1, unit: 'tsp/kg-oils' } }],
    },
  ],
  method: { lyeC: 40, pattern: 'layers', blender: false },
}

describe('a document of version 1', () => {
  it('is read as version 2, and nothing of it is lost', () => {
    const document = formulaSchema.parse(one)
    expect(document.version).toBe(2)
    expect(document.additives[0]!.amount).toEqual({ value: 2, unit: 'tsp', per: 'kg' })
    expect(document.additives[1]!.amount).toEqual({ value: 1, unit: 'tbsp', per: null })
    expect(document.scents[0]!.amount).toEqual({ value: 3, unit: 'tsp', per: 'kg' })
    expect(document.parts[1]!.additives[0]!.amount).toEqual({ value: 1, unit: 'tsp', per: 'kg' })
    expect(document.iceShare).toBe(0.25)
    expect(document.method).toMatchObject({
      lyeC: 40,
      patterns: ['layers'],
      tool: 'whisk',
      frozen: null,
    })
    // 2 tsp per kg of 1000 g, and 1 per kg of the dark half: 2.5 tsp · 4.92892 ml · 0.65 g/ml
    const clay = library.additives.get('rose-clay')!.density
    const { additives } = computeFormula(document, library)
    const weighed = additives
      .filter(({ id }) => id === 'rose-clay')
      .reduce((sum, { grams }) => sum + grams, 0)
    expect(weighed).toBeCloseTo(2.5 * 4.92892 * clay, 6)
  })

  it('with a plain pour has no pattern, with a blender its tool; a checked one is upgraded too', () => {
    const plain = formulaSchema.parse({ ...one, method: { pattern: 'plain', blender: true } })
    expect(plain.method).toMatchObject({ patterns: [], tool: 'blender' })
    const checked = checkSchema.parse({
      ...one,
      parts: [],
      lyeGrams: 130,
      waterGrams: 300,
    })
    expect(checked.method.patterns).toEqual(['layers'])
  })

  it.each([null, 'text', 7, [], { version: 2, method: { pattern: 'layers' } }])(
    'what is none stays as it is: %j',
    (value) => {
      expect(upgradedFormula(value)).toBe(value)
    },
  )
})
