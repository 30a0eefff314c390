import { usualSetup } from '#contracts/benchWords'
import { describe, expect, it } from 'vitest'
import {
  heatPerMol,
  heatTakenBy,
  jugCapacity,
  openJugPeak,
  peakWithoutLoss,
  sightOf,
  solutionHeat,
  suspectsWeakLye,
  type LyeJug,
} from './dissolving'

const jug = (changes: Partial<LyeJug> = {}): LyeJug => ({
  naoh: 100,
  koh: 0,
  readyNaoh: 0,
  readyWater: 0,
  water: 200,
  ice: 0,
  other: 0,
  roomC: 20,
  iceC: -18,
  jugHeat: 0,
  ...changes,
})

describe('the heat of dissolving', () => {
  it('goes through the table and never turns between its points', () => {
    expect(heatPerMol(3)).toBeCloseTo(28.89, 9)
    expect(heatPerMol(10)).toBeCloseTo(42.51, 9)
    for (let n = 2.2; n < 20; n += 0.1)
      expect(heatPerMol(n + 0.1)).toBeGreaterThanOrEqual(heatPerMol(n) - 1e-12)
  })

  it('2 : 1 from 20 °C arrives near 104 °C, with half the water as ice near 62', () => {
    expect(peakWithoutLoss(jug())).toBeGreaterThan(102)
    expect(peakWithoutLoss(jug())).toBeLessThan(107)
    const iced = peakWithoutLoss(jug({ water: 100, ice: 100 }))
    expect(iced).toBeGreaterThan(59)
    expect(iced).toBeLessThan(65)
  })

  it('is the enthalpy balance worked by hand: 100 g in 180.15 g of water, n = 4, from 25 °C', () => {
    // 100/39.997 mol · 34.43 kJ = 86081 J over 280.15 g · (4.18 − 1.9 · 100/280.15) J/gK
    const water = 4 * 18.015 * (100 / 39.997)
    const capacity = (100 + water) * (4.18 - 1.9 * (100 / (100 + water)))
    expect(peakWithoutLoss(jug({ water, roomC: 25 }))).toBeCloseTo(
      25 + ((100 / 39.997) * 34430) / capacity,
      9,
    )
  })

  it('a 50 % solution diluted to 2 : 1 warms by about 30 K', () => {
    const ready = jug({ naoh: 0, readyNaoh: 100, readyWater: 100, water: 100 })
    expect(peakWithoutLoss(ready) - 20).toBeGreaterThan(25)
    expect(peakWithoutLoss(ready) - 20).toBeLessThan(35)
  })

  it('expects an open jug 10 to 20 K below, and suspects weak lye well under that', () => {
    const peak = peakWithoutLoss(jug())
    const range = openJugPeak(jug())
    expect(range.low).toBeCloseTo(peak - 20, 9)
    expect(range.high).toBeCloseTo(peak - 10, 9)
    const sign = range.low - 4
    expect(suspectsWeakLye(jug(), sign + 0.1)).toBe(false)
    expect(suspectsWeakLye(jug(), sign - 0.1)).toBe(true)
    expect(peakWithoutLoss(jug({ naoh: 0 }))).toBe(20)
  })

  it.each([
    [136, 150, 'pp', 80, 90],
    [136, 400, 'steel', 75, 85],
    [136, 600, 'glass', 64, 74],
    [65, 150, 'plastic', 75, 85],
  ] as const)('%d g at 2 : 1 in %d g of %s: %d to %d °C', (naoh, grams, stuff, low, high) => {
    const range = openJugPeak(
      jug({ naoh, water: 2 * naoh, jugHeat: heatTakenBy({ grams, stuff }) }),
    )
    expect(Math.abs(range.low - low)).toBeLessThan(2)
    expect(Math.abs(range.high - high)).toBeLessThan(2)
  })

  it.each([
    [136, 0.83, 0.75],
    [30, 0.81, 0.71],
  ])(
    'in a batch of %d g shows lye under %d at even odds, surely under %d',
    (naoh, even, surely) => {
      const own = jug({ naoh, water: 2 * naoh, jugHeat: heatTakenBy(usualSetup.jug) })
      const sight = sightOf(own)!
      expect(Math.abs(sight.even - even)).toBeLessThan(0.015)
      expect(Math.abs(sight.surely - surely)).toBeLessThan(0.015)
      // Lye of that strength, losing what is usual, peaks where the sign is.
      const peakOf = (share: number) =>
        peakWithoutLoss({ ...own, naoh: naoh * share, water: naoh * (3 - share) })
      expect(suspectsWeakLye(own, peakOf(sight.even - 0.01) - 15)).toBe(true)
      expect(suspectsWeakLye(own, peakOf(sight.even + 0.01) - 15)).toBe(false)
      expect(suspectsWeakLye(own, peakOf(sight.surely - 0.01) - 9)).toBe(true)
    },
  )

  it('tells nothing of the lye where frozen liquid, ready-mixed lye or much liquid hide it', () => {
    const frozen = jug({ water: 0, ice: 200 })
    expect(sightOf(frozen)).toBeNull()
    expect(openJugPeak(frozen)).toMatchObject({ frozen: true })
    expect(openJugPeak(frozen).high).toBeLessThan(35)
    expect(suspectsWeakLye(frozen, -5)).toBe(false)
    const ready = jug({ naoh: 0, readyNaoh: 100, readyWater: 100, water: 100 })
    expect(sightOf(ready)).toBeNull()
    expect(suspectsWeakLye(ready, 0)).toBe(false)
    expect(sightOf(jug({ naoh: 5, water: 200 }))).toBeNull()
  })

  it('potash gives 57.6/44.5 of the heat per mole into a solution of about 3.1 J/gK', () => {
    expect(solutionHeat(0.275, 1)).toBeCloseTo(3.1, 1)
    expect(solutionHeat(1 / 3)).toBeCloseTo(4.18 - 1.9 / 3, 9)
    // 100 g of potash in 300 g from 25 °C: 100/56.1056 mol · heat at n = 9.34 · 57.6/44.5 over 400 · (4.18 − 3.9/4).
    const moles = 100 / 56.1056
    const heat = moles * 1000 * heatPerMol(300 / 18.015 / moles) * (57.6 / 44.5)
    const capacity = 400 * (4.18 - 3.9 * 0.25)
    expect(peakWithoutLoss(jug({ naoh: 0, koh: 100, water: 300, roomC: 25 }))).toBeCloseTo(
      25 + heat / capacity,
      6,
    )
  })

  it('between the table goes along cubics with the slopes of Fritsch and Carlson: by hand', () => {
    // Secants 7.9875, 5.54, 3.33, 0.95, 0.033; slopes their means, but for 0.0988 and 0.0066 at the end.
    expect(heatPerMol(2.6)).toBeCloseTo(25.695 + (0.8 * (7.9875 - 6.76375)) / 8, 6)
    expect(heatPerMol(3.5)).toBeCloseTo(31.66 + (6.76375 - 4.435) / 8, 6)
    expect(heatPerMol(7.5)).toBeCloseTo(40.135 + (5 * (2.14 - 0.09878)) / 8, 4)
    expect(heatPerMol(15)).toBeCloseTo(42.675 + (10 * (0.09878 - 0.00663)) / 8, 4)
    expect([heatPerMol(1), heatPerMol(2.2), heatPerMol(20), heatPerMol(50)]).toEqual([
      22.5, 22.5, 42.84, 42.84,
    ])
  })

  it('is the balance worked by hand when everything meets in one jug', () => {
    const all = jug({
      naoh: 60,
      koh: 40,
      readyNaoh: 20,
      readyWater: 20,
      water: 150,
      ice: 30,
      other: 10,
      roomC: 21,
      jugHeat: 50,
    })
    // 320 g, 120 of it alkali, a third of that potash: 4.18 − (1.9 + 2/3) · 0.375 J/gK.
    const capacity = 320 * (4.18 - (1.9 + 2 / 3) * 0.375) + 10 * 2 + 50
    expect(jugCapacity(all)).toBeCloseTo(capacity, 9)
    const [soda, potash, ready] = [60 / 39.997, 40 / 56.1056, 20 / 39.997]
    const heat = heatPerMol(200 / 18.015 / (soda + potash + ready))
    const evolved = (soda + (potash * 57.6) / 44.5) * heat
    const diluted = ready * (heat - heatPerMol(20 / 18.015 / ready))
    const brought = 100 * 1.49 + 150 * 4.18 + 40 * (4.18 - 1.9 * 0.5) + 10 * 2 + 50
    const start = brought * (21 - 25) + 30 * (2.1 * -18 - 334 - 4.18 * 25)
    expect(peakWithoutLoss(all)).toBeCloseTo(
      25 + (1000 * (evolved + diluted) + start) / capacity,
      2,
    )
  })

  it('stays at the room where nothing dissolves, and holds what the jug holds', () => {
    expect(peakWithoutLoss(jug({ water: 0 }))).toBe(20)
    expect(jugCapacity(jug({ naoh: 0, water: 0, jugHeat: 70 }))).toBe(70)
    // Water alone holds 4.18 J/gK; 10 g of soda in 90 g take 1.9 × 0.1 off it.
    expect(jugCapacity(jug({ naoh: 0, water: 100 }))).toBeCloseTo(418, 9)
    expect(jugCapacity(jug({ naoh: 10, water: 90 }))).toBeCloseTo(100 * (4.18 - 0.19), 9)
  })

  it('loses no more than half and a quarter of a small rise, and frozen liquid strays by 5 K more', () => {
    const mild = jug({ naoh: 10 })
    const rise = peakWithoutLoss(mild) - 20
    expect(rise).toBeLessThan(40)
    expect(openJugPeak(mild)).toEqual({
      low: 20 + rise - rise / 2,
      high: 20 + rise - rise / 4,
      rise,
      frozen: false,
    })
    const iced = jug({ water: 180, ice: 20 })
    const peak = peakWithoutLoss(iced)
    expect(openJugPeak(iced).low).toBeCloseTo(peak - 25, 9)
    expect(openJugPeak(iced).high).toBeCloseTo(peak - 5, 9)
    // It warms well, and still tells nothing: how much of it was frozen nobody knows.
    expect(suspectsWeakLye(iced, 0)).toBe(false)
    expect(sightOf(iced)).toBeNull()
  })

  it('sees weak potash too: what it has drawn is water', () => {
    const mixed = jug({ naoh: 60, koh: 60, water: 240 })
    const { even } = sightOf(mixed)!
    const weak = jug({ naoh: 60 * even, koh: 60 * even, water: 240 + 120 * (1 - even) })
    // Losing 15 K as is usual, it peaks where the sign is: 4 K under the range.
    expect(peakWithoutLoss(weak) - 15).toBeCloseTo(peakWithoutLoss(mixed) - 20 - 4, 4)
  })
})
