import type { Rule } from './rule'
import { lowerFats } from './shift'

/**
 * More castor than holds the lather: the bar turns sticky and the batter quick.
 * @example castorHeavy(subject({ fats: fats({ olive: 0.8, castor: 0.2 }) })).severity // 'think'
 */
export const castorHeavy: Rule = (subject) => {
  const { result, say } = subject
  const acid = result.fattyAcids.ricinoleic ?? 0
  if (acid <= 0.12) return null
  const castor = result.fats.flatMap((fat, index) => (fat.id === 'castor' ? [index] : []))
  const lowered = castor.length ? lowerFats(subject, castor, 0.07) : null
  return {
    id: 'castor-heavy',
    severity: 'think',
    says: `${say.percent(acid)} ricinoleic acid makes a soft, tacky bar and a batter that hurries.`,
    because:
      'Castor holds lather up from about 5 % of the oils; beyond 12 % more of it adds no foam.',
    fix: lowered ? { label: `Lower castor to ${say.percent(0.07)}`, patch: lowered } : undefined,
  }
}
