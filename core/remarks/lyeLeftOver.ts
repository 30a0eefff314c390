import { superfatToAsk } from '../risk/lyeRisk'
import { forCleaning, mostOdds } from '../risk/odds'
import { oddsText } from '../risk/oddsText'
import type { Rule } from './rule'

/**
 * Lye left over more often than the workshop puts up with, by the spread of the fats.
 * @example lyeLeftOver(subject({ superfat: 0.03 }, { lyeRisk: 0.01, lyeRiskCleaning: 0.05, drawn: { lyeHeavy: 0.02, smallest: 0.0362 } })).severity
 *   // 'think'
 */
export const lyeLeftOver: Rule = ({ document, result, say, limits }) => {
  const { drawn } = limits
  const most = mostOdds(limits, forCleaning({ document }))
  // Less than nothing is said by a remark of its own.
  if (!drawn || most === null || drawn.lyeHeavy <= most || result.superfat.total < 0) return null
  const needed = superfatToAsk(result.superfat, drawn.smallest)
  return {
    id: 'lye-left-over',
    severity: 'think',
    says: `Lye is left over in ${oddsText(drawn.lyeHeavy, say)} such batches; this workshop puts up with ${oddsText(most, say)}.`,
    because:
      'Lots of one fat differ, and those of one batch often to the same side; lye may be purer than it was taken. Drawn from the published ranges, so many batches would have lye left over.',
    fix:
      needed > result.superfat.asked
        ? {
            label: `Set superfat to ${say.percent(needed, 1)}`,
            patch: [{ path: ['superfat'], value: needed }],
          }
        : undefined,
  }
}
