import { forSkin } from './lauricHeavy'
import type { Rule } from './rule'

/**
 * A scent for skin of which nobody has written down how much of it the supplier allows.
 * @example scentWithoutMaximum(subject({ scents: [scent('Low tide', 0.03)] })).severity // 'know'
 */
export const scentWithoutMaximum: Rule = ({ document, result, say }) => {
  if (!forSkin.has(document.use)) return null
  const open = result.scents.filter(({ grams, maxOfBar }) => grams > 0 && !maxOfBar)
  if (!open.length) return null
  return {
    id: 'scent-without-maximum',
    severity: 'know',
    says: `No maximum is written down for ${say.list(
      open.map(({ name }) => name),
      'and',
    )}.`,
    because:
      'The supplier’s sheet says how much of it a bar may hold, for soap that is rinsed off. Write it into the line: then Mantle watches it.',
  }
}
