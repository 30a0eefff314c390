import type { Rule } from './rule'

const names = /\b(marseille|aleppo|alep|castile|castille|nablus)\b/i

/**
 * A name that some countries keep for soap of one place or one composition.
 * @example protectedName(subject({ name: 'Aleppo style' })).severity // 'think'
 */
export const protectedName: Rule = ({ document }) => {
  const found = names.exec(document.name)
  if (!found) return null
  return {
    id: 'protected-name',
    severity: 'think',
    says: `“${found[0]}” is a name of origin or of a set composition: selling under it may not be allowed.`,
    because:
      'Some soap names are protected where they come from, or by fair-trading law. Ask the office that is in charge where you sell.',
  }
}
