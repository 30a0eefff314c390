import type { Rule } from './rule'

/**
 * Free fat in a bar that is to take fat away.
 * @example superfatDullsCleaning(subject({ use: 'dishes', superfat: 0.07 })).severity // 'think'
 */
export const superfatDullsCleaning: Rule = ({ document, result, say }) => {
  const cleans = document.use === 'laundry' || document.use === 'dishes'
  if (!cleans || result.superfat.total <= 0.05 + 1e-9) return null
  return {
    id: 'superfat-dulls-cleaning',
    severity: 'think',
    says: `${say.percent(result.superfat.total)} superfat is fat that the bar brings along instead of taking away.`,
    because: 'It stays on cloth and glass, and turns rancid there. Cleaning bars have 0 to 3 %.',
    fix: {
      label: `Set superfat to ${say.percent(0.02)}`,
      patch: [{ path: ['superfat'], value: 0.02 }],
    },
  }
}
