import { openedFats } from '../materials/opened'
import type { Rule, Subject } from './rule'
import { sumOf } from '../statistics/sum'

/**
 * Share of the oils that is olive of any grade, in a stock too.
 * @example oliveShare(subject({ fats: fats({ olive: 0.7, coconut: 0.3 }) })) // 0.7
 */
export const oliveShare = ({ result, library }: Pick<Subject, 'result' | 'library'>) =>
  sumOf(openedFats(result.fats, library), ({ id, share }) => (id.startsWith('olive') ? share : 0))

/**
 * Much olive with little water turns rock hard within a day.
 * @example oliveCutSoon(subject({ water: { value: 1.6 } })).severity // 'know'
 */
export const oliveCutSoon: Rule = (subject) => {
  const { result, say } = subject
  const olive = oliveShare(subject)
  const { ratio } = result.water
  if (olive < 0.7 || ratio <= 0 || ratio > 1.8 + 1e-9) return null
  return {
    id: 'olive-cut-soon',
    severity: 'know',
    says: `Cut it within 24 hours: ${say.percent(olive, 0)} olive at ${say.ratio(ratio)} turns rock hard.`,
    because:
      'With so little water there is nothing to keep the bar soft; later it splinters under the blade.',
  }
}
