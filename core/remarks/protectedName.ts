import { claimsIn } from '../label/claims'
import type { Rule } from './rule'

/**
 * A name that some countries keep for soap of one place or one composition.
 * @example protectedName(subject({ name: 'Aleppo style' })).severity // 'think'
 */
export const protectedName: Rule = ({ document }) => {
  const found = claimsIn(document.name).find(({ kind }) => kind === 'origin')
  if (!found) return null
  return {
    id: 'protected-name',
    severity: 'think',
    says: `“${found.says}” is a name of origin or of a set composition: selling under it may not be allowed.`,
    because:
      'Some soap names are protected where they come from, or by fair-trading law. Ask the office that is in charge where you sell.',
  }
}
