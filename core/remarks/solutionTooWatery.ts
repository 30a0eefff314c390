import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/**
 * The ready-mixed lye alone brings more water than the formula wants.
 * @example solutionTooWatery(subject({ alkali: { solutionStrength: 0.35 }, water: { value: 1.7 } })).severity // 'stop'
 */
export const solutionTooWatery: Rule = (subject) => {
  const { result, say } = subject
  const smallest = result.water.smallestRatio
  if (smallest === null || result.water.weighed >= -1e-9) return null
  const reachable = Number.isFinite(smallest)
  return {
    id: 'solution-too-watery',
    severity: 'stop',
    says: `The ready-mixed lye brings more water than ${say.ratio(result.water.ratio)} allows.`,
    because: reachable
      ? `With this solution the smallest ratio that works is ${say.ratio(smallest)}.`
      : 'The other liquids leave no room for the water of the solution.',
    fix: reachable
      ? {
          label: `Raise to ${say.ratio(Math.ceil(smallest * 100) / 100)}`,
          patch: waterPatch(subject, Math.ceil(smallest * 100) / 100),
        }
      : undefined,
  }
}
