import { scorchingLiquids } from '../water/milk'
import type { Rule } from './rule'
import { inSentence } from '../units/language'

/**
 * A milk soap that is to be kept warm.
 * @example milkGelForced(subject({ liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }], method: { gel: 'force' } })).severity
 *   // 'think'
 */
export const milkGelForced: Rule = ({ document, library }) => {
  const [first] = scorchingLiquids(document, library)
  if (!first || document.method.gel !== 'force') return null
  return {
    id: 'milk-gel-forced',
    severity: 'think',
    says: `Wrapped warm, a bar with ${inSentence(first.liquid.name)} comes out tan and may crack.`,
    because:
      'Its sugar already makes the batch run hotter; held at gel heat it browns all the way through.',
    fix: { label: 'Prevent gel', patch: [{ path: ['method', 'gel'], value: 'prevent' }] },
  }
}
