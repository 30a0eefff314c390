import type { Rule } from './rule'

/**
 * A purity so low that lye as it is usually sold would leave the bar lye-heavy.
 * @example lyeStatedWeak(subject({ alkali: { naohPurity: 0.9 } })).severity // 'think'
 */
export const lyeStatedWeak: Rule = ({ document, result, say }) => {
  const { naohPurity, solutionStrength } = document.alkali
  if (solutionStrength !== null || naohPurity >= 0.94 || result.lye.naoh <= 0) return null
  return {
    id: 'lye-stated-weak',
    severity: 'think',
    says: `The lye is taken as only ${say.percent(naohPurity)} pure, so more of it is weighed.`,
    because: `Fresh lye is 98 to 99.5 % pure. If yours is, these weights leave ${say.percent(0.985 / naohPurity - 1)} too much of it. Old lye is better replaced than made up for.`,
    fix: {
      label: `Take it as ${say.percent(0.98)}`,
      patch: [{ path: ['alkali', 'naohPurity'], value: 0.98 }],
    },
  }
}
