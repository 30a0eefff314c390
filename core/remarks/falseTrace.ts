import { settingC } from '../batter/settingPoint'
import { mixingC } from '../batter/workingTime'
import { milkGuardC, scorchingLiquids } from '../water/milk'
import type { Rule } from './rule'
import { bothAt } from './shift'

/**
 * A pot so cold that hard fat sets before there is soap.
 * @example falseTrace(subject({ fats: fats({ tallow: 0.8, coconut: 0.2 }), method: { lyeC: 30, oilsC: 30 } })).severity // 'think'
 */
export const falseTrace: Rule = (subject) => {
  const { document, result, library, say } = subject
  const sets = settingC(subject)
  const mixed = mixingC(document, result)
  if (sets === null || mixed >= sets - 1e-9) return null
  const warm = Math.ceil(sets + 3)
  const milk = scorchingLiquids(document, library).length > 0
  return {
    id: 'false-trace',
    severity: 'think',
    says: `Mixed at ${say.temperature(mixed)} the hard fats may set before there is soap: false trace.`,
    because: `This blend begins to set at about ${say.temperature(sets)}. It thickens far too soon, dull and grainy, and weeps when left alone. An estimate.`,
    fix:
      warm <= (milk ? milkGuardC : 55)
        ? {
            label: `Both at ${say.temperature(warm)}`,
            patch: bothAt(warm),
          }
        : undefined,
  }
}
