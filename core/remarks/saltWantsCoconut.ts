import { lauricShare } from './lauricHeavy'
import type { Rule, Subject } from './rule'
import { sumOf } from '../statistics/sum'

/**
 * Salt by the oils.
 * @example saltShare(subject({ additives: [extra('salt', 0.25)] })) // 0.25
 */
export const saltShare = ({ result }: Pick<Subject, 'result'>): number =>
  sumOf(result.additives, ({ id, grams }) => (id === 'salt' ? grams : 0)) / result.oils

/**
 * Much salt in a formula that cannot foam against it.
 * @example saltWantsCoconut(subject({ additives: [extra('salt', 0.25)] })).severity // 'think'
 */
export const saltWantsCoconut: Rule = (subject) => {
  const { say } = subject
  const share = saltShare(subject)
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
