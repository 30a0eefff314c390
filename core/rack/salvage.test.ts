import { describe, expect, it } from 'vitest'
import { salvageWays } from '#contracts/rackWords'
import { batchOf, frozenOf, told } from '../../tests/support/batchOf'
import { formatter } from '../units/formatter'
import { happened } from '../events'
import { remeltOf, salvageKinds, salvagedMade, whyNotSalvaged } from './salvage'
import { remeltDays, standingOf } from './standing'
import { correctedMade, madeAsPlanned } from './wrong'

const frozen = frozenOf({ size: { by: 'oils', grams: 1000 }, superfat: 0.05 })
const planned = madeAsPlanned(frozen)
const cut = told({ kind: 'cut', day: '2026-03-02', bars: 12 })
const poured = told({ kind: 'poured', day: '2026-03-01' })
const doubtful = told({
  kind: 'corrected',
  day: '2026-03-05',
  differences: [{ what: 'naoh', grams: 20 }],
})

describe('a batch that is melted again', () => {
  it('lye-heavy by 20 g, half of it left: fat and water as by hand', () => {
    // 700 g of 190 and 300 g of 257 take 149.778 g NaOH; 5 % less is 142.289, and 20 more 162.289.
    const made = correctedMade(frozen, planned, [{ what: 'naoh', grams: 20 }])
    expect(made.superfat).toBeCloseTo(1 - 162.289 / 149.778, 4)
    const plan = remeltOf(frozen, made, 0.5)!
    // 162.289 / 0.95 = 170.831; 21.053 more; a gram of olive takes 0.190 × 0.712888 = 0.135449: 155.43 g for all, half for half.
    expect(plan.fat).toMatchObject({ id: 'olive' })
    expect(plan.fat!.grams).toBeCloseTo(77.72, 1)
    // Poured 1000 + 162.289 + 313.036 = 1475.325; half 737.66, of it 156.518 water.
    expect(plan.water).toBeCloseTo((0.32 * (737.66 + 77.72) - 156.518) / 0.68, 1)
    expect(plan.superfat).toBe(0.05)
    expect(plan.mass).toBeCloseTo(737.66 + plan.fat!.grams + plan.water, 1)
    // A third of it is water then.
    expect((156.518 + plan.water) / plan.mass).toBeCloseTo(0.32, 4)
    // What went into half counts as twice as much of all: the superfat is what was aimed at.
    const after = salvagedMade(frozen, made, {
      way: 'remelted',
      left: 0.5,
      fat: plan.fat,
      water: plan.water,
    })
    expect(after.superfat).toBeCloseTo(0.05, 6)
  })
  it('parted, with right weights, and half dry: water alone, for what has dried off', () => {
    const plan = remeltOf(frozen, planned, 1, 1200)!
    expect(plan.fat).toBeNull()
    // 1455.325 poured, 255.325 dried off of 313.036: 57.711 left. (384 − 57.711) / 0.68.
    expect(plan.water).toBeCloseTo(479.84, 1)
    expect(plan.superfat).toBeCloseTo(0.05, 9)
  })
  it('wet enough it wants no water; drier than its water can be it has none', () => {
    expect(
      remeltOf(
        frozenOf({ water: { held: 'ratio', value: 4.4 } }),
        madeAsPlanned(frozenOf({ water: { held: 'ratio', value: 4.4 } })),
        1,
      )!.water,
    ).toBe(0)
    expect(remeltOf(frozen, planned, 1, 500)!.water).toBeCloseTo((0.32 * 500) / 0.68, 6)
  })
  it('aims at the formula’s own superfat where that is more', () => {
    const rich = frozenOf({ superfat: 0.08 })
    const made = correctedMade(rich, madeAsPlanned(rich), [{ what: 'naoh', grams: 40 }])
    expect(remeltOf(rich, made, 1)!.superfat).toBe(0.08)
  })

  it('is another soap: its tests and its cure begin anew, its weights count what went in', () => {
    const plan = remeltOf(frozen, correctedMade(frozen, planned, [{ what: 'naoh', grams: 20 }]), 1)!
    const strip = told({ kind: 'strip', day: '2026-03-04', ph: 12, where: 'lather' })
    const remelted = told({
      kind: 'salvaged',
      day: '2026-03-10',
      way: 'remelted',
      fat: { id: plan.fat!.id, grams: plan.fat!.grams },
      water: plan.water,
    })
    const before = batchOf([poured, cut, strip, doubtful], { frozen })
    expect(before.facts.usable.state).toBe('locked')
    const after = batchOf([poured, cut, strip, doubtful, remelted], { frozen })
    expect(after.facts.usable.state).toBe('untested')
    expect(after.facts.remeltedOn).toBe('2026-03-10')
    expect(standingOf(after, '2026-03-12')).toMatchObject({
      curedOn: '2026-04-07',
      stage: 'drying',
    })
    expect(remeltDays).toBe(28)
    // Weighed before, it says nothing of the new bars.
    const weighed = (day: string) => told({ kind: 'weighed', day, bars: [{ bar: 1, grams: 100 }] })
    const dried = batchOf([poured, cut, weighed('2026-03-08'), remelted, weighed('2026-03-17')], {
      frozen,
    })
    expect(dried.facts.drying!.times).toBe(1)
  })
  it('for the laundry it is no soap for skin; kept it is what it was', () => {
    const laundry = batchOf(
      [poured, cut, told({ kind: 'salvaged', day: '2026-03-10', way: 'laundry' })],
      { frozen },
    )
    expect(laundry.facts).toMatchObject({ laundry: true, remeltedOn: null })
    const kept = told({ kind: 'salvaged', day: '2026-03-10', way: 'kept', note: 'crumbs' })
    expect(batchOf([poured, cut, kept], { frozen }).facts.laundry).toBe(false)
    expect(
      salvagedMade(frozen, planned, {
        way: 'kept',
        left: 1,
        fat: { id: 'olive', grams: 50 },
        water: 100,
      }),
    ).toEqual(planned)
  })
  it('not every way is for every batch', () => {
    expect(whyNotSalvaged('laundry', -0.031)).toMatch(/too much lye/)
    expect(whyNotSalvaged('laundry', -0.03)).toBeNull()
    expect(whyNotSalvaged('kept', -0.001)).toMatch(/free lye/)
    expect(whyNotSalvaged('kept', 0)).toBeNull()
    expect(whyNotSalvaged('remelted', -0.3)).toBeNull()
    for (const way of salvageWays) expect(salvageKinds[way].how.length).toBeGreaterThan(1)
  })
  it('is told in a line', () => {
    const words = { say: formatter({}), places: [] }
    expect(
      happened(
        {
          kind: 'salvaged',
          day: '2026-03-10',
          way: 'remelted',
          fat: { id: 'olive', grams: 77.7 },
          water: 153.5,
          note: 'Smooth.',
        },
        words,
      ),
    ).toBe('Melted again with 77.7 g olive and 153.5 g water. Smooth.')
    expect(happened({ kind: 'salvaged', day: '2026-03-10', way: 'kept' }, words)).toBe(
      'Kept, to be looked at again',
    )
  })
})
