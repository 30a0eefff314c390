import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { openJugPeak, peakWithoutLoss } from '../../heat/dissolving'
import type { Step } from '../plan/step'
import { slipsOf, type Seen } from './slips'

const fat = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })
const document: FormulaDocument = {
  ...blankFormula('Hostel Bar'),
  size: { by: 'oils', grams: 1000 },
  fats: [fat('olive', 0.45), fat('coconut', 0.25), fat('shea', 0.2), fat('castor', 0.1)],
  water: { held: 'ratio', value: 2.2 },
  additives: [{ id: 'citric-acid-anhydrous', rate: 0.012, of: 'oils', carrier: null }],
}
const { ctx, plan } = plannedFrom(document, {}, 1)
const written = (step: Step) => step.weigh!.grams
const gramsOf = (id: string) => written(plan.steps.find((step) => step.id === id)!)
const lye = gramsOf('weigh:naoh')
const citric = gramsOf('weigh:additive:citric-acid-anhydrous')
const water = gramsOf('weigh:water')
const jug = lye + citric + water
const peak = (plan.peak.low + plan.peak.high) / 2
const check = (seen: Partial<Seen>) =>
  slipsOf(ctx, plan, written, { lye: jug, oils: 1000, peakC: peak, ...seen })
const says = (seen: Partial<Seen>) =>
  check(seen).slips.map(({ kind, names }) => `${kind}: ${names.join(', ')}`)

describe('jug and pan weighed once more', () => {
  it('agree with what was written, within the scale and what steamed away', () => {
    expect(check({})).toMatchObject({ agrees: true, slips: [] })
    expect(check({ lye: jug - 7 }).agrees).toBe(true)
    expect(check({ lye: jug + 8 }).agrees).toBe(false)
    expect(check({ oils: 992 }).agrees).toBe(true)
    expect(check({ lye: null, oils: null, peakC: null }).agrees).toBe(true)
    const { expected } = check({})
    expect(expected.lye.grams).toBeCloseTo(jug, 9)
    expect(expected.oils.grams).toBeCloseTo(1000, 9)
  })

  it('find a castor line that was forgotten, and what it would do', () => {
    expect(says({ oils: 901 })).toEqual(['forgotten: Castor oil'])
    // 100 g of castor at 180 less: superfat 1 − 0.95 · D/(D − 100 · 180), D about 200,000 mg KOH.
    const { superfat } = check({ oils: 901 }).slips[0]!
    expect(superfat).toBeLessThan(-0.02)
    expect(superfat).toBeGreaterThan(-0.06)
  })

  it('find a coconut line that went in twice', () => {
    expect(says({ oils: 1249 })).toEqual(['doubled: Coconut oil'])
    expect(check({ oils: 1249 }).slips[0]!.superfat).toBeGreaterThan(0.2)
  })

  it('find lye and citric acid that took each other’s weight, which no scale sees, by the heat', () => {
    // Jug and pan weigh what they should; 12 g of soda in 300 g of water warm by some ten degrees.
    const cold = peakWithoutLoss({ ...plan.jug, naoh: citric, water: plan.jug.water }) - 3
    expect(cold).toBeLessThan(40)
    expect(says({ peakC: cold })).toContain('swapped: Citric acid, Sodium hydroxide')
    expect(check({ peakC: null }).agrees).toBe(true)
  })

  it('find the lye forgotten or doubled', () => {
    expect(says({ lye: jug - lye, peakC: 20 })).toEqual(['forgotten: Sodium hydroxide'])
    const twice = openJugPeak({ ...plan.jug, naoh: plan.jug.naoh * 2 })
    expect(says({ lye: jug + lye, peakC: (twice.low + twice.high) / 2 })).toEqual([
      'doubled: Sodium hydroxide',
    ])
  })

  it('say that no single slip explains it', () => {
    expect(check({ oils: 1500 })).toMatchObject({ agrees: false, slips: [] })
  })
})
