import type { FormulaDocument } from '#contracts/formula'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFormula } from '../../tests/support/anyFormula'
import { library } from '../materials/library'
import { blankFormula } from './blank'
import { checkFormula } from './check'
import { computeFormula } from './compute'
import { lyeWeighed } from './pot'
import { runs } from '../../tests/support/runs'

const olive = (changes: Partial<FormulaDocument>): FormulaDocument => ({
  ...blankFormula('Checked'),
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
  ...changes,
})
const check = (document: FormulaDocument, lye: number, water: number) => {
  const found = checkFormula(document, lye, water, library)
  if ('faults' in found) throw new Error(found.faults[0]!.says)
  return found
}

describe('a formula whose lye and water are known', () => {
  it('by batter: 1500 g with 135.9767 g of lye and 407.93 g of water is five per cent lye-heavy', () => {
    // oils 1500 − 135.9767 − 407.93 = 956.0933; full demand ·0.190·F = 129.5015; 1 − 135.9767/129.5015 = −0.05
    const { result } = check(olive({ size: { by: 'batter', grams: 1500 } }), 135.9767, 407.93)
    expect(result.oils).toBeCloseTo(956.0933, 4)
    expect(result.superfat.total).toBeCloseTo(-0.05, 6)
    expect(result.batter).toBeCloseTo(1500, 6)
  })

  it('by oils and by lines it is the plain quotient', () => {
    const full = 1000 * 0.19 * (39.997 / 56.1056)
    for (const document of [
      olive({ size: { by: 'oils', grams: 1000 } }),
      olive({
        size: { by: 'lines' },
        fats: [{ id: 'olive', grams: 1000, moment: 'pot', inLye: true }],
      }),
    ])
      expect(check(document, 128, 300).result.superfat.total).toBeCloseTo(1 - 128 / full, 9)
  })

  it('of any formula, by any size: the very lye that the forward sum gives returns its superfat', () => {
    fc.assert(
      fc.property(anyFormula, (drawn) => {
        const document = {
          ...drawn,
          parts: drawn.parts.map(({ water: _, ...part }) => part),
        }
        const forward = computeFormula(document, library)
        if (!(forward.oils > 1) || forward.water.weighed < 1) return
        const { result } = check(document, lyeWeighed(forward), forward.water.weighed)
        expect(Math.abs(result.superfat.total - forward.superfat.total)).toBeLessThan(1e-6)
        expect(Math.abs(result.oils - forward.oils)).toBeLessThan(1e-5 * forward.oils)
      }),
      runs(60),
    )
  })

  it('more lye and water than the size holds, and pots with water of their own, are refused by path', () => {
    const small = checkFormula(olive({ size: { by: 'batter', grams: 400 } }), 200, 400, library)
    expect(small).toMatchObject({ faults: [{ path: 'size' }] })
    const pots = olive({
      parts: [
        {
          name: 'pale',
          share: 1,
          water: { held: 'ratio', value: 2 },
          scent: true,
          additives: [],
        },
      ],
    })
    expect(checkFormula(pots, 130, 260, library)).toMatchObject({
      faults: [{ path: 'parts[0].water' }],
    })
  })
})

describe('sour liquids take lye', () => {
  it('100 g of vinegar beside 500 g of olive oil', () => {
    // 500·0.190·F = 67.7244; 5 % superfat 64.3382; vinegar 100 · 0.0333 = 3.33 on top
    const document = olive({
      size: { by: 'oils', grams: 500 },
      water: { held: 'grams', value: 60 },
      liquids: [{ id: 'vinegar-5', grams: 100, moment: 'lye', way: 'poured' }],
    })
    const result = computeFormula(document, library)
    expect(result.lye.naoh).toBeCloseTo(67.7244 * 0.95 + 3.33, 3)
    expect(result.superfat.total).toBeCloseTo(0.05, 9)
    expect(result.water.weighed).toBeCloseTo(60, 9)
    expect(result.water.content).toBeCloseTo(60 + 94.5, 9)
  })

  it('as a share of the liquid: the lye it takes wants more of it, and both come out exact', () => {
    const document = olive({
      size: { by: 'oils', grams: 1000 },
      water: { held: 'ratio', value: 2 },
      liquids: [{ id: 'vinegar-5', share: 0.5, moment: 'lye', way: 'poured' }],
    })
    const { lye, liquids, water, superfat } = computeFormula(document, library)
    expect(lye.acidDemand).toBeCloseTo(liquids[0]!.grams * 0.0333, 9)
    expect(water.content / lye.pureNaoh).toBeCloseTo(2, 9)
    expect(superfat.total).toBeCloseTo(0.05, 9)
  })

  it('borax and baking soda take theirs, as salts of weak acids', () => {
    const withExtra = (id: string) =>
      computeFormula(olive({ additives: [{ id, grams: 10, carrier: null }] }), library).lye
        .acidDemand
    expect(withExtra('borax')).toBeCloseTo((10 * 2 * 39.997) / 381.37, 9)
    expect(withExtra('baking-soda')).toBeCloseTo((10 * 39.997) / 84.007, 9)
    expect(withExtra('washing-soda')).toBe(0)
  })

  it('the fat of milk powder counts in the superfat, not in the lye', () => {
    const plain = computeFormula(olive({}), library)
    const rich = computeFormula(
      olive({ additives: [{ id: 'cow-milk-powder', grams: 50, carrier: null }] }),
      library,
    )
    expect(rich.lye.naoh).toBe(plain.lye.naoh)
    // 50 g · 26 % = 13 g of fat of 230: 2.1315 g NaOH on top of 135.4487
    const demand = 1000 * 0.19 * (39.997 / 56.1056)
    const more = 13 * 0.23 * (39.997 / 56.1056)
    expect(rich.superfat.total).toBeCloseTo(1 - plain.lye.pureNaoh / (demand + more), 9)
  })
})

describe('water and liquids held by weight', () => {
  it('stay what they are when the fats change; the ratio follows', () => {
    const at = (grams: number) =>
      computeFormula(
        olive({
          size: { by: 'oils', grams },
          water: { held: 'grams', value: 300 },
          liquids: [{ id: 'goat-milk', grams: 100, moment: 'oils', way: 'poured' }],
          iceGrams: 80,
        }),
        library,
      )
    for (const grams of [600, 1000, 1400]) {
      const { water, liquids, lye } = at(grams)
      expect(water.weighed).toBeCloseTo(300, 9)
      expect(liquids[0]!.grams).toBeCloseTo(100, 9)
      expect(water.ice).toBe(80)
      expect(water.ratio).toBeCloseTo((300 + 87) / lye.pureNaoh, 9)
    }
  })

  it('held milk beside a ratio leaves so much less water', () => {
    const { water, lye } = computeFormula(
      olive({
        water: { held: 'ratio', value: 2 },
        liquids: [{ id: 'goat-milk', grams: 100, moment: 'oils', way: 'poured' }],
      }),
      library,
    )
    expect(water.weighed).toBeCloseTo(2 * lye.pureNaoh - 87, 9)
  })
})
