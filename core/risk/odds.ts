import type { Frozen } from '#contracts/result'
import { frozenLibrary } from '../formula/frozen'
import { closedForm } from './closedForm'
import { uncertaintyOf } from './uncertainty'

/** Weights may be trusted without a test while the chance of lye left over is no more than this: on skin, and for cleaning. */
export const trustOdds = { skin: 0.01, cleaning: 0.05 } as const

/** Share of a normal distribution below z: Abramowitz and Stegun 26.2.17, right to 1e-7. */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return z < 0 ? tail : 1 - tail
}

/**
 * Chance that a batch has lye left over, by the spread of its fats and of fresh lye, in closed form.
 * @param superfat in all, as weighed or as planned, by the lye's stated purity
 * @param scale g that the scale showed
 */
export function lyeHeavyOdds(frozen: Frozen, superfat: number, scale = 1): number {
  const { document, result } = frozen
  const spread = uncertaintyOf(document, result, frozenLibrary(frozen), scale, 'fresh')
  if (!spread.fats.length || !spread.alkalis.length) return 0
  const { mean, sigma } = closedForm(spread)
  // The real superfat lies above the planned one as far as the lye is less pure than stated; the same holds for what was weighed.
  const real = 1 - ((1 - mean) * (1 - superfat)) / (1 - result.superfat.total)
  return sigma > 0 ? normalBelow(-real / sigma) : real < 0 ? 1 : 0
}

/** Whether a batch is for cleaning and never for skin. */
export const forCleaning = ({ document }: Pick<Frozen, 'document'>): boolean =>
  document.use === 'laundry' || document.use === 'dishes'
