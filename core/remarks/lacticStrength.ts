import type { Rule } from './rule'

/**
 * Lactic acid comes as a solution, but is counted as pure acid.
 * @example lacticStrength(subject({ additives: [extra('lactic-acid', 0.01)] })).severity // 'know'
 */
export const lacticStrength: Rule = ({ result, say }) => {
  const lactic = result.additives.find((additive) => additive.id === 'lactic-acid')
  if (!lactic || lactic.grams <= 0) return null
  return {
    id: 'lactic-strength',
    severity: 'know',
    says: `${say.mass(lactic.grams)} means pure lactic acid; of an 88 % solution weigh ${say.mass(lactic.grams / 0.88)}.`,
    because:
      'The extra lye is worked out for the pure acid. Less acid than that lowers the superfat.',
  }
}
