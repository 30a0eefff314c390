import type { Rule } from './rule'

/** Shares of the alkali's moles from which a bar shows its potash, and from which it is no bar. */
const shows = 0.05
const paste = 0.3

/**
 * Potash beside the soda: soft, and from a third on a paste.
 * @example potashSoft(subject({ alkali: { kohShare: 0.5 } })).severity // 'think'
 */
export const potashSoft: Rule = ({ document, say }) => {
  const { kohShare } = document.alkali
  if (kohShare < shows - 1e-9) return null
  const shaving = document.use === 'shaving'
  if (kohShare < paste - 1e-9)
    return {
      id: 'potash-soft',
      severity: 'know',
      says: `${say.percent(kohShare, 0)} potash: a softer loaf, cut a day or two later, gone sooner in use.`,
      because:
        'Potassium soap holds water and dissolves quickly: more lather, less bar. Give it three months to dry.',
    }
  return {
    id: 'potash-soft',
    severity: shaving ? 'know' : 'think',
    says: `${say.percent(kohShare, 0)} potash makes ${kohShare < 0.7 ? 'a paste' : 'a soft soap'}, not a bar: pour it into jars, do not plan a cut.`,
    because: shaving
      ? 'For a brush and a bowl that is what is wanted. It never dries to a bar, and its weight stays near what it is today.'
      : 'Potassium soap stays soft however long it dries. A bar has 5 to 10 % of it at most.',
    fix: shaving
      ? undefined
      : {
          label: `Lower to ${say.percent(0.05)}`,
          patch: [{ path: ['alkali', 'kohShare'], value: 0.05 }],
        },
  }
}
