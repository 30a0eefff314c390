import { describe, expect, it } from 'vitest'
import { formatter } from '../units/formatter'
import { netSays, netStated, setSays } from './net'

const say = formatter()

describe('the net weight of a label', () => {
  it.each([
    [113.7, 1, 113],
    [113.7, 5, 110],
    [119.99, 10, 110],
    [110, 10, 110],
    [8.4, 10, 8],
    [0, 5, 0],
  ] as const)('%s g to %s is %s', (grams, step, stated) => {
    expect(netStated(grams, step)).toBe(stated)
  })
  it('is said in ounces by itself, not from the rounded grams, and never more than it is', () => {
    // 113.7 g are 4.0106 oz; 110 g would be 3.8.
    expect(netSays(113.7, 5, true, say)).toBe('110 g · 4.0 oz')
    // 113 g are 3.986 oz.
    expect(netSays(113, 1, true, say)).toBe('113 g · 3.9 oz')
    expect(netSays(113, 1, false, say)).toBe('113 g')
  })
  it('of a set is that of all its bars, with the list of each', () => {
    const set = setSays(
      [
        { name: 'Hostel Bar', bars: 2, grams: 110, list: 'Sodium Olivate, Aqua' },
        { name: 'Ferry Shave', bars: 1, grams: 85, list: 'Potassium Stearate, Aqua' },
      ],
      say,
    )
    expect(set.net).toBe('2 × 110 g, 1 × 85 g, 305 g in all')
    expect(set.list).toBe('Hostel Bar: Sodium Olivate, Aqua\nFerry Shave: Potassium Stearate, Aqua')
  })
})
