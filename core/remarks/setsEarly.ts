import { mixingC } from '../batter/workingTime'
import { openedFats } from '../materials/opened'
import { sumOf } from '../statistics/sum'
import { inSentence } from '../units/language'
import type { Rule } from './rule'
import { bothAt } from './shift'
import { scorchingLiquids } from '../water/milk'
import { waxFrom } from './waxHeavy'

/** From this share on a hard wax or free acid shows. Mixed at or above this, °C, it does not set. */
const shows = 0.01
const warmEnough = 50

/**
 * A little wax or free acid in a cool pot: it sets before there is soap, and looks like trace.
 * @example setsEarly(subject({ fats: fats({ olive: 0.97, beeswax: 0.03 }), method: { lyeC: 35, oilsC: 35 } })).severity // 'think'
 */
export const setsEarly: Rule = ({ document, result, library, say }) => {
  const hard = openedFats(result.fats, library).filter(
    ({ fat }) => fat && fat.chemistry !== 'triglyceride' && (fat.softens?.value ?? 0) >= warmEnough,
  )
  const share = sumOf(hard, (fat) => fat.share)
  const mixed = mixingC(document, result)
  if (share < shows - 1e-9 || share > waxFrom + 1e-9 || mixed >= warmEnough - 1e-9) return null
  const milk = scorchingLiquids(document, library).length > 0
  const names = say.list(
    hard.map(({ name }) => inSentence(name)),
    'and',
  )
  return {
    id: 'sets-early',
    severity: 'think',
    says: `Mixed at ${say.temperature(mixed)}, ${say.percent(share)} ${names} may set before there is soap: false trace.`,
    because:
      'It melts far above that. The batter thickens at once, dull and grainy, and lets go of oil when it is left alone; stirring on, warm, makes it come together.',
    fix: milk
      ? undefined
      : {
          label: `Both at ${say.temperature(warmEnough)}`,
          patch: bothAt(warmEnough),
        },
  }
}
