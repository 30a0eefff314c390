import { pours } from '../batter/patterns'
import { patternOf } from '../formula/method'
import { ownScents } from './ownScents'
import type { Rule } from './rule'

/** Part of the plain batter's time from which a scent keeps layers from setting (judgement). */
const calm = 1.2

/**
 * A scent that slowed own batter, where layers must set.
 * @example scentCalm(subject({ scents: [scent('Fir', 0.03)] })) // null
 */
export const scentCalm: Rule = (subject) => {
  const { document, say } = subject
  const pour = pours[patternOf(document)]
  if (pour.lives !== 'setting') return null
  const slow = ownScents(subject).find(({ known }) => known.effect.factor >= calm)
  if (!slow) return null
  const { line, known } = slow
  return {
    id: 'scent-calm',
    severity: 'know',
    says: `${line.name} kept ${say.count(known.tried.length, 'pot', 'pots')} of your own fluid for ${say.number(known.effect.factor, undefined, 1)} times as long as plain.`,
    because: `${pour.says}: each must set before the next. A scent that hurries a little, or less water, does that.`,
  }
}
