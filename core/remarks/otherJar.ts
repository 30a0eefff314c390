import { naohPerKoh } from '../chemistry/elements'
import type { Rule } from './rule'

/**
 * The tin that is open holds the other alkali than the one this formula weighs.
 * @example otherJar(subject({}, { lyeTin: { label: 'koh' } })).severity // 'think'
 */
export const otherJar: Rule = ({ document, say, limits }) => {
  const label = limits.lyeTin?.label ?? null
  const { kohShare, solutionStrength } = document.alkali
  if (label === 'koh' && kohShare < 1 && solutionStrength === null)
    return {
      id: 'other-jar',
      severity: 'think',
      says: 'Your tin says potassium hydroxide; this formula weighs sodium hydroxide.',
      because: `Potash weighed as soda leaves ${say.percent(1 - naohPerKoh, 0)} of the alkali out, and the bar stays a paste. Weigh the one the label names.`,
      fix: { label: 'Weigh potash', patch: [{ path: ['alkali', 'kohShare'], value: 1 }] },
    }
  if (label === 'naoh' && kohShare > 0)
    return {
      id: 'other-jar',
      severity: 'think',
      says: `This formula weighs potash${kohShare < 1 ? ' beside soda' : ''}; the tin you named holds sodium hydroxide.`,
      because: `Soda weighed as potash puts ${say.percent(1 / naohPerKoh - 1, 0)} too much alkali in, which burns. Keep the two tins apart and read the label of each.`,
    }
  return null
}
