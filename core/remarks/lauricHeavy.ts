import { shareOfAcids, shortAcids } from '../chemistry/fattyAcids'
import { linesOf, openedFats } from '../materials/opened'
import type { Rule, Subject } from './rule'
import { lowerFats } from './shift'
import { saltShare } from './saltWantsCoconut'
import { sumOf } from '../statistics/sum'

const lauricFats = ({ result, library }: Subject) =>
  openedFats(result.fats, library).filter(
    ({ fat }) => shareOfAcids(fat?.profile.value ?? {}, shortAcids) >= 0.5,
  )

/**
 * Share of the oils that is coconut, palm kernel, babassu, ucuuba, the always-liquid kind: half and more of it short acids.
 * @example lauricShare(subject({ fats: fats({ coconut: 0.3, olive: 0.7 }) })) // 0.3
 */
export function lauricShare(subject: Subject): number {
  return sumOf(lauricFats(subject), ({ share }) => share)
}

/** Uses in which the bar meets skin for long. */
export const forSkin = new Set(['body', 'face', 'hands', 'hair', 'shaving', 'baby'])

/**
 * So much coconut-like fat that the bar strips skin.
 * @example lauricHeavy(subject({ fats: fats({ olive: 0.6, coconut: 0.4 }) })).severity // 'think'
 */
export const lauricHeavy: Rule = (subject) => {
  const { document, result, say } = subject
  const share = lauricShare(subject)
  const nearlyAll = share >= 0.8
  const limit = document.use === 'face' || document.use === 'baby' ? 0.25 : 0.35
  if (!forSkin.has(document.use) || share <= limit + 1e-9) return null
  if (result.superfat.total >= (nearlyAll ? 0.18 : 0.12)) return null
  // A salt bar foams by its coconut alone: there only free fat makes it kind.
  const salty = saltShare(subject) >= 0.1
  const lowered = salty ? null : lowerFats(subject, linesOf(lauricFats(subject)), limit - 0.05)
  return {
    id: 'lauric-heavy',
    severity: 'think',
    says: `${say.percent(share)} coconut-like fat at ${say.percent(result.superfat.total)} superfat will strip skin.`,
    because: `Lauric and myristic soaps lift grease and the skin's own fat alike. For this use makers stay under ${say.percent(limit)}, or leave about 20 % superfat in a soap that is nearly all coconut.`,
    fix:
      nearlyAll || !lowered
        ? {
            label: `Set superfat to ${say.percent(0.2)}`,
            patch: [{ path: ['superfat'], value: 0.2 }],
          }
        : { label: `Lower to ${say.percent(limit - 0.05)}`, patch: lowered },
  }
}
