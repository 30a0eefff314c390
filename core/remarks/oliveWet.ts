import { oliveShare } from './oliveCutSoon'
import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/**
 * Much olive with much water stays soft for days.
 * @example oliveWet(subject({ water: { value: 2.6 } })).severity // 'think'
 */
export const oliveWet: Rule = (subject) => {
  const { result, say } = subject
  const olive = oliveShare(subject)
  const { ratio } = result.water
  if (olive < 0.6 - 1e-9 || ratio < 2.5 - 1e-9 || ratio > 3.5) return null
  return {
    id: 'olive-wet',
    severity: 'think',
    says: `${say.percent(olive, 0)} olive at ${say.ratio(ratio)} stays in the mould for days.`,
    because:
      'Olive sets slowly by itself, and every gram of water keeps it soft and has to leave again. Makers pour it at 1.6 to 2 : 1.',
    fix: { label: `Lower the water to ${say.ratio(1.8)}`, patch: waterPatch(subject, 1.8) },
  }
}
