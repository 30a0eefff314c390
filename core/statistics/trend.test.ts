import { describe, expect, it } from 'vitest'
import { randomSource } from './randomSource'
import { trendOf } from './trend'

const random = randomSource(7)
type Point = readonly [number, number]

/** All orders of some things. */
function orders<T>(list: readonly T[]): T[][] {
  if (list.length <= 1) return [[...list]]
  return list.flatMap((one, place) =>
    orders([...list.slice(0, place), ...list.slice(place + 1)]).map((rest) => [one, ...rest]),
  )
}
const score = (points: readonly Point[]) =>
  points.reduce(
    (sum, [x, y], place) =>
      sum +
      points
        .slice(place + 1)
        .reduce((so, [otherX, otherY]) => so + Math.sign(otherX - x) * Math.sign(otherY - y), 0),
    0,
  )

describe('a trend', () => {
  it('is the middle of all slopes, 500 samples', () => {
    for (let sample = 0; sample < 500; sample++) {
      const points = Array.from(
        { length: 3 + Math.floor(random.uniform() * 6) },
        (_, nth): Point => [nth + random.uniform(), random.normal() + nth * 0.4],
      )
      const slopes: number[] = []
      for (let a = 0; a < points.length; a++)
        for (let b = 0; b < a; b++)
          slopes.push((points[a]![1] - points[b]![1]) / (points[a]![0] - points[b]![0]))
      slopes.sort((a, b) => a - b)
      const half = slopes.length >> 1
      const middle = slopes.length % 2 ? slopes[half]! : (slopes[half - 1]! + slopes[half]!) / 2
      expect(trendOf(points)!.slope).toBeCloseTo(middle, 10)
    }
  })
  it('has the chance that counting all orders gives', () => {
    for (let sample = 0; sample < 40; sample++) {
      const size = 4 + (sample % 3)
      const points = Array.from({ length: size }, (_, nth): Point => [nth, random.normal()])
      const all = orders(points.map(([, y]) => y)).map((ys) =>
        score(ys.map((y, nth): Point => [nth, y])),
      )
      const seen = Math.abs(score(points))
      const p = all.filter((one) => Math.abs(one) >= seen).length / all.length
      expect(trendOf(points)!.p).toBeCloseTo(p, 10)
    }
  })
  it('lies in its band 85 to 96 times in 100, from four points on', () => {
    for (const size of [4, 5, 6, 7, 8, 12]) {
      let held = 0
      const samples = 600
      for (let sample = 0; sample < samples; sample++) {
        const points = Array.from({ length: size }, (_, nth): Point => {
          const x = nth + random.uniform()
          return [x, 0.7 * x + random.normal()]
        })
        const { band } = trendOf(points)!
        if (band!.low <= 0.7 && 0.7 <= band!.high) held++
      }
      expect(held / samples).toBeGreaterThan(0.85)
      expect(held / samples).toBeLessThan(0.965)
    }
  })
  it('of three has no band, of one place no trend; one odd point pulls nothing', () => {
    expect(
      trendOf([
        [1, 1],
        [2, 2],
        [3, 3],
      ])!.band,
    ).toBeNull()
    expect(
      trendOf([
        [1, 1],
        [1, 2],
      ]),
    ).toBeNull()
    expect(
      trendOf([
        [1, 1],
        [2, 2],
        [3, 3],
        [4, 4],
        [5, 90],
      ])!.slope,
    ).toBe(1)
  })
  it('with many alike in both goes by the normal distribution, and is as sure the other way round', () => {
    const points = Array.from({ length: 30 }, (_, nth): Point => [nth % 3, (nth % 3) + (nth % 2)])
    const up = trendOf(points)!
    const down = trendOf(points.map(([x, y]): Point => [x, -y]))!
    expect(up.slope).toBe(1)
    expect(up.p).toBeLessThan(0.001)
    expect(down.slope).toBe(-1)
    expect(down.p).toBeCloseTo(up.p, 12)
  })
})
