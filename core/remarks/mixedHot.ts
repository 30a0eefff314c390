import type { Rule } from './rule'

/**
 * Lye or oils so hot that the batter races.
 * @example mixedHot(subject({ method: { lyeC: 70, oilsC: 62 } })).severity // 'think'
 */
export const mixedHot: Rule = ({ document, say }) => {
  const { lyeC, oilsC } = document.method
  if (Math.max(lyeC, oilsC) <= 60) return null
  return {
    id: 'mixed-hot',
    severity: 'think',
    says: `At ${say.temperature(Math.max(lyeC, oilsC))} the batter races, steams and may splash when they meet.`,
    because: `Every ${say.degreesApart(10)} about halves the time to work. Most makers mix between ${say.temperature(30)} and ${say.temperature(45)}.`,
    fix: {
      label: `Both at ${say.temperature(45)} at most`,
      patch: [
        { path: ['method', 'lyeC'], value: Math.min(45, lyeC) },
        { path: ['method', 'oilsC'], value: Math.min(45, oilsC) },
      ],
    },
  }
}
