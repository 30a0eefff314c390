import { usualRegions } from '../character/regions'
import { traitsOf } from '../character/traits'
import { oliveShare } from './oliveCutSoon'
import type { Rule } from './rule'
import { added } from './shift'

/**
 * A formula that is soft at cutting, without what firms it.
 * @example softAtCut(subject({ fats: fats({ lard: 0.2, 'sunflower-high-oleic': 0.75, castor: 0.05 }) })).severity // 'know'
 */
export const softAtCut: Rule = ({ document, result, library, say }) => {
  if (oliveShare({ result, library }) > 0) return null
  const { firmAtCut } = traitsOf(result, library)
  const [low] = usualRegions[document.use].firmAtCut
  const helped = result.additives.some(
    ({ id, grams }) =>
      grams > 0 && (id === 'sodium-lactate' || id === 'salt' || id === 'lactic-acid'),
  )
  if (helped || firmAtCut >= low - 4) return null
  return {
    id: 'soft-at-cut',
    severity: 'know',
    says: `Expect a soft loaf: ${say.number(firmAtCut)} of 100 firm at cut, bars for this use start at ${say.number(low)}.`,
    because:
      'Short and saturated acids make a loaf firm early. Sodium lactate does so without changing the fats.',
    fix: {
      label: `Add ${say.percent(0.02)} sodium lactate`,
      patch: added(document, 'sodium-lactate', 0.02),
    },
  }
}
