import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { peakWithoutLoss, type LyeJug } from './dissolving'
import { courseOfGoes } from './goes'

const jugOf = (naoh: number, ratio: number, iced: number, roomC = 20): LyeJug => ({
  naoh,
  koh: 0,
  readyNaoh: 0,
  readyWater: 0,
  water: naoh * ratio * (1 - iced),
  ice: naoh * ratio * iced,
  other: 0,
  roomC,
  iceC: -10,
  jugHeat: 0,
})

describe('a solution made in several goes', () => {
  it('all at once and nothing lost it is as hot as the balance of the jug says', () => {
    for (const iced of [0, 0.5]) {
      const jug = jugOf(900, 2, iced)
      expect(courseOfGoes(jug, 1, 0).peakC).toBeCloseTo(peakWithoutLoss(jug), 6)
      expect(courseOfGoes(jug, 5, 0).peakC).toBeCloseTo(peakWithoutLoss(jug), 6)
    }
  })

  it('is never hotter than that, and the colder the slower the lye goes in', () => {
    const jugs = fc.record({
      naoh: fc.integer({ min: 50, max: 5000 }),
      // At one to one the last of the lye hardly warms what is there any more.
      ratio: fc.double({ min: 1.3, max: 3, noNaN: true }),
      iced: fc.double({ min: 0, max: 0.6, noNaN: true }),
      apart: fc.integer({ min: 1, max: 20 }),
    })
    fc.assert(
      fc.property(jugs, ({ naoh, ratio, iced, apart }) => {
        const jug = jugOf(naoh, ratio, iced)
        const { peakC, goes, points, coolMinutes } = courseOfGoes(jug, 5, apart)
        expect(peakC).toBeLessThanOrEqual(peakWithoutLoss(jug) + 0.05)
        expect(courseOfGoes(jug, 5, apart * 2).peakC).toBeLessThanOrEqual(peakC + 0.05)
        expect(goes).toEqual([0, apart, 2 * apart, 3 * apart, 4 * apart])
        expect(
          points.every(({ minutes }, at) => at === 0 || minutes >= points[at - 1]!.minutes),
        ).toBe(true)
        expect(points.at(-1)!.minutes).toBeCloseTo(coolMinutes, 6)
      }),
    )
  })

  it('half of the water as ice takes a third off its heat, and it ends at the room’s', () => {
    const [plain, iced] = [courseOfGoes(jugOf(900, 2, 0)), courseOfGoes(jugOf(900, 2, 0.5))]
    // By hand: to melt 900 g of ice, 334 J/g, and to warm it by 10 K, takes 300.6 + 18.9 kJ; of 2,700 g at about 3.5 J/gK that
    // is some 34 K, and its water is 20 K colder than the room's: 3.8 kJ/K of it, 8 K of the whole.
    expect(plain.peakC - iced.peakC).toBeGreaterThan(30)
    expect(plain.peakC - iced.peakC).toBeLessThan(45)
    expect(iced.points.at(-1)!.celsius).toBeCloseTo(22, 6)
    expect(courseOfGoes(jugOf(900, 2, 0, 30)).points.at(-1)!.celsius).toBeCloseTo(32, 6)
  })
})
