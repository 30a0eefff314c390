import type { Rule } from './rule'
import { forSkin } from './lauricHeavy'

/**
 * So little superfat that nothing forgives an error, on skin.
 * @example superfatThinForSkin(subject({ superfat: 0.01 })).severity // 'think'
 */
export const superfatThinForSkin: Rule = ({ document, result, say }) => {
  const { total } = result.superfat
  if (!forSkin.has(document.use) || total < 0 || total >= 0.03 - 1e-9) return null
  return {
    id: 'superfat-thin-for-skin',
    severity: 'think',
    says: `${say.percent(total, 2)} superfat is a cleaning bar's; on skin it is harsh and forgives nothing.`,
    because:
      'Saponification values vary by several per cent from lot to lot. A few points of superfat keep lye from being left over.',
    fix: {
      label: `Set superfat to ${say.percent(0.05)}`,
      patch: [{ path: ['superfat'], value: 0.05 }],
    },
  }
}
