import { lauricShare } from './lauricHeavy'
import type { Rule } from './rule'

/**
 * A great deal of free fat in a bar that does not need it.
 * @example superfatHigh(subject({ superfat: 0.14 })).severity // 'think'
 */
export const superfatHigh: Rule = (subject) => {
  const { document, result, say } = subject
  if (result.superfat.total <= 0.12 + 1e-9 || lauricShare(subject) > 0.5) return null
  // Fats held back and not counted in the lye raise it more than the figure that was asked for.
  const leftOut = document.fats.flatMap((line, index) => (line.inLye ? [] : [index]))
  return {
    id: 'superfat-high',
    severity: 'think',
    says: `${say.percent(result.superfat.total)} superfat leaves the bar soft, slow to foam and quicker to go rancid.`,
    because: 'Only soaps that are nearly all coconut need this much free fat to be kind to skin.',
    fix:
      leftOut.length && result.superfat.asked <= 0.12
        ? {
            label: 'Count the held-back fat in the lye',
            patch: leftOut.map((index) => ({ path: ['fats', index, 'inLye'], value: true })),
          }
        : {
            label: `Set superfat to ${say.percent(0.06)}`,
            patch: [{ path: ['superfat'], value: 0.06 }],
          },
  }
}
