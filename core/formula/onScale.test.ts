import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { blankFormula } from './blank'
import { onScale } from './onScale'
import { sumOf } from '../statistics/sum'

/** Nine pots of one batter, 1 kg of oils; one jug, or a jug each. */
const nine = (ownWater: boolean, changes: Partial<FormulaDocument> = {}): FormulaDocument => ({
  ...blankFormula('Nine layers'),
  fats: [
    { id: 'olive', share: 0.5, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
    { id: 'shea', share: 0.2, moment: 'pot', inLye: true },
  ],
  parts: Array.from({ length: 9 }, (_, index) => ({
    name: `layer ${index + 1}`,
    share: 1 / 9,
    ...(ownWater ? { water: { held: 'ratio' as const, value: 2 } } : {}),
    scent: true,
    additives: [],
  })),
  ...changes,
})
/** What a whole step of the scale is of the lye that all these fats would take. */
const stepWorth = (document: FormulaDocument, scale: number) =>
  scale / onScale(document, library, 0.01).result.lye.fullFatDemand

describe('nine pots that share one lye jug', () => {
  it.each([0.1, 1, 2, 5])('on a scale of %f g its lye is rounded once', (scale) => {
    const document = nine(false)
    const { superfat, result, secondOpinion, ownJugs, coarse } = onScale(document, library, scale)
    expect(ownJugs).toBe(false)
    expect(secondOpinion.agrees).toBe(true)
    expect(superfat).toBeGreaterThanOrEqual(0.05 - 1e-12)
    expect(superfat - 0.05).toBeLessThanOrEqual(stepWorth(document, scale) + 1e-9)
    // What is weighed is a whole number of steps, and the cups add up to it.
    expect(result.lye.naoh / scale).toBeCloseTo(Math.round(result.lye.naoh / scale), 6)
    const cups = result.parts.map((part) => part.result)
    expect(sumOf(cups, (cup) => cup.lye.naoh)).toBeCloseTo(result.lye.naoh, 9)
    // Every cup whose half step moves its superfat by more than a point is named, and no other.
    const named = new Set(coarse.map(({ pot }) => pot))
    cups.forEach((cup, pot) => {
      const demand = cup.lye.fullFatDemand
      const jug = cup.lye.naoh + cup.water.weighed
      const byLye = ((scale / 2) * (cup.lye.naoh / jug)) / demand
      const byOils = ((scale / 2) * (1 - cup.superfat.total)) / cup.oils
      expect(named.has(pot)).toBe(Math.max(byLye, byOils) > 0.01)
    })
  })

  it('1 kg at 5 %: 140 g and not nine times 15', () => {
    // full demand: (500·190 + 300·257 + 200·180)/1000 · F = 148.3519; 95 % of it 140.9343
    const { result, superfat } = onScale(nine(false), library, 1)
    expect(result.lye.naoh).toBe(140)
    expect(superfat).toBeCloseTo(1 - 140 / 148.3519, 5)
  })
})

describe('nine pots with a jug each', () => {
  it('are rounded down jug by jug, and every coarse one is named', () => {
    const { result, ownJugs, coarse } = onScale(nine(true), library, 1)
    expect(ownJugs).toBe(true)
    for (const { result: pot } of result.parts) expect(pot.lye.naoh).toBe(15)
    expect(result.lye.naoh).toBe(135)
    expect(coarse).toHaveLength(9)
    expect(coarse[0]!.points).toBeCloseTo(0.5 / (148.3519 / 9), 4)
  })

  it('a pot that weighs less than the scale shows is named as too small', () => {
    const tiny = nine(true, { size: { by: 'oils', grams: 40 } })
    expect(onScale(tiny, library, 1).coarse.every(({ tooSmall }) => tooSmall)).toBe(true)
  })
})

describe('potash and solution', () => {
  it.each([
    ['potash', { kohShare: 0.4 }],
    ['solution', { solutionStrength: 0.5 }],
  ])('%s is rounded down too, in one jug or many', (_, alkali) => {
    for (const own of [true, false]) {
      const document = nine(own, {
        alkali: { ...blankFormula('').alkali, ...alkali },
        water: { held: 'ratio', value: 2.4 },
      })
      const found = onScale(document, library, 1)
      expect(found.superfat).toBeGreaterThanOrEqual(0.05 - 1e-12)
      expect(found.secondOpinion.agrees).toBe(true)
    }
  })
})
