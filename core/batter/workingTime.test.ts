import { formatter } from '../units/formatter'
import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { scentBehaviour } from './scentBehaviour'
import { mixingC, plainMinutes, reasonsOf, workingTime } from './workingTime'

const plain: FormulaDocument = {
  ...blankFormula('Plain'),
  fats: [
    { id: 'olive', share: 0.6, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.4, moment: 'pot', inLye: true },
  ],
}
const time = (changes: Partial<FormulaDocument> = {}) => {
  const document = { ...plain, ...changes }
  return workingTime(document, computeFormula(document, library), library)
}
const method = (changes: Partial<FormulaDocument['method']>) => ({
  method: { ...plain.method, ...changes },
})
const times = (changes: Partial<FormulaDocument>) => time(changes).minutes / time().minutes

describe('the working time', () => {
  it('is near the plain minutes for a plain formula', () => {
    expect(time().minutes).toBeGreaterThan(plainMinutes * 0.8)
    expect(time().minutes).toBeLessThan(plainMinutes * 1.2)
  })

  it('halves with 10 °C more and doubles with 10 °C less', () => {
    expect(times(method({ lyeC: 45, oilsC: 45 }))).toBeCloseTo(0.5, 9)
    expect(times(method({ lyeC: 25, oilsC: 25 }))).toBeCloseTo(2, 9)
  })

  it('goes with the water, and is far longer by hand', () => {
    expect(times({ water: { held: 'ratio', value: 1.65 } })).toBeCloseTo(0.75, 9)
    expect(times(method({ tool: 'whisk' }))).toBeCloseTo(4, 9)
  })

  it('is shortened by castor: e^(−1.5 · 0.1) of it at 10 %', () => {
    const fats = [...plain.fats.map((line) => ({ ...line, share: line.share! * 0.9 }))]
    const { factors } = time({
      fats: [...fats, { id: 'castor', share: 0.1, moment: 'pot', inLye: true }],
    })
    expect(factors.find(({ says }) => says === 'Castor oil')?.times).toBeCloseTo(Math.exp(-0.15), 9)
  })

  it('names its reasons, and the scents it knows nothing of', () => {
    const scents = ['Clove leaf', 'Low tide'].map((name) => ({
      id: 'scent',
      name,
      rate: 0.02,
      of: 'oils' as const,
      moment: 'trace' as const,
    }))
    const scented = time({ scents })
    expect(scented.unknownScents).toEqual(['Low tide'])
    expect(reasonsOf(scented, 'less', formatter())).toMatch(/^clove leaf/)
    expect(scentBehaviour('Orange & clove')?.pace).toBe(0.25)
    expect(scentBehaviour('Low tide')).toBeNull()
  })

  it('mixes by heat capacity: equal masses of oil at 40 and lye at 20 meet below the middle', () => {
    const result = computeFormula(plain, library)
    const mixed = mixingC({ ...plain, ...method({ lyeC: 20, oilsC: 40 }) }, result)
    // 1000 g · 2.0 against about 460 g · 3.4
    const lye = (result.lye.pureNaoh + result.water.content) * 3.4
    expect(mixed).toBeCloseTo((40 * 2000 + 20 * lye) / (2000 + lye), 9)
  })
})
