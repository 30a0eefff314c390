import type { Frozen } from '#contracts/result'
import { frozenLibrary } from '../formula/frozen'
import { closedForm } from './closedForm'
import { drawSuperfats } from './draws'
import { uncertaintyOf } from './uncertainty'

/** Enough for odds of 1 in 100 to within a tenth of them. */
const draws = 20_000
const seed = 2026

/**
 * Chance that a batch has lye left over, by the spread of its fats and of fresh lye; some ten milliseconds of a processor.
 * @param superfat in all, as weighed or as planned, by the lye's stated purity
 * @param scale g that the scale showed
 * @example lyeHeavyOdds(frozen, 0.05) // 0.00145
 */
export function lyeHeavyOdds(frozen: Frozen, superfat: number, scale = 1): number {
  const { document, result } = frozen
  const spread = uncertaintyOf(document, result, frozenLibrary(frozen), scale, 'fresh')
  if (!spread.fats.length || !spread.alkalis.length) return 0
  // The draws take the lye at its likely purity, the superfat is told by the stated one.
  const { nominal } = closedForm(spread)
  const likely = 1 - ((1 - superfat) * (1 - nominal)) / (1 - result.superfat.total)
  const { needed } = drawSuperfats(spread, draws, seed)
  return needed.filter((one) => one > likely).length / draws
}

/** Chances of lye left over that a workshop puts up with, on skin and for cleaning; null where it does not ask. */
export interface RiskLimits {
  lyeRisk: number
  lyeRiskCleaning: number | null
}
/**
 * The one of them that counts for what a soap is for.
 * @example mostOdds({ lyeRisk: 0.01, lyeRiskCleaning: null }, true) // null
 */
export const mostOdds = (limits: Partial<RiskLimits>, cleaning: boolean): number | null =>
  (cleaning ? limits.lyeRiskCleaning : limits.lyeRisk) ?? null

/**
 * Whether a batch is for cleaning and never for skin.
 * @example forCleaning({ document: soap({ use: 'laundry' }) }) // true
 */
export const forCleaning = ({ document }: Pick<Frozen, 'document'>): boolean =>
  document.use === 'laundry' || document.use === 'dishes'
