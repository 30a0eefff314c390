import { isCitrus } from '../formula/measure'
import type { Rule } from './rule'

/**
 * Citrus alone: gone within days.
 * @example citrusFades(subject({ scents: [scent('Sweet orange', 0.03)] })).severity // 'know'
 */
export const citrusFades: Rule = ({ result, library }) => {
  const scents = result.scents.filter(({ grams }) => grams > 0)
  const citrus = scents.filter(({ name }) => isCitrus(name))
  if (!citrus.length || citrus.length < scents.length) return null
  // What noses of the workshop found says more than the name.
  if (citrus.some(({ id }) => library.scents?.get(id)?.strength.length)) return null
  return {
    id: 'citrus-fades',
    severity: 'know',
    says: `${citrus[0]!.name} alone fades within days.`,
    because:
      'Citrus oils are the lightest there are. Something heavier beside them (litsea, cedar, patchouli, a clay) holds them longer.',
  }
}
