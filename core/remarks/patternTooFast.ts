import { patternOf } from '../formula/method'
import { pours } from '../batter/patterns'
import { reasonsOf, workingTime } from '../batter/workingTime'
import type { Rule } from './rule'
import { ratioForTime, waterPatch } from './waterValue'

/**
 * A pour that wants fluid batter for longer than this formula stays so.
 * @example patternTooFast(subject({ water: { value: 1.5 }, fats: fats({ olive: 0.45, coconut: 0.25, shea: 0.2, castor: 0.1 }), parts: [pot('pale', 0.5), pot('dark', 0.5)], method: { patterns: ['hanger-swirl'] } })).severity
 *   // 'think'
 */
export const patternTooFast: Rule = (subject) => {
  const { document, result, library, say } = subject
  const pour = pours[patternOf(document)]
  if (pour.lives !== 'fluid') return null
  const time = workingTime(document, result, library)
  if (time.minutes >= pour.minutes) return null
  const wetter = [2.4, 2.6, 2.8, 3].filter((ratio) => ratio > result.water.ratio)
  const enough = ratioForTime(subject, wetter, (minutes) => minutes >= pour.minutes)
  return {
    id: 'pattern-too-fast',
    severity: 'think',
    says: `${pour.says} wants fluid batter for about ${pour.minutes} minutes; this one gives about ${Math.round(time.minutes)}.`,
    because: `What hurries it: ${reasonsOf(time, 'less', say)}. An estimate; your own times are better.`,
    fix: enough
      ? {
          label: `Raise the water to ${say.ratio(enough)}`,
          patch: waterPatch(subject, enough),
        }
      : {
          label: 'Pour layers instead',
          patch: [{ path: ['method', 'patterns'], value: ['layers'] }],
        },
  }
}
