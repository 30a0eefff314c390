import { describe, expect, it } from 'vitest'
import { clamp } from './clamp'
import { median, quantile } from './quantile'
import { roundTo } from './roundTo'
import { mean, sum, sumOf } from './sum'

describe('of numbers', () => {
  it('sums and means are those of all of them, and of none what they can be', () => {
    expect(sum([1, 2, 3.5])).toBe(6.5)
    expect(sum([])).toBe(0)
    expect(sumOf([{ grams: 2 }, { grams: 5 }], ({ grams }, index) => grams * index)).toBe(5)
    expect(mean(new Set([1, 2, 6]))).toBe(3)
    expect(mean([])).toBeNaN()
  })
  it('quantiles lie between neighbours', () => {
    const sorted = Float64Array.from([1, 2, 4])
    expect([0, 0.5, 0.75, 1].map((share) => quantile(sorted, share))).toEqual([1, 2, 3, 4])
  })
  it('the median needs no order, leaves what it was given, and counts by size', () => {
    const values = [10, 9, 2]
    expect(median(values)).toBe(9)
    expect(values).toEqual([10, 9, 2])
    expect(median([4, 1])).toBe(2.5)
    expect(median([])).toBeNaN()
  })
  it.each([
    [0.5, 0.5],
    [-1, 0],
    [2, 1],
    [1, 1],
  ])('%f within 0 and 1 is %f', (value, held) => {
    expect(clamp(value, 0, 1)).toBe(held)
  })
  it('rounds to what is kept', () => {
    expect(roundTo(0.1 + 0.2)).toBe(0.3)
    expect(roundTo(12.345678901, 2)).toBe(12.35)
    expect(roundTo(1234.4, 0)).toBe(1234)
  })
})
