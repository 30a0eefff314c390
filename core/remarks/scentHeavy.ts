import type { Rule } from './rule'
import { lowerScents } from './shift'
import { sumOf } from '../statistics/sum'

/**
 * So much scent that the bar sweats it out.
 * @example scentHeavy(subject({ scents: [scent('Fir', 0.06, { maxOfBar: 0.2 })] })).severity // 'think'
 */
export const scentHeavy: Rule = ({ document, result, say }) => {
  const grams = sumOf(result.scents, (scent) => scent.grams)
  const share = grams / result.oils
  if (share <= 0.055 + 1e-9) return null
  return {
    id: 'scent-heavy',
    severity: 'think',
    says: `${say.percent(share)} scent may sweat out of the bar and soften it.`,
    because:
      'Makers use 3 to 5 % of the oils, 2 to 3 % of essential oils; beyond that the soap cannot hold it, whatever the supplier allows.',
    fix: {
      label: `Lower to ${say.percent(0.045)}`,
      patch: lowerScents(document, 0.045 / share),
    },
  }
}
