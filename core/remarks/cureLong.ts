import { cureRuleFor } from '../rack/cure'
import type { Rule } from './rule'

/**
 * Soaps that want most of a year.
 * @example cureLong(subject()).severity // 'know'
 */
export const cureLong: Rule = ({ result }) => {
  if (cureRuleFor(result).id !== 'olive') return null
  return {
    id: 'cure-long',
    severity: 'know',
    says: 'This one is at its best after six to twelve months on the rack.',
    because:
      'Soaps of olive, laurel and other oils that never set hard are usable after weeks but go slimy in use until they have dried for long.',
  }
}
