import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/**
 * So much water that the bars stay soft and shrink.
 * @example waterWide(subject({ water: { value: 3.6 } })).severity // 'think'
 */
export const waterWide: Rule = (subject) => {
  const { ratio, strength } = subject.result.water
  if (ratio <= 3.5 + 1e-9) return null
  const { say } = subject
  return {
    id: 'water-wide',
    severity: 'think',
    says: `At ${say.ratio(ratio)} the bars unmould late, dry long and shrink a good deal.`,
    because: `The lye is only ${say.percent(strength)} strong; the water it brings has to leave the bar again.`,
    fix: { label: `Lower to ${say.ratio(2.5)}`, patch: waterPatch(subject, 2.5) },
  }
}
