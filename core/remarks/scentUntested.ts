import { patternOf } from '../formula/method'
import { pours } from '../batter/patterns'
import { workingTime } from '../batter/workingTime'
import type { Rule } from './rule'
import { inSentence } from '../units/language'

/**
 * A pour that needs time, with a scent nobody here can tell the pace of.
 * @example scentUntested(subject({ scents: [scent('Low tide', 0.03)], parts: [pot('pale', 0.5), pot('dark', 0.5)], method: { patterns: ['in-pot-swirl'] } })).severity
 *   // 'know'
 */
export const scentUntested: Rule = ({ document, result, library, say }) => {
  const pour = pours[patternOf(document)]
  const { unknownScents } = workingTime(document, result, library)
  if (pour.lives !== 'fluid' || !unknownScents.length) return null
  return {
    id: 'scent-untested',
    severity: 'know',
    says: `Nobody has written down how fast ${say.list(unknownScents, 'and')} makes a batter; ${inSentence(pour.says)} needs ${pour.minutes} minutes.`,
    because:
      'A scent may halve the time, and its maker’s word holds for another recipe. Test a little of your own batter with it first.',
  }
}
