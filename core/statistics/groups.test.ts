import { describe, expect, it } from 'vitest'
import { shareApart, shareBand, shiftOf, waysToChoose } from './groups'
import { randomSource } from './randomSource'

const random = randomSource(23)

/** Every way to deal the numbers out, by the bits of a number: each as the sums of the first and the other group. */
function dealt(all: readonly number[], first: number): [number, number][] {
  const ways: [number, number][] = []
  for (let bits = 0; bits < 2 ** all.length; bits++) {
    const mine = all.filter((_, place) => (bits >> place) & 1)
    if (mine.length !== first) continue
    const total = all.reduce((sum, one) => sum + one, 0)
    const sum = mine.reduce((so, one) => so + one, 0)
    ways.push([sum, total - sum])
  }
  return ways
}
const parted = ([one, other]: [number, number], n: number, m: number) => one / n - other / m
/** Share of ways that part the groups as far up, or down, once the first is moved by a shift. */
function beyond(one: number[], other: number[], shift: number, way: 1 | -1): number {
  const moved = one.map((value) => value - shift)
  const [n, m] = [one.length, other.length]
  const sum = (list: number[]) => list.reduce((so, value) => so + value, 0)
  const seen = parted([sum(moved), sum(other)], n, m)
  const ways = dealt([...moved, ...other], n)
  return ways.filter((way_) => way * (parted(way_, n, m) - seen) >= -1e-9).length / ways.length
}
/** The shift at which a test stops refusing, by halving. */
function edge(refuses: (shift: number) => boolean, from: number, to: number): number {
  let [out, inside] = [from, to]
  for (let step = 0; step < 60; step++) {
    const middle = (out + inside) / 2
    if (refuses(middle)) out = middle
    else inside = middle
  }
  return inside
}

describe('two small groups', () => {
  it('are told apart as counted by hand', () => {
    const citric = shiftOf([3, 3, 4, 2, 3], [1, 2, 1, 2, 1, 2], random)
    expect(citric.at).toBe(1.5)
    expect(citric.chance).toEqual({ times: 4, ways: 462, drawn: false })
    expect(citric.chance.times / citric.chance.ways).toBeCloseTo(0.0087, 4)
    expect(citric.band).toEqual({ low: 1, high: 2 })
    expect(shiftOf([4, 5, 8, 9], [1, 2, 2, 8], random).at).toBe(3)
  })
  it('have a middle, a chance and a band that an independent count gives too, 500 samples', () => {
    for (let sample = 0; sample < 500; sample++) {
      const [n, m] = [3 + Math.floor(random.uniform() * 3), 3 + Math.floor(random.uniform() * 3)]
      const one = Array.from({ length: n }, () => random.normal() * 2 + 1)
      const other = Array.from({ length: m }, () => random.normal())
      const { at, band, chance } = shiftOf(one, other, random)
      const differences = one.flatMap((a) => other.map((b) => a - b)).sort((a, b) => a - b)
      const half = differences.length / 2
      const middle = Number.isInteger(half)
        ? (differences[half - 1]! + differences[half]!) / 2
        : differences[Math.floor(half)]!
      expect(at).toBeCloseTo(middle, 10)
      const ways = dealt([...one, ...other], n)
      const sum = (list: number[]) => list.reduce((so, value) => so + value, 0)
      const seen = Math.abs(parted([sum(one), sum(other)], n, m))
      expect(chance).toEqual({
        times: ways.filter((way) => Math.abs(parted(way, n, m)) >= seen - 1e-9).length,
        ways: ways.length,
        drawn: false,
      })
      if (sample % 10) continue
      // The band ends where neither one-sided test at one in twenty refuses any more.
      const low = edge((shift) => beyond(one, other, shift, 1) <= 0.05 + 1e-12, -40, at)
      const high = edge((shift) => beyond(one, other, shift, -1) <= 0.05 + 1e-12, 40, at)
      expect(band!.low).toBeCloseTo(low, 6)
      expect(band!.high).toBeCloseTo(high, 6)
    }
  })
  it.each([
    ['as many things are', () => random.normal()],
    ['skewed, as minutes are', () => Math.exp(random.normal() * 0.8)],
    ['with odd ones among them', () => random.normal() * (random.uniform() < 0.15 ? 4 : 1)],
  ])('have a band that holds the truth 85 to 95 times in 100 at n = 3 to 8: %s', (_, draw) => {
    const truth = 1.3
    let [held, of] = [0, 0]
    for (let n = 3; n <= 8; n++) {
      const samples = 250
      for (let sample = 0; sample < samples; sample++) {
        const one = Array.from({ length: n }, () => draw() + truth)
        const other = Array.from({ length: 3 + Math.floor(random.uniform() * 6) }, draw)
        const { band } = shiftOf(one, other, random)
        of++
        if (band!.low <= truth && truth <= band!.high) held++
      }
    }
    expect(held / of).toBeGreaterThan(0.85)
    expect(held / of).toBeLessThan(0.95)
  })
  it('of fewer than three have no band', () => {
    expect(shiftOf([1, 2], [3, 4, 5, 6, 7, 8, 9], random).band).toBeNull()
  })
  it('that are large are drawn, and come out alike', () => {
    const one = Array.from({ length: 14 }, (_, nth) => nth + 4)
    const other = Array.from({ length: 14 }, (_, nth) => nth)
    const { at, band, chance } = shiftOf(one, other, random)
    expect(at).toBe(4)
    expect(chance.drawn).toBe(true)
    // By the normal distribution: 4 apart, standard error 1.58.
    expect(chance.times / chance.ways).toBeGreaterThan(0.008)
    expect(chance.times / chance.ways).toBeLessThan(0.03)
    expect(band!.low).toBeGreaterThan(0.6)
    expect(band!.high).toBeLessThan(7.4)
  })
  it('that are very large have the middle that writing all differences down gives', () => {
    const one = Array.from({ length: 520 }, () => Math.round(random.normal() * 40) / 10 + 1)
    const other = Array.from({ length: 480 }, () => Math.round(random.normal() * 40) / 10)
    const all = Float64Array.from(one.flatMap((a) => other.map((b) => a - b))).sort()
    const middle = (all[all.length / 2 - 1]! + all[all.length / 2]!) / 2
    expect(shiftOf(one, other, random).at).toBeCloseTo(middle, 6)
  })
  it('can be dealt out in as many ways as there are', () => {
    expect([waysToChoose(11, 5), waysToChoose(6, 3), waysToChoose(5, 0)]).toEqual([462, 20, 1])
  })
})

describe('shares', () => {
  it('have bands at whose ends the score is that of one in ten', () => {
    for (const [times, of] of [
      [7, 9],
      [0, 5],
      [38, 41],
      [6, 6],
    ] as const) {
      const { low, high } = shareBand(times, of)
      for (const end of [low, high])
        if (end > 1e-9 && end < 1 - 1e-9)
          expect(Math.abs(times / of - end) / Math.sqrt((end * (1 - end)) / of)).toBeCloseTo(
            1.6448536,
            5,
          )
      expect(low).toBeLessThanOrEqual(times / of)
      expect(high).toBeGreaterThanOrEqual(times / of)
    }
  })
  it('are apart by what they are apart, the other way round by as much less', () => {
    const one = shareApart({ times: 4, of: 5 }, { times: 1, of: 6 })
    const back = shareApart({ times: 1, of: 6 }, { times: 4, of: 5 })
    expect(one.at).toBeCloseTo(4 / 5 - 1 / 6, 12)
    expect([back.at, back.low, back.high]).toEqual([-one.at, -one.high, -one.low])
    expect(one.low).toBeGreaterThan(0)
  })
})
