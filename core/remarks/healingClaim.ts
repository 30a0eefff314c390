import type { Rule } from './rule'

const ailments =
  "eczema|psoriasis|acne|dermatitis|rosacea|athlete[’']?s foot|fungus|rash(?:es)?|wounds?|itch(?:ing)?"
const claims = new RegExp(
  `\\b(heals?|healing|medicinal|medicated|therapeutic|antiseptic|antibacterial|antifungal|anti-?ageing|anti-?aging|${ailments})\\b|\\b(?:cures|treats|treatment (?:of|for)) (?:the |your |his |her |dry |sore |irritated |all )*(?:skin|hands?|feet|everything|${ailments})\\b`,
  'i',
)

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
