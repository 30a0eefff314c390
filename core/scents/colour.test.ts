import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  differenceOf,
  differenceWord,
  faultOf,
  labOf,
  patchSide,
  swatchOf,
  type Patch,
} from './colour'

const flat = (r: number, g: number, b: number): Patch =>
  Array.from({ length: patchSide ** 2 }, () => [r, g, b] as const)
const lab = ([l, a, b]: readonly [number, number, number]) => ({ l, a, b })

describe('CIEDE2000', () => {
  // Pairs and differences as published with the implementation notes of the formula (Sharma, Wu and Dalal, 2005, table 1).
  it.each([
    [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
    [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
    [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
    [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1.0],
    [[50, 0, 0], [50, -1, 2], 2.3669],
    [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
    [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
    [[50, 2.5, 0], [73, 25, -18], 27.1492],
    [[50, 2.5, 0], [50, 3.1736, 0.5854], 1.0],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
    [[63.0109, -31.0961, -5.8663], [62.8187, -29.7946, -4.0864], 1.263],
    [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
    [[90.8027, -2.0831, 1.441], [91.1528, -1.6435, 0.0447], 1.4441],
    [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
  ] as const)('%j and %j are %d apart', (one, other, difference) => {
    expect(differenceOf(lab(one), lab(other))).toBeCloseTo(difference, 4)
    expect(differenceOf(lab(other), lab(one))).toBeCloseTo(difference, 4)
  })
  it.each([
    [1.99, 'same'],
    [2, 'slight'],
    [4.99, 'slight'],
    [5, 'clear'],
    [9.99, 'clear'],
    [10, 'strong'],
  ])('%d is %s', (difference, word) => {
    expect(differenceWord(difference)).toBe(word)
  })
})

describe('a colour from a photo', () => {
  it('is CIELAB in daylight: white is 100, 0, 0, and pure red what the standard says', () => {
    const white = labOf(flat(255, 255, 255), null)
    expect(white.l).toBeCloseTo(100, 2)
    expect(white.a).toBeCloseTo(0, 1)
    expect(white.b).toBeCloseTo(0, 1)
    const red = labOf(flat(255, 0, 0), null)
    expect([red.l, red.a, red.b].map((part) => Math.round(part * 10) / 10)).toEqual([
      53.2, 80.1, 67.2,
    ])
  })
  it('light is averaged, not what a screen is told: half white and half black are 0.5 of light', () => {
    const half: Patch = [
      [255, 255, 255],
      [0, 0, 0],
    ]
    // Y of 0.5 is L* 116 · 0.5^(1/3) − 16.
    expect(labOf(half, null).l).toBeCloseTo(116 * Math.cbrt(0.5) - 16, 1)
  })
  it('a card takes the tint of the lamp away: two bars are as far apart under any of them', () => {
    const part = fc.integer({ min: 90, max: 220 })
    const tint = fc.double({ min: 0.75, max: 1, noNaN: true })
    const linear = (value: number) =>
      value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4
    const told = (value: number) =>
      value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055
    const under = (colour: readonly number[], lamp: readonly number[]): Patch => {
      const [r, g, b] = colour.map((one, at) => 255 * told(linear(one / 255) * lamp[at]!))
      return flat(r!, g!, b!)
    }
    fc.assert(
      fc.property(
        fc.tuple(part, part, part),
        fc.tuple(part, part, part),
        fc.tuple(tint, tint, tint),
        (bar, plain, lamp) => {
          // One brightness for all lamps: a card tells their tint, not how bright they are.
          const whole = (lamp[0] + lamp[1] + lamp[2]) / 3
          const even = lamp.map((one) => (one / whole) * 0.8)
          const card = under([200, 200, 200], even)
          const there = (colour: readonly number[]) => labOf(under(colour, even), card)
          const here = (colour: readonly number[]) =>
            labOf(under(colour, [0.8, 0.8, 0.8]), under([200, 200, 200], [0.8, 0.8, 0.8]))
          expect(differenceOf(there(bar), here(bar))).toBeLessThan(0.01)
          expect(differenceOf(there(bar), there(plain))).toBeCloseTo(
            differenceOf(here(bar), here(plain)),
            2,
          )
        },
      ),
      { numRuns: 40 },
    )
  })
  it('without a card the lamp stays in it', () => {
    const warm = labOf(flat(230, 210, 170), null)
    expect(warm.b).toBeGreaterThan(15)
    expect(labOf(flat(230, 210, 170), flat(230, 210, 170)).b).toBeCloseTo(0, 1)
  })
  it('the swatch is what was picked', () => {
    expect(swatchOf(labOf(flat(231, 219, 188), null))).toBe('#e7dbbc')
    // What no screen can show is brought into its bounds.
    expect(swatchOf({ l: 120, a: 0, b: 0 })).toBe('#ffffff')
  })
  it('too dark, too bright and uneven are refused', () => {
    expect(faultOf(flat(231, 219, 188))).toBeNull()
    expect(faultOf(flat(252, 251, 250))).toBe('bright')
    expect(faultOf(flat(20, 22, 18))).toBe('dark')
    const edge = flat(231, 219, 188).map((pixel, at) =>
      at % 2 ? pixel : ([120, 110, 90] as const),
    )
    expect(faultOf(edge)).toBe('uneven')
  })
})
