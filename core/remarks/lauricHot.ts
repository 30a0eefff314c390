import { mixingC } from '../batter/workingTime'
import { mouldsOf } from '../mould/fillings'
import { mouldMillilitres } from '../mould/capacity'
import { lauricShare } from './lauricHeavy'
import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/** Half of the fats lauric, and less water than this, make a batch that heats itself. */
const rich = 0.5
const little = 2
/** °C mixed, and ml in one block, from which it does so however it is kept. */
const warm = 40
const block = 1500

/**
 * Coconut-like soap with little water gives its heat off fast: warm, covered or in one thick block it can boil over, whatever the
 * batch is sized by, and it is hard within hours.
 * @example lauricHot(subject({ superfat: 0.2, water: { value: 1.6 }, fats: fats({ coconut: 1 }), method: { gel: 'force' } })).severity
 *   // 'think'
 */
export const lauricHot: Rule = (subject) => {
  const { document, result, say } = subject
  const share = lauricShare(subject)
  const { ratio } = result.water
  if (share < rich || !(ratio > 0) || ratio >= little - 1e-9) return null
  const moulds = mouldsOf(document.size).filter(({ mould }) => mould.shape !== 'cavities')
  const largest = mouldsOf(document.size).length
    ? Math.max(0, ...moulds.map(({ mould, fill }) => mouldMillilitres(mould) * (fill ?? 1)))
    : result.batter
  const why = [
    ...(mixingC(document, result) >= warm ? ['mixed warm'] : []),
    ...(document.method.gel === 'force' ? ['wrapped'] : []),
    ...(largest >= block ? [`${say.volume(largest)} in one block`] : []),
  ]
  if (!why.length) return null
  return {
    id: 'lauric-hot',
    severity: 'think',
    says: `${say.percent(share, 0)} coconut-like fat at ${say.ratio(ratio)} may boil over: ${say.list(why)}.`,
    because:
      'Lauric fats saponify fast and all at once, and little water takes up little of that heat. Leave it uncovered, stay near for the first hour, and cut it the same day: it is rock hard by the next.',
    fix: {
      label: 'Cool it, more water',
      patch: [{ path: ['method', 'gel'], value: 'prevent' }, ...waterPatch(subject, 2.2)],
    },
  }
}
