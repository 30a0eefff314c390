import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { peakWithoutLoss, sightOf, suspectsWeakLye, type LyeJug } from './dissolving'
import { afterSpoon, beginsAt, courseOf, spoons, waitUntil } from './spoons'

/** 219 g of soda in 420 g of the water of milk, with 60 g of what else is in it; the jug itself takes nothing. */
const milk = (changes: Partial<LyeJug>): LyeJug => ({
  naoh: 219,
  koh: 0,
  readyNaoh: 0,
  readyWater: 0,
  water: 0,
  ice: 0,
  other: 60,
  roomC: 20,
  iceC: 0,
  jugHeat: 0,
  bySpoon: true,
  ...changes,
})
const hard = milk({ ice: 420, iceC: -18 })
const slush = milk({ ice: 210, water: 210, liquidC: 0 })
const cold = milk({ water: 420, liquidC: 5 })
const allIn = (jug: LyeJug) => {
  let celsius = beginsAt(jug)
  for (let spoon = 0; spoon < spoons; spoon++) celsius = afterSpoon(jug, celsius, spoon / spoons)
  return celsius
}

describe('lye into milk by the spoon', () => {
  it('warms it in the end by as much as all of it at once', () => {
    for (const jug of [hard, slush, cold]) expect(allIn(jug)).toBeCloseTo(peakWithoutLoss(jug), 0)
  })

  it('the first spoon into cold milk, by hand', () => {
    // 21.9 g = 0.5475 mol in 420/18.015 = 23.31 mol of water, 42.6 mol a mol: 42.84 kJ each, 23.456 kJ.
    // 4.18 − 1.9 × 21.9/441.9 = 4.086 J/gK and 120 J/K of the rest: 1926 J/K; before it 420 × 4.18 + 120 = 1876 J/K.
    // The soda comes at 20 °C where the table is at 25: 21.9 × 1.49 × −5 = −163 J.
    const before = 420 * 4.18 + 120
    const after = 441.9 * 4.18 - 1.9 * 21.9 + 120
    const byHand = 25 + (before * (5 - 25) + 21.9 * 1.49 * -5 + (21.9 / 39.997) * 42_840) / after
    expect(afterSpoon(cold, 5, 0)).toBeCloseTo(byHand, 6)
    expect(byHand).toBeGreaterThan(16)
    expect(byHand).toBeLessThan(18)
  })

  it('hard-frozen milk warms to nought, stays there while it melts, and only then goes on', () => {
    expect(beginsAt(hard)).toBe(-18)
    // A hundredth of the lye: 2.19 g give 2.35 kJ of the 15.9 kJ that 420 g of ice take to nought.
    expect(afterSpoon(hard, -18, 0, 0.01)).toBeCloseTo(-18 * (1 - 2345.7 / 15_876), 1)
    expect(afterSpoon(hard, -18, 0)).toBe(0)
    expect(afterSpoon(hard, 0, 0.3)).toBe(0)
    expect(afterSpoon(hard, 0, 0.9)).toBeGreaterThan(10)
    // Where somebody reads 12 °C there is no ice any more, whatever the balance says.
    expect(afterSpoon(hard, 12, 0.3)).toBeGreaterThan(20)
  })

  it('slush begins at nought and cold milk where it stood', () => {
    expect([beginsAt(slush), beginsAt(cold), beginsAt(milk({ water: 420 }))]).toEqual([0, 5, 20])
  })

  it('at what it says to wait for, the next spoon stays half a degree under the guard', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.integer({ min: 25, max: 50 }),
        (share, guard) => {
          for (const jug of [slush, cold]) {
            const from = waitUntil(jug, share, guard)
            if (from < 1) return
            const lands = afterSpoon(jug, from, share)
            expect(lands).toBeCloseTo(guard - 0.5, 6)
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  it('its course stays under the guard, begins where the milk does, and hurried hands are never colder', () => {
    for (const jug of [hard, slush, cold]) {
      const course = courseOf(jug, 38)
      expect(course).toHaveLength(spoons + 1)
      expect(course[0]).toEqual({ low: beginsAt(jug), high: beginsAt(jug) })
      for (const { low, high } of course) {
        expect(high).toBeLessThanOrEqual(38)
        expect(low).toBeLessThanOrEqual(high)
      }
    }
    // Colder milk, colder course.
    expect(courseOf(hard, 38)[6]!.high).toBeLessThan(courseOf(slush, 38)[6]!.low)
    expect(courseOf(slush, 38)[3]!.high).toBeLessThan(courseOf(cold, 38)[3]!.low)
  })

  it('accuses no lye: fed by the spoon, the jug has no peak', () => {
    for (const jug of [hard, slush, cold]) {
      expect(sightOf(jug)).toBeNull()
      expect(suspectsWeakLye(jug, -18)).toBe(false)
    }
    expect(suspectsWeakLye({ ...cold, bySpoon: false, liquidC: 20 }, 30)).toBe(true)
  })
})
