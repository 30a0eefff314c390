import { milkWay, scorchingLiquids } from '../water/milk'
import type { Rule } from './rule'

/**
 * Milk poured into lye that is still dissolving: neither frozen nor after cooling.
 * @example milkInHotLye(subject({ liquids: [{ id: 'goat-milk', share: 0.4, moment: 'lye', way: 'poured' }] })).severity // 'think'
 */
export const milkInHotLye: Rule = ({ document, library, say }) => {
  const poured = scorchingLiquids(document, library).filter(
    ({ line }) => line.moment === 'lye' && line.way === 'poured',
  )
  const [first] = poured
  if (!first) return null
  const frozen = milkWay('frozen')
  return {
    id: 'milk-in-hot-lye',
    severity: 'think',
    says: `${first.liquid.name} poured into fresh lye boils up and turns brown.`,
    because: `Dissolving lye climbs to ${say.temperature(80)} and more. As ice it takes that heat up; in the cooled lye or in the oils it never meets it.`,
    fix: {
      label: 'Freeze it, sprinkle the lye on it',
      patch: [
        ...poured.map(({ index }) => ({ path: ['liquids', index, 'way'], value: 'frozen' })),
        { path: ['method', 'lyeC'], value: Math.min(document.method.lyeC, frozen.lyeC) },
      ],
    },
  }
}
