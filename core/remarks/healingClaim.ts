import type { Rule } from './rule'

const claims =
  /\b(heals?|healing|cures\b|treats?|treatment|medicinal|medicated|therapeutic|antiseptic|antibacterial|antifungal|eczema|psoriasis|acne|dermatitis|rosacea|anti-?ageing|anti-?aging)\b/i

/**
 * A name or note that promises what soap may not promise.
 * @example healingClaim(subject({ notes: 'Heals eczema.' })).severity // 'think'
 */
export const healingClaim: Rule = ({ document }) => {
  const found = claims.exec(`${document.name} ${document.notes}`)
  if (!found) return null
  return {
    id: 'healing-claim',
    severity: 'think',
    says: `“${found[0]}” reads as a medical claim; soap makes none.`,
    because:
      'With such a word on label or stall the bar counts as a medicine in most places, with all its rules. Keep it out of what customers see.',
  }
}
