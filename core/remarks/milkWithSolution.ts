import { scorchingLiquids } from '../water/milk'
import type { Rule } from './rule'
import { inSentence } from '../units/language'

/**
 * Ready-mixed lye warms up again when the milk dilutes it.
 * @example milkWithSolution(subject({ alkali: { solutionStrength: 0.5 }, water: { value: 2.4 }, liquids: [{ id: 'goat-milk', share: 0.4, moment: 'lye', way: 'into-cooled-lye' }] })).severity
 *   // 'know'
 */
export const milkWithSolution: Rule = ({ document, library, say }) => {
  const { solutionStrength } = document.alkali
  const milk = scorchingLiquids(document, library).find(({ line }) => line.moment === 'lye')
  if (solutionStrength === null || !milk) return null
  return {
    id: 'milk-with-solution',
    severity: 'know',
    says: `The ${say.percent(solutionStrength)} lye warms by up to ${say.degreesApart(30)} when ${inSentence(milk.liquid.name)} dilutes it.`,
    because:
      'Strong lye gives off heat a second time when it is thinned to about 2 : 1. Begin with both cold and add the milk bit by bit.',
  }
}
