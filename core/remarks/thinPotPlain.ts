import type { Rule } from './rule'

/**
 * A small pot that nothing is stirred into.
 * @example thinPotPlain(subject({ parts: [pot('base', 0.9), pot('thread', 0.1)] })).severity // 'know'
 */
export const thinPotPlain: Rule = ({ document }) => {
  const index = document.parts.findIndex(
    ({ share, scent, additives }) =>
      (share ?? 0) > 0 &&
      (share ?? 0) <= 0.2 &&
      !additives.length &&
      !(scent && document.scents.length),
  )
  const part = document.parts[index]
  if (!part) return null
  return {
    id: 'thin-pot-plain',
    severity: 'know',
    says: `The pot “${part.name}” gets neither colour nor scent, so hardly any stirring: look whether it holds.`,
    because:
      'A small unstirred part can fall out of emulsion and leave an oily, lye-heavy streak. Give each pot its turn with the whisk.',
  }
}
