import { waterFloor } from '../water/ways'
import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/**
 * Water above the floor, but so little that the batter races.
 * @example waterNarrow(subject({ water: { value: 1.2 } })).severity // 'think'
 */
export const waterNarrow: Rule = (subject) => {
  const { ratio } = subject.result.water
  if (ratio < waterFloor - 1e-9 || ratio >= 1.3 - 1e-9) return null
  const { say } = subject
  return {
    id: 'water-narrow',
    severity: 'think',
    says: `At ${say.ratio(ratio)} the batter is hot and quick, with little time to pour.`,
    because:
      'Strong lye saponifies fast and heats up. Making it fumes, crusts at the bottom and splashes: open air, goggles, the lye a spoon at a time. It crystallises if it cools too far.',
    fix: { label: `Raise to ${say.ratio(1.5)}`, patch: waterPatch(subject, 1.5) },
  }
}
