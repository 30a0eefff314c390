import { linesOf, openedFats } from '../materials/opened'
import type { Rule } from './rule'
import { lowerFats } from './shift'
import { sumOf } from '../statistics/sum'

/** Share of hard wax, resin and free acid from which there is much of it. */
export const waxFrom = 0.08

/**
 * So much wax or free acid that the batter sets in the pot.
 * @example waxHeavy(subject({ fats: fats({ olive: 0.88, beeswax: 0.12 }) })).severity // 'think'
 */
export const waxHeavy: Rule = (subject) => {
  const { document, result, library, say } = subject
  // A shaving soap is half stearic acid on purpose; wax in it is wax all the same.
  const acidsWanted = document.use === 'shaving'
  const waxes = openedFats(result.fats, library).filter(
    ({ fat }) =>
      fat !== null &&
      fat.chemistry !== 'triglyceride' &&
      fat.stateAt20 === 'hard' &&
      !(acidsWanted && fat.chemistry === 'free-acid'),
  )
  const share = sumOf(waxes, (wax) => wax.share)
  if (share <= waxFrom + 1e-9) return null
  const lowered = lowerFats(subject, linesOf(waxes), 0.05)
  return {
    id: 'wax-heavy',
    severity: 'think',
    says: `${say.percent(share)} wax, resin or free acid can set the batter in the pot and deaden the foam.`,
    because:
      'They melt far above pouring temperature, and a free acid turns to soap the moment it meets lye.',
    fix: lowered ? { label: `Lower to ${say.percent(0.05)}`, patch: lowered } : undefined,
  }
}
