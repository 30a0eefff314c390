import { describe, expect, it } from 'vitest'
import { samplePosterior } from './chains'
import { quantile } from './quantile'
import { randomSource } from './randomSource'
import { mean } from './sum'

const effort = { first: 1000, chains: 100, rounds: 200, kept: 20 }
const sorted = (values: number[]) => [...values].sort((a, b) => a - b)

describe('drawing from a posterior', () => {
  it('without anything seen it is the prior', () => {
    const points = samplePosterior(2, () => 0, randomSource(1), effort)
    for (const at of [0, 1]) {
      const values = sorted(points.map((point) => point[at]!))
      expect(Math.abs(mean(values))).toBeLessThan(0.12)
      expect(quantile(values, 0.95)).toBeCloseTo(1.645, 0)
      expect(quantile(values, 0.05)).toBeCloseTo(-1.645, 0)
    }
  })

  it('a reading of 1.2 with an error of 0.01: mean 1.2/(1 + 0.0001), spread 0.01', () => {
    const points = samplePosterior(
      1,
      ([z]) => -((z! - 1.2) ** 2) / (2 * 0.01 ** 2),
      randomSource(2),
      effort,
    )
    const values = sorted(points.map(([z]) => z!))
    expect(mean(values)).toBeCloseTo(1.19988, 3)
    expect(quantile(values, 0.95) - quantile(values, 0.05)).toBeCloseTo(2 * 1.645 * 0.01, 2)
    expect(points).toHaveLength(2000)
  })

  it('two parameters of which only the sum is known: the sum is sharp, each stays as open as it is', () => {
    const points = samplePosterior(
      2,
      ([a, b]) => -((a! + b! - 1) ** 2) / (2 * 0.02 ** 2),
      randomSource(3),
      effort,
    )
    // Given a + b = 1, a is normal around ½ with variance ½.
    const first = sorted(points.map(([a]) => a!))
    expect(Math.abs(mean(first) - 0.5)).toBeLessThan(0.1)
    expect(quantile(first, 0.95) - quantile(first, 0.05)).toBeCloseTo(2 * 1.645 * Math.SQRT1_2, 0)
    for (const [a, b] of points) expect(Math.abs(a! + b! - 1)).toBeLessThan(0.12)
  })

  it('what is impossible is never drawn', () => {
    const points = samplePosterior(1, ([z]) => (z! < 0.5 ? -Infinity : 0), randomSource(4), effort)
    expect(Math.min(...points.map(([z]) => z!))).toBeGreaterThanOrEqual(0.5)
    // A standard normal above ½ has mean φ(½)/(1 − Φ(½)) = 0.35207/0.30854
    expect(mean(points.map(([z]) => z!))).toBeCloseTo(1.1411, 1)
  })

  it('two peaks are both found', () => {
    const points = samplePosterior(
      1,
      ([z]) => Math.log(Math.exp(-((z! - 1) ** 2) / 0.02) + Math.exp(-((z! + 1) ** 2) / 0.02)),
      randomSource(5),
      effort,
    )
    const above = points.filter(([z]) => z! > 0).length / points.length
    expect(above).toBeGreaterThan(0.35)
    expect(above).toBeLessThan(0.65)
  })

  it('where nothing is possible it says so', () => {
    expect(() => samplePosterior(1, () => -Infinity, randomSource(1), effort)).toThrow(/possible/)
  })

  it('the same seed draws the same', () => {
    const fits = ([z]: readonly number[]) => -((z! - 0.4) ** 2) / 0.02
    const once = samplePosterior(1, fits, randomSource(6), effort)
    expect(samplePosterior(1, fits, randomSource(6), effort)).toEqual(once)
    expect(samplePosterior(1, fits, randomSource(7), effort)).not.toEqual(once)
  })
})
