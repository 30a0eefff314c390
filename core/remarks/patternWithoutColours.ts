import { patternOf } from '../formula/method'
import { pours } from '../batter/patterns'
import type { Rule } from './rule'

/**
 * A pour that shows nothing in a batter of one colour.
 * @example patternWithoutColours(subject({ method: { patterns: ['in-pot-swirl'] } })).severity // 'know'
 */
export const patternWithoutColours: Rule = ({ document }) => {
  const pour = pours[patternOf(document)]
  if (!pour.needsColours || document.parts.length > 1 || document.fats.length === 0) return null
  const pot = (name: string) => ({ name, share: 0.5, scent: true, additives: [] })
  return {
    id: 'pattern-without-colours',
    severity: 'know',
    says: `${pour.says} shows nothing in one pot of one colour.`,
    because: 'The pattern is the border between pots that differ in colour or in water.',
    fix: {
      label: 'Divide into two pots',
      patch: [{ path: ['parts'], value: [pot('pale'), pot('dark')] }],
    },
  }
}
