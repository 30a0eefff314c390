import { claimsIn } from '../label/claims'
import type { Rule } from './rule'

/**
 * A name or note that promises what soap may not promise.
 * @example healingClaim(subject({ notes: 'Heals eczema.' })).severity // 'think'
 */
export const healingClaim: Rule = ({ document }) => {
  const found = claimsIn(`${document.name} ${document.notes}`).find(
    ({ kind }) => kind === 'healing',
  )
  if (!found) return null
  return {
    id: 'healing-claim',
    severity: 'think',
    says: `“${found.says}” reads as a medical claim; soap makes none.`,
    because:
      'With such a word on label or stall the bar counts as a medicine in most places, with all its rules. Keep it out of what customers see.',
  }
}
