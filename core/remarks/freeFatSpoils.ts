import { hasKeeper } from '../character/traits'
import type { Rule } from './rule'
import { added } from './shift'

/**
 * Free fat that is rich in easily spoiled acids, and nothing that keeps it.
 * @example freeFatSpoils(subject({ superfat: 0.08, fats: fats({ sunflower: 0.3, coconut: 0.3, tallow: 0.4 }) })).severity // 'think'
 */
export const freeFatSpoils: Rule = ({ document, result, library, say }) => {
  const acids = (result.fattyAcids.linoleic ?? 0) + (result.fattyAcids.linolenic ?? 0)
  const free = result.superfat.total * acids
  if (free <= 0.009 || hasKeeper(result, library)) return null
  return {
    id: 'free-fat-spoils',
    severity: 'think',
    says: `${say.percent(result.superfat.total)} free fat with ${say.percent(acids)} linoleic and linolenic acid: orange spots are likely after half a year.`,
    because:
      'Free fat takes up oxygen, these acids first, sooner still with old stock or iron and copper from the water. A citrate binds the metals.',
    fix: {
      label: `Add ${say.percent(0.01)} sodium citrate`,
      patch: added(document, 'sodium-citrate', 0.01),
    },
  }
}
