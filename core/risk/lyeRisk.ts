import type { FormulaResult } from '#contracts/result'
import { closedForm } from './closedForm'
import type { Draws } from './draws'
import { quantile } from '../statistics/quantile'
import type { Uncertainty } from './uncertainty'

/** How a batch may really come out. Superfats as fractions. */
export interface LyeRisk {
  draws: number
  median: number
  low: number
  high: number
  /** Chance that lye is left over. */
  lyeHeavy: number
  /** The smallest total superfat, as planned, that keeps that chance under the chosen one. */
  smallest: number
  /** What contributes most to the spread, largest first. */
  sources: { name: string; share: number }[]
  /** Counts of batches from the lowest superfat to the highest, for a picture. */
  histogram: { from: number; width: number; counts: number[] }
}

/**
 * The superfat to ask for so that the total becomes the smallest that will do: up to the next tenth of a per cent, 0 at least.
 * @param smallest in all, as `lyeRisk` tells it
 * @example superfatToAsk({ asked: 0.05, total: 0.06 }, 0.0362) // 0.027
 */
export const superfatToAsk = (
  { asked, total }: FormulaResult['superfat'],
  smallest: number,
): number => Math.max(0, Math.ceil((smallest + (asked - total)) * 1000 - 1e-6) / 1000)

const bins = 48

/**
 * Sums up drawn batches.
 * @param planned total superfat of the formula by its stated purity: `smallest` is told on the same footing
 * @param risk chance of a lye-heavy batch that the maker accepts, above 0
 * @example lyeRisk({ superfats: [0.03, 0.05, 0.07], needed: [0.02, 0, -0.02] }, spread, 0.05, 0.01).median // 0.05
 */
export function lyeRisk(draws: Draws, spread: Uncertainty, planned: number, risk: number): LyeRisk {
  const sorted = draws.superfats.slice().sort()
  const count = sorted.length
  if (!count || !spread.fats.length)
    return {
      draws: 0,
      median: 0,
      low: 0,
      high: 0,
      lyeHeavy: 0,
      smallest: 0,
      sources: [],
      histogram: { from: 0, width: 0, counts: [] },
    }
  let heavy = 0
  while (heavy < count && sorted[heavy]! < 0) heavy++
  // The draws take the lye at its likely purity, the formula at its stated one: what is needed is told on its footing.
  const { nominal, sources } = closedForm(spread)
  const needed = quantile(draws.needed.slice().sort(), 1 - risk)
  const smallest = 1 - ((1 - needed) * (1 - planned)) / (1 - nominal)
  const from = sorted[0]!
  const width = (sorted[count - 1]! - from) / bins || 1e-9
  const counts = new Array<number>(bins).fill(0)
  for (const value of sorted) counts[Math.min(bins - 1, Math.floor((value - from) / width))]!++
  return {
    draws: count,
    median: quantile(sorted, 0.5),
    low: quantile(sorted, 0.05),
    high: quantile(sorted, 0.95),
    lyeHeavy: heavy / count,
    smallest,
    sources,
    histogram: { from, width, counts },
  }
}
