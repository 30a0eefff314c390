const ailments =
  "eczema|psoriasis|acne|dermatitis|rosacea|athlete[’']?s foot|fungus|rash(?:es)?|wounds?|itch(?:ing)?"
const healing = new RegExp(
  `\\b(heals?|healing|medicinal|medicated|therapeutic|antiseptic|antibacterial|antifungal|anti-?ageing|anti-?aging|${ailments})\\b|\\b(?:cures|treats|treatment (?:of|for)) (?:the |your |his |her |dry |sore |irritated |all )*(?:skin|hands?|feet|everything|${ailments})\\b`,
  'i',
)
const origin = /\b(marseille|aleppo|alep|castile|castille|nablus)\b/i

/** Something said of a soap that may not be said of it: a promise to heal, or a name that belongs to a place. */
export interface Claim {
  kind: 'healing' | 'origin'
  /** The words as they stand there. */
  says: string
}

/**
 * The first promise of healing, and the first name of a protected origin, in a text that customers see.
 * @example claimsIn('Heals cracked hands') // [{ kind: 'healing', says: 'Heals' }]
 */
export function claimsIn(text: string): Claim[] {
  const found = (kind: Claim['kind'], pattern: RegExp): Claim[] => {
    const match = pattern.exec(text)
    return match ? [{ kind, says: match[0] }] : []
  }
  return [...found('healing', healing), ...found('origin', origin)]
}

/**
 * Why something is not to be said of a soap, as a sentence.
 * @example claimSays({ kind: 'origin', says: 'Aleppo' }) // '“Aleppo” is a name that belongs to a place: in many countries only soap from there may bear it.'
 */
export const claimSays = ({ kind, says }: Claim): string =>
  kind === 'healing'
    ? `“${says}” claims to cure. A soap may not say so.`
    : `“${says}” is a name that belongs to a place: in many countries only soap from there may bear it.`

/**
 * A text without what it claims: its sentence is left out, or said so that it promises nothing.
 * @example withoutClaim('Heals cracked hands. Made in a slate shed.', { kind: 'healing', says: 'Heals' }) // 'For hands that work. Made in a slate shed.'
 */
export function withoutClaim(text: string, { kind, says }: Claim): string {
  const sentences = text.split(/(?<=[.!?])\s+/)
  return sentences
    .map((sentence) => {
      if (!sentence.includes(says)) return sentence
      if (kind === 'origin') return sentence.replace(says, 'olive')
      if (/hands?/i.test(sentence)) return 'For hands that work.'
      return /feet|foot/i.test(sentence) ? 'For feet that walk.' : ''
    })
    .filter(Boolean)
    .join(' ')
}
