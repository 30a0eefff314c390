import { describe, expect, it } from 'vitest'
import { piled, pilesFit, roundTicks } from './swarm'

describe('bars on a plank', () => {
  it('stand where they belong, and over each other where two want one place', () => {
    expect(piled([10, 40, 10, 12], 20, 5)).toEqual([
      { at: 10, level: 0 },
      { at: 40, level: 0 },
      { at: 10, level: 1 },
      { at: 12, level: 2 },
    ])
  })
  it('stand in columns where too many want one place', () => {
    const pile = piled([50, 50, 50, 50, 50], 10, 2)
    expect(pile.map(({ level }) => level)).toEqual([0, 0, 0, 1, 1])
    expect(pile.map(({ at }) => at)).toEqual([40, 50, 60, 40, 50])
    expect(pilesFit([50, 50, 50, 50, 50, 75], 10, 2)).toBe(true)
    expect(pilesFit([50, 50, 50, 50, 50, 65], 10, 2)).toBe(false)
  })
  it('have round figures under them', () => {
    expect(roundTicks(0.7, 4.3, 4)).toEqual([1, 2, 3, 4])
    expect(roundTicks(0.012, 0.071, 3)).toEqual([0.02, 0.04, 0.06])
    expect(roundTicks(5, 5, 4)).toEqual([5])
  })
})
