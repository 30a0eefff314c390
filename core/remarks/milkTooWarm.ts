import { milkGuardC, milkWay, scorchingLiquids } from '../water/milk'
import type { Rule } from './rule'

/**
 * Milk that meets lye or oils too warm for it.
 * @example milkTooWarm(subject({ liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }], method: { oilsC: 45 } })).severity
 *   // 'think'
 */
export const milkTooWarm: Rule = ({ document, library, say }) => {
  const [first] = scorchingLiquids(document, library)
  const { lyeC, oilsC } = document.method
  if (!first || (lyeC <= milkGuardC && oilsC <= milkGuardC)) return null
  const way = milkWay(first.line.way)
  return {
    id: 'milk-too-warm',
    severity: 'think',
    says: `${first.liquid.name} will scorch: lye at ${say.temperature(lyeC)}, oils at ${say.temperature(oilsC)}.`,
    because: `Above ${say.temperature(milkGuardC)} its sugar and protein brown and smell. Some makers work warmer and accept a tan bar.`,
    fix: {
      label: `Cool both to ${say.temperature(milkGuardC)} or less`,
      patch: [
        { path: ['method', 'lyeC'], value: Math.min(lyeC, way.lyeC) },
        { path: ['method', 'oilsC'], value: Math.min(oilsC, way.oilsC) },
      ],
    },
  }
}
