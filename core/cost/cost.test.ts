import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { batchCost, printed } from './batchCost'
import { keptOf, maySpend, priceFor, reaches } from './price'
import { yearTo } from './year'

const plain = {
  wraps: [],
  hours: 0,
  hourly: 0,
  overhead: { cost: 0, per: 'batch' as const },
  tiedUp: 0,
  days: 0,
  bars: 8,
}
const goods = [
  [450, 0.94],
  [250, 0.56],
  [200, 1.15],
  [100, 0.89],
  [136.536, 0.38],
  [32, 4.6],
].map(([grams, unit], nth) => ({ thing: `t${nth}`, says: `T${nth}`, grams: grams!, unit: unit! }))
const none = { fee: 0, discount: 0, wholesale: 0, tax: 0 }

describe('the cost of a batch', () => {
  it('is 1081 p by hand, 135.1 p at 8 bars, 337.8 p at a margin of 60 %', () => {
    const cost = batchCost({ ...plain, goods })
    // 423 + 140 + 230 + 89 + 51.88368 + 147.2
    expect(cost.total).toBeCloseTo(1081.08368, 5)
    expect(cost.bar).toBeCloseTo(135.135, 3)
    expect(priceFor(cost.bar!, 0.6, none)).toBeCloseTo(337.8, 1)
  })
  it('counts hours, overhead by batch or bar, wraps and time on the rack', () => {
    const of = {
      ...plain,
      goods,
      hours: 2.5,
      hourly: 1260,
      wraps: [{ thing: 'goods-wrap', says: 'Wraps', pieces: 8, unit: 6 }],
    }
    expect(batchCost({ ...of, overhead: { cost: 320, per: 'batch' } }).total).toBeCloseTo(
      1081.08368 + 3150 + 48 + 320,
      5,
    )
    expect(batchCost({ ...of, overhead: { cost: 40, per: 'bar' } }).total).toBeCloseTo(
      1081.08368 + 3150 + 48 + 320,
      5,
    )
    const year = batchCost({ ...plain, goods, tiedUp: 0.06, days: 365 })
    expect(year.total).toBeCloseTo(1081.08368 * 1.06, 5)
    expect(batchCost({ ...plain, goods, bars: 0 }).bar).toBe(null)
  })
  it('says what it does not know the price of', () => {
    const cost = batchCost({
      ...plain,
      goods: [...goods, { thing: 'x', says: 'Own milk', grams: 100, unit: null }],
    })
    expect(cost.unknown).toEqual(['Own milk'])
    expect(cost.total).toBeCloseTo(1081.08368, 5)
  })
  it('prints lines that sum to what is printed under them', () => {
    expect(printed([100 / 3, 100 / 3, 100 / 3])).toEqual([34, 33, 33])
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1e5, noNaN: true }), { maxLength: 20 }),
        (exact) => {
          const whole = printed(exact)
          const total = exact.reduce((a, b) => a + b, 0)
          expect(whole.reduce((a, b) => a + b, 0)).toBe(Math.round(total + 1e-9))
          whole.forEach((value, nth) =>
            expect(Math.abs(value - exact[nth]!)).toBeLessThanOrEqual(1 + 1e-6),
          )
        },
      ),
    )
  })
})

describe('a price, both ways', () => {
  const stall = { fee: 0.08, discount: 0.05, wholesale: 0, tax: 0 }
  it('from what it cost up, and from the stall down', () => {
    expect(priceFor(172.2, 0.6, stall)).toBeCloseTo(494.8, 1)
    expect(reaches(450, stall)).toBeCloseTo(391.5, 9)
    expect(maySpend(450, 0.6, stall)).toBeCloseTo(156.6, 9)
    expect(keptOf(450, 172.2, stall)).toBeCloseTo(1 - 172.2 / 391.5, 9)
  })
  it('takes tax out of what is paid, a shop its part of the price', () => {
    expect(reaches(600, { ...none, tax: 0.2 })).toBeCloseTo(500, 9)
    expect(reaches(600, { ...none, wholesale: 0.4, tax: 0.2 })).toBeCloseTo(300, 9)
    expect(priceFor(100, 0.5, { ...none, fee: 1 })).toBe(null)
    expect(priceFor(100, 1, none)).toBe(null)
    expect(keptOf(100, 10, { ...none, fee: 1 })).toBe(null)
  })
  it('one way is the other way back', () => {
    const share = fc.double({ min: 0, max: 0.3, noNaN: true })
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1e4, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        share,
        share,
        share,
        (cost, keep, fee, discount, tax) => {
          const between = { fee, discount, wholesale: 0, tax }
          const price = priceFor(cost, keep, between)!
          expect(maySpend(price, keep, between) / cost).toBeCloseTo(1, 6)
          expect(keptOf(price, cost, between)).toBeCloseTo(keep, 6)
        },
      ),
    )
  })
})

it('a year is twelve months, with what was there before', () => {
  const year = yearTo('2026-02-10', [
    { day: '2024-12-31', kind: 'made', bars: 40 },
    { day: '2025-01-02', kind: 'gone', bars: 10, how: 'sold', money: 4000 },
    { day: '2025-03-01', kind: 'made', bars: 12 },
    { day: '2026-02-10', kind: 'gone', bars: 5, how: 'given', money: 0 },
    { day: '2026-02-01', kind: 'gone', bars: 2, how: 'sold', money: 900 },
    { day: '2026-02-02', kind: 'spent', on: 'fats', money: 3100 },
  ])
  expect(year.map(({ month }) => month).slice(0, 2)).toEqual(['2025-03', '2025-04'])
  expect(year[0]).toMatchObject({ made: 12, here: 42 })
  expect(year.at(-1)).toMatchObject({
    month: '2026-02',
    gone: 7,
    goneBy: { given: 5, sold: 2 },
    here: 35,
    taken: 900,
    spent: { fats: 3100 },
  })
})
