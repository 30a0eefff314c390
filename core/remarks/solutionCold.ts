import type { Rule } from './rule'

/**
 * Strong ready-mixed lye that crystallises in a cold room.
 * @example solutionCold(subject({ alkali: { solutionStrength: 0.5 }, method: { lyeC: 8 } })).severity // 'think'
 */
export const solutionCold: Rule = ({ document, say }) => {
  const { solutionStrength } = document.alkali
  if (solutionStrength === null || solutionStrength < 0.45 || document.method.lyeC >= 15)
    return null
  return {
    id: 'solution-cold',
    severity: 'think',
    says: `${say.percent(solutionStrength)} lye at ${say.temperature(document.method.lyeC)} crystallises.`,
    because: `A 50 % solution sets out crystals below about ${say.temperature(12)}; what is left is weaker than it says.`,
    fix: {
      label: `Lye at ${say.temperature(20)}`,
      patch: [{ path: ['method', 'lyeC'], value: 20 }],
    },
  }
}
