import type { BatchCost, CostLine } from '#contracts/store'
import { sumOf } from '../statistics/sum'

/*
 * What a batch cost. Money in the smallest unit, exact until it is printed.
 */

/** What a batch took, and what the workshop reckons with. */
export interface CostOf {
  /** What was drawn, or would be: g at what a gram of it costs. `unit` null where nobody knows. */
  goods: readonly { thing: string; says: string; grams: number; unit: number | null }[]
  /** Wraps, labels and liners. */
  wraps: readonly { thing: string; says: string; pieces: number; unit: number | null }[]
  hours: number
  /** For an hour. */
  hourly: number
  overhead: { cost: number; per: 'batch' | 'bar' }
  /** What money that is tied up costs for a year, as a share; and days on the rack. */
  tiedUp: number
  days: number
  /** Bars that can leave. */
  bars: number
}

/**
 * What a batch cost, line by line.
 * @example batchCost({ goods: [{ thing: 'olive', says: 'Olive oil', grams: 450, unit: 0.94 }], wraps: [], hours: 0, hourly: 0, overhead: { cost: 0, per: 'batch' }, tiedUp: 0, days: 0, bars: 9 }).bar // 47
 */
export function batchCost(of: CostOf): BatchCost {
  const { bars, hours, hourly, overhead, tiedUp, days } = of
  const goods = of.goods.map(({ thing, says, grams, unit }): CostLine => ({
    kind: 'goods',
    thing,
    says,
    amount: grams,
    cost: grams * (unit ?? 0),
  }))
  const wraps = of.wraps.map(({ thing, says, pieces, unit }): CostLine => ({
    kind: 'wraps',
    thing,
    says,
    amount: pieces,
    cost: pieces * (unit ?? 0),
  }))
  const spent = sumOf([...goods, ...wraps], ({ cost }) => cost)
  const work = hours * hourly
  const own = (kind: CostLine['kind'], says: string, amount: number, cost: number): CostLine[] =>
    cost > 0 ? [{ kind, thing: '', says, amount, cost }] : []
  const lines = [
    ...goods,
    ...wraps,
    ...own('hours', 'Hours', hours, work),
    ...own('overhead', 'Overhead', 1, overhead.cost * (overhead.per === 'bar' ? bars : 1)),
    ...own('rack', 'Time on the rack', days, ((spent + work) * tiedUp * days) / 365),
  ]
  const total = sumOf(lines, ({ cost }) => cost)
  return {
    lines,
    total,
    bar: bars > 0 ? total / bars : null,
    unknown: [
      ...of.goods.flatMap(({ says, unit }) => (unit === null ? [says] : [])),
      ...of.wraps.flatMap(({ says, unit }) => (unit === null ? [says] : [])),
    ],
  }
}

/**
 * Exact figures as whole ones that sum to the whole of their sum: each is rounded down, and what is missing goes to those that lost
 * most, the first first.
 * @example printed([33.4, 33.4, 33.4]) // [34, 33, 33]
 */
export function printed(exact: readonly number[]): number[] {
  const total = Math.round(sumOf(exact, (value) => value) + 1e-9)
  const whole = exact.map((value) => Math.floor(value + 1e-9))
  const missing = total - sumOf(whole, (value) => value)
  const byLoss = exact
    .map((value, place) => ({ place, loss: value - whole[place]! }))
    .sort((a, b) => b.loss - a.loss || a.place - b.place)
  for (const { place } of byLoss.slice(0, Math.max(0, missing))) whole[place]! += 1
  return whole
}
