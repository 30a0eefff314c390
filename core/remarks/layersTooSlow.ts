import { patternOf } from '../formula/method'
import { longestFor } from '../batter/bears'
import { pours } from '../batter/patterns'
import { reasonsOf, workingTime } from '../batter/workingTime'
import type { Rule } from './rule'
import { ratioForTime, waterPatch } from './waterValue'

/**
 * A pour that lives on batter that sets, in a formula that stays fluid for long.
 * @example layersTooSlow(subject({ water: { value: 3 }, parts: [pot('pale', 0.5), pot('dark', 0.5)], method: { patterns: ['layers'] } })).severity
 *   // 'know'
 */
export const layersTooSlow: Rule = (subject) => {
  const { document, result, library, say } = subject
  const pour = pours[patternOf(document)]
  if (pour.lives !== 'setting') return null
  const time = workingTime(document, result, library)
  const longest = longestFor(pour)
  if (time.minutes <= longest) return null
  const drier = ratioForTime(
    subject,
    [2.2, 2, 1.8].filter((ratio) => ratio < result.water.ratio),
    (minutes) => minutes <= longest,
  )
  return {
    id: 'layers-too-slow',
    severity: 'know',
    says: `${pour.says}: the batter should set, and this one stays fluid for about ${Math.round(time.minutes)} minutes.`,
    because: `What slows it: ${reasonsOf(time, 'more', say) || 'nothing hurries it'}. A layer that is poured too early sinks into the one below.`,
    fix: drier
      ? { label: `Lower the water to ${say.ratio(drier)}`, patch: waterPatch(subject, drier) }
      : undefined,
  }
}
