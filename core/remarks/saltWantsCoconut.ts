import { lauricShare } from './lauricHeavy'
import type { Rule } from './rule'
import { sumOf } from '../statistics/sum'

/**
 * Much salt in a formula that cannot foam against it.
 * @example saltWantsCoconut(subject({ additives: [extra('salt', 0.25)] })).severity // 'think'
 */
export const saltWantsCoconut: Rule = (subject) => {
  const { result, say } = subject
  const salt = sumOf(result.additives, ({ id, grams }) => (id === 'salt' ? grams : 0))
  const share = result.oils > 0 ? salt / result.oils : 0
  const coconut = lauricShare(subject)
  if (share < 0.1 || coconut >= 0.6) return null
  return {
    id: 'salt-wants-coconut',
    severity: 'think',
    says: `With ${say.percent(share, 0)} salt and ${say.percent(coconut, 0)} coconut-like fat it will hardly foam.`,
    because:
      'Salt drives soap out of solution; only the short acids of coconut stay soluble in it. Salt bars are 80 % coconut and more, at about 20 % superfat.',
  }
}
