import { waterFloor } from '../water/ways'
import type { Rule } from './rule'
import { waterPatch } from './waterValue'
import { sumOf } from '../statistics/sum'

/**
 * Enough water in all, but too much of it goes elsewhere than into the lye.
 * @example lyeJugBelowFloor(subject({ water: { value: 2 }, liquids: [{ id: 'goat-milk', share: 0.6, moment: 'oils', way: 'poured' }] })).severity
 *   // 'stop'
 */
export const lyeJugBelowFloor: Rule = (subject) => {
  const { document, result, say } = subject
  const { ratio, ratioInLye, inSolution } = result.water
  if (result.parts.length) return null
  // A ready-mixed soda lye is dissolved already; dry potash beside it is not.
  const dissolved = inSolution > 0 && result.lye.koh === 0
  if (ratio < waterFloor - 1e-9 || ratioInLye >= waterFloor - 1e-9 || dissolved) return null
  const outside = document.liquids.filter(
    (line) => line.moment !== 'lye' || line.way === 'into-cooled-lye',
  )
  const share = sumOf(outside, (line) => line.share ?? 0)
  const wanted = ratioInLye > 0.2 ? (ratio / ratioInLye) * 1.02 : null
  return {
    id: 'lye-jug-below-floor',
    severity: 'stop',
    says: `Only ${say.ratio(ratioInLye)} of water is in the lye jug: the lye will not dissolve there.`,
    because: `${say.percent(share)} of the liquid goes in later. What is in the lye must by itself be 1 : 1 or more.`,
    fix:
      wanted === null
        ? undefined
        : { label: `Raise to ${say.ratio(wanted)} in all`, patch: waterPatch(subject, wanted) },
  }
}
