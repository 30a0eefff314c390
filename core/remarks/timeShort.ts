import { pours } from '../batter/patterns'
import { reasonsOf, workingTime } from '../batter/workingTime'
import { patternOf } from '../formula/method'
import type { Rule } from './rule'

/**
 * Less time than even a plain pour takes.
 * @example timeShort(subject({ water: { value: 1.4 }, fats: fats({ olive: 0.3, coconut: 0.3, castor: 0.4 }), method: { lyeC: 45, oilsC: 45 } })).severity
 *   // 'think'
 */
export const timeShort: Rule = ({ document, result, library, say }) => {
  const pour = pours[patternOf(document)]
  // A pour that lives on fluid batter has a remark of its own.
  if (pour.lives === 'fluid') return null
  const time = workingTime(document, result, library)
  const needs = pours.plain.minutes
  if (time.minutes >= needs) return null
  return {
    id: 'time-short',
    severity: 'think',
    says: `About ${say.count(Math.max(1, Math.round(time.minutes)), 'minute', 'minutes')} from emulsion to too thick: even a plain pour takes ${say.number(needs)}.`,
    because: `What hurries it: ${reasonsOf(time, 'less', say)}. Lay everything out first, the mould lined and within reach; stir by hand. An estimate.`,
  }
}
