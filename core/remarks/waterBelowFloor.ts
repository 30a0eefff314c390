import { waterFloor } from '../water/ways'
import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/**
 * Less water than the lye needs to dissolve.
 * @example waterBelowFloor(subject({ water: { value: 0.95 } })).severity // 'stop'
 */
export const waterBelowFloor: Rule = (subject) => {
  const { result, say } = subject
  if (result.water.ratio <= 0 || result.water.ratio >= waterFloor - 1e-9) return null
  return {
    id: 'water-below-floor',
    severity: 'stop',
    says: `${say.ratio(result.water.ratio)} is too little water: the lye will not dissolve.`,
    because:
      'About 1.1 g of sodium hydroxide dissolves in 1 g of water near room temperature; 1 : 1 is the floor.',
    fix: { label: `Raise to ${say.ratio(2)}`, patch: waterPatch(subject, 2) },
  }
}
