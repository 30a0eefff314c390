import { describe, expect, it } from 'vitest'
import { blendOrders, fatOrders } from '../../tests/support/orderings'
import type { FormulaDocument } from '#contracts/formula'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { traitsOf } from './traits'

const traits = ({
  shares,
  ratio = 2.2,
  kohShare = 0,
  ...more
}: Partial<FormulaDocument> & {
  shares: Record<string, number>
  ratio?: number
  kohShare?: number
}) => {
  const blank = blankFormula('Bar')
  const document: FormulaDocument = {
    ...blank,
    superfat: 0.05,
    water: { held: 'ratio', value: ratio },
    alkali: { ...blank.alkali, kohShare },
    fats: Object.entries(shares).map(([id, share]) => ({ id, share, moment: 'pot', inLye: true })),
    ...more,
  }
  return traitsOf(computeFormula(document, library), library)
}

describe('what makers know of bars holds', () => {
  it('for sixty fats and twenty-five blends at least', () => {
    const fats = new Set(fatOrders.flatMap((one) => one.fats))
    expect(fats.size).toBeGreaterThanOrEqual(60)
    expect([...fats].filter((id) => !library.fats.has(id))).toEqual([])
    expect(blendOrders.length).toBeGreaterThanOrEqual(25)
  })
  it.each(fatOrders.map((one) => [`${one.trait}: ${one.fats.join(' > ')}`, one] as const))(
    '%s',
    (_, { trait, fats, least }) => {
      const values = fats.map((id) => traits({ shares: { [id]: 1 } })[trait])
      values.slice(1).forEach((value, at) => {
        expect(values[at]! - value, `${fats[at]} over ${fats[at + 1]}`).toBeGreaterThanOrEqual(
          least,
        )
      })
    },
  )
  it.each(blendOrders.map((one) => [`${one.trait}: ${one.says}`, one] as const))(
    '%s',
    (_, { trait, more, than, least }) => {
      expect(traits(more)[trait] - traits(than)[trait]).toBeGreaterThanOrEqual(least - 1e-9)
    },
  )
})
