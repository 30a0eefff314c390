import type { FormulaResult } from '#contracts/result'
import { usualSetup } from '#contracts/benchWords'
import { describe, expect, it } from 'vitest'
import { blankFormula } from '../../formula/blank'
import { lyeDensity } from '../../formula/volume'
import { perMinuteOf } from '../../heat/cooling'
import { jugCapacity } from '../../heat/dissolving'
import { jugHeatOf, lyeJugOf, usualCooling } from './jug'
import { lessonAt } from './lessonAt'
import { stepKinds } from './stepKinds'

const liquid = (moment: string, way: string, grams: number, waterGrams: number) => ({
  moment,
  way,
  grams,
  waterGrams,
})
/** Of a formula that has something of everything: only what meets in the jug counts. */
const result = {
  oils: 1000,
  lye: { naoh: 100, koh: 20, solution: null, pureNaoh: 98, pureKoh: 18 },
  water: { weighed: 120, ice: 20, inSolution: 0, strength: 0.33 },
  liquids: [
    liquid('lye', 'frozen', 100, 90),
    liquid('lye', 'poured', 50, 40),
    liquid('lye', 'into-cooled-lye', 70, 60),
    liquid('oils', 'poured', 30, 25),
  ],
} as unknown as FormulaResult
const document = {
  ...blankFormula('Jug'),
  alkali: { naohPurity: 0.98, kohShare: 0.15, kohPurity: 0.9, solutionStrength: null },
}
const setup = { ...usualSetup, roomC: 18 }

describe('what meets in a lye jug, by hand', () => {
  it('slush: half of its water is ice, half is as cold as ice', () => {
    const jug = jugHeatOf(document, result, { ...setup, frozen: 'slush' })
    expect(jug).toMatchObject({ naoh: 98, koh: 18, readyNaoh: 0, readyWater: 0, bySpoon: true })
    // 100 of water beside the cubes, 40 of what is poured, half of 90.
    expect(jug.water).toBe(185)
    expect(jug.ice).toBe(65)
    expect(jug.other).toBe(20)
    // Cubes of −18, slush of 0; 140 g as warm as the room, 45 g at 0.
    expect(jug.iceC).toBeCloseTo((20 * -18) / 65, 9)
    expect(jug.liquidC).toBeCloseTo((140 * 18) / 185, 9)
  })

  it('hard is all ice, cold has none; without frozen milk nothing goes in by the spoon', () => {
    const hard = jugHeatOf(document, result, { ...setup, frozen: 'hard' })
    expect([hard.water, hard.ice, hard.iceC, hard.liquidC]).toEqual([140, 110, -18, undefined])
    const cold = jugHeatOf(document, result, { ...setup, frozen: 'cold' })
    expect([cold.water, cold.ice, cold.iceC]).toEqual([230, 20, -18])
    expect(cold.liquidC).toBeCloseTo((140 * 18 + 90 * 5) / 230, 9)
    const none = jugHeatOf(document, { ...result, liquids: [] }, setup)
    expect(none).toMatchObject({ water: 100, ice: 20, other: 0 })
    expect(none.bySpoon).toBeUndefined()
  })

  it('ready-mixed lye brings its water and no heat of its own', () => {
    const ready = {
      ...result,
      liquids: [],
      lye: { naoh: 0, koh: 20, solution: 200, pureNaoh: 72, pureKoh: 18 },
      water: { weighed: 30, ice: 0, inSolution: 128, strength: 0.33 },
    } as unknown as FormulaResult
    expect(jugHeatOf(document, ready, setup)).toMatchObject({
      naoh: 0,
      koh: 18,
      readyNaoh: 72,
      readyWater: 128,
      water: 30,
      ice: 0,
      iceC: -18,
    })
  })

  it('of several the one with most hydroxide, dry or dissolved, is the largest', () => {
    const jug = jugHeatOf(document, result, setup)
    const of = (naoh: number, readyNaoh = 0) => ({ ...jug, naoh, readyNaoh })
    expect(lyeJugOf([of(90), of(10, 85), of(80)])).toEqual(of(10, 85))
    expect(lyeJugOf([of(90), of(100, 0), of(0, 95)])).toEqual(of(100))
    const first = of(90)
    expect(lyeJugOf([first, of(90)])).toBe(first)
  })

  it('cools by what it holds: all of it', () => {
    const jug = {
      ...jugHeatOf(document, result, setup),
      naoh: 1,
      koh: 2,
      readyNaoh: 3,
      readyWater: 4,
      water: 50,
      ice: 6,
      other: 7,
    }
    const cooling = usualCooling(jug, result)
    expect(cooling.lye).toBeCloseTo(perMinuteOf(73 / lyeDensity(0.33), jugCapacity(jug)), 12)
    expect(cooling.oils).toBeCloseTo(perMinuteOf(1000 / 0.91, 2000), 12)
  })
})

describe('a lesson stands at the steps it is about', () => {
  it('each kind of step once at most, but for the cooling of lye and of oils', () => {
    const kinds = Object.keys(stepKinds) as (keyof typeof stepKinds)[]
    const at = (about: Parameters<typeof lessonAt>[0]) =>
      kinds.filter((kind) => lessonAt(about, { kind })).sort()
    expect(at('ready')).toEqual(['do', 'safety-check'])
    expect(at('weighing')).toEqual(['check', 'weigh'])
    expect(at('lye')).toEqual(['cool', 'dissolve'])
    expect(at('temperatures')).toEqual(['cool', 'meet', 'melt'])
    expect(at('batter')).toEqual(['batter', 'combine', 'stir-in'])
    expect(at('pour')).toEqual(['pour'])
    expect(at('cover')).toEqual(['cover'])
    expect(at('cut')).toEqual([])
    expect(at(null)).toEqual(['safety-check'])
  })
})
