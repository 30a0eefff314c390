import { scorchingLiquids } from '../water/milk'
import type { Rule } from './rule'
import { bothAt } from './shift'

/**
 * Lye and oils too far apart to meet well. Frozen milk-lye is cold on purpose.
 * @example vesselsApart(subject({ method: { lyeC: 25, oilsC: 45 } })).severity // 'know'
 */
export const vesselsApart: Rule = ({ document, library, say }) => {
  const { lyeC, oilsC } = document.method
  const apart = Math.abs(lyeC - oilsC)
  if (apart <= 12 || scorchingLiquids(document, library).length) return null
  const middle = Math.round((lyeC + oilsC) / 2)
  return {
    id: 'vessels-apart',
    severity: 'know',
    says: `Lye at ${say.temperature(lyeC)} and oils at ${say.temperature(oilsC)} are far apart.`,
    because: `The colder one sets what the warmer one keeps liquid. Makers let the two come within about ${say.degreesApart(5)} of each other.`,
    fix: {
      label: `Both at ${say.temperature(middle)}`,
      patch: bothAt(middle),
    },
  }
}
