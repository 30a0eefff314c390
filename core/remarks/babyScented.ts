import type { Rule } from './rule'

/**
 * Scent in a bar for a baby.
 * @example babyScented(subject({ use: 'baby', scents: [scent('Sweet orange', 0.03)] })).severity // 'think'
 */
export const babyScented: Rule = ({ document, result }) => {
  if (document.use !== 'baby' || !result.scents.some(({ grams }) => grams > 0)) return null
  return {
    id: 'baby-scented',
    severity: 'think',
    says: 'A bar for a baby is better without scent.',
    because:
      'Young skin is thin and meets many scents for the first time; suppliers’ maxima are set for grown skin.',
    fix: { label: 'Leave the scent out', patch: [{ path: ['scents'], value: [] }] },
  }
}
