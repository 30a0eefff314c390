import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import type { WorkshopMould } from '#contracts/mould'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { scaleFormula, fillUp } from '../formula/edit'
import { faultsInFormula } from '../formula/faults'
import { batterMillilitres } from '../formula/volume'
import { library } from '../materials/library'
import { barsIn, barsOf } from './bars'
import { capacityOf, mouldForFormula, mouldMillilitres } from './capacity'
import { fillings } from './fillings'
import { mouldRemark } from './stuff'

const loaf: WorkshopMould = {
  name: 'Short loaf',
  mould: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 70 },
  cuts: { along: 10, across: 1 },
  trueMillilitres: 1340,
  owned: 2,
  material: 'silicone',
  liner: 'none',
  note: '',
}
const pebbles: WorkshopMould = {
  ...loaf,
  name: 'Eight pebbles',
  mould: { shape: 'cavities', count: 8, millilitres: 110 },
  trueMillilitres: 856,
}
const formula = (size: FormulaDocument['size']): FormulaDocument => ({
  ...blankFormula('Estuary Hands'),
  size,
  fats: [
    { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
  ],
})

describe('what a mould takes', () => {
  it('by its measures: 250 × 80 × 70 mm is 1400 ml; a 75 mm tube 300 deep 1325 ml', () => {
    expect(mouldMillilitres(loaf.mould)).toBe(1400)
    expect(mouldMillilitres({ shape: 'cylinder', diameterMm: 75, depthMm: 300 })).toBeCloseTo(
      1325.36,
      2,
    )
  })

  it('is what it was measured to take, and the formula carries the depth that gives it', () => {
    expect(capacityOf(loaf)).toBe(1340)
    expect(mouldForFormula(loaf)).toMatchObject({ lengthMm: 250, depthMm: 67 })
    expect(mouldForFormula(pebbles)).toMatchObject({ count: 8, millilitres: 107 })
    expect(mouldForFormula({ ...loaf, trueMillilitres: null })).toBe(loaf.mould)
  })

  it('gives bars by its cuts: ten slices of 25 mm, and 24 of a slab cut 6 by 4', () => {
    expect(barsIn(loaf)).toEqual({ count: 10, millilitres: 134, sidesMm: [25, 70, 80] })
    const slab = {
      ...loaf,
      mould: { shape: 'box', lengthMm: 390, widthMm: 270, depthMm: 32 } as const,
      cuts: { along: 6, across: 4 },
      trueMillilitres: null,
    }
    expect(barsIn(slab)).toMatchObject({ count: 24, sidesMm: [32, 65, 67.5] })
    expect(barsIn(pebbles)).toEqual({ count: 8, millilitres: 107, sidesMm: null })
  })

  it('stops at metal that lye eats, and asks for a liner where bars hold on', () => {
    expect(mouldRemark('aluminium', 'paper')?.severity).toBe('stop')
    expect(mouldRemark('wood', 'none')?.severity).toBe('think')
    expect(mouldRemark('wood', 'grease')?.severity).toBe('think')
    expect(mouldRemark('wood', 'paper')).toBeNull()
    expect(mouldRemark('pvc', 'grease')).toBeNull()
    expect(mouldRemark('silicone', 'none')).toBeNull()
  })
})

describe('one batter for several moulds', () => {
  const size = {
    by: 'moulds' as const,
    moulds: [
      { name: 'Short loaf', mould: mouldForFormula(loaf), fill: 0.97 },
      { name: 'Eight pebbles', mould: mouldForFormula(pebbles), fill: 1 },
    ],
  }

  it('fills an eight-cavity tray and a loaf from one formula, none over', () => {
    const document = formula(size)
    const result = computeFormula(document, library)
    // 1340 · 0.97 + 856 = 2155.8 ml
    expect(batterMillilitres(result, library)).toBeCloseTo(2155.8, 3)
    const poured = fillings(size, result)
    expect(poured[0]!.millilitres).toBeCloseTo(1299.8, 9)
    expect(poured[1]!.millilitres).toBeCloseTo(856, 9)
    for (const filling of poured)
      expect(filling.millilitres).toBeLessThanOrEqual(filling.capacity + 1e-9)
    expect(poured[0]!.grams + poured[1]!.grams).toBeCloseTo(result.batter, 9)
    expect(poured[1]!.each!.grams * 8).toBeCloseTo((result.batter * 856) / 2155.8, 6)
  })

  it('is halved by half filling each, and needs at least one mould', () => {
    expect(scaleFormula(formula(size), 0.5).size).toMatchObject({
      moulds: [{ fill: 0.485 }, { fill: 0.5 }],
    })
    expect(faultsInFormula(formula({ by: 'moulds', moulds: [] }), library)[0]).toEqual({
      path: 'size.moulds',
      says: 'Name at least one mould.',
    })
    const over = { ...size, moulds: [{ ...size.moulds[0]!, fill: 1.2 }] }
    expect(faultsInFormula(formula(over), library)[0]?.path).toBe('size.moulds[0].fill')
  })
})

describe('bars to expect', () => {
  it('are those asked for, or fresh bars of about 125 g', () => {
    const { size } = formula({ by: 'bars', count: 16, grams: 105 })
    expect(barsOf(formula(size), 1916)).toBe(16)
    expect(barsOf(formula({ by: 'oils', grams: 1000 }), 1437)).toBe(11)
    expect(barsOf(formula({ by: 'oils', grams: 10 }), 20)).toBe(1)
  })

  it('are the cuts of moulds that the workshop knows, with the cavities', () => {
    const size = {
      by: 'moulds' as const,
      moulds: [loaf, pebbles].map((record) => ({
        name: record.name,
        mould: mouldForFormula(record),
        fill: 1,
      })),
    }
    expect(barsOf(formula(size), 2200, [loaf, pebbles])).toBe(18)
    expect(barsOf(formula(size), 2250)).toBe(18)
    expect(barsOf(formula(size), 2625)).toBe(21)
  })
})

describe('using up a drum', () => {
  it('sizes the batch so that this fat is gone: 812 g at 70 % is 1160 g of oils', () => {
    const document = fillUp(formula({ by: 'bars', count: 10, grams: 100 }), 0, 812, library)
    expect(document.size).toEqual({ by: 'oils', grams: 1160 })
    expect(computeFormula(document, library).fats[0]!.grams).toBeCloseTo(812, 9)
  })

  it('scales a formula by weights, and leaves one alone that has none of it', () => {
    const lines: FormulaDocument = {
      ...formula({ by: 'lines' }),
      fats: [
        { id: 'olive', grams: 600, moment: 'pot', inLye: true },
        { id: 'coconut', grams: 300, moment: 'pot', inLye: true },
      ],
    }
    expect(fillUp(lines, 1, 450, library).fats.map(({ grams }) => grams)).toEqual([900, 450])
    expect(fillUp(lines, 7, 450, library)).toBe(lines)
    expect(fillUp(lines, 0, 0, library)).toBe(lines)
  })
})
