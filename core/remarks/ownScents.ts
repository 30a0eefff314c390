import type { ScentPortion } from '#contracts/result'
import type { KnownScent } from '#contracts/scent'
import type { Subject } from './rule'

/**
 * Scents of a formula that were tried in own batter, with what is known of them.
 * @example ownScents(subject({ scents: [scent('Fir', 0.03)] })) // []
 */
export const ownScents = ({
  result,
  library,
}: Pick<Subject, 'result' | 'library'>): { line: ScentPortion; known: KnownScent }[] =>
  result.scents.flatMap((line) => {
    const known = library.scents?.get(line.id)
    return known?.tried.length && line.grams > 0 ? [{ line, known }] : []
  })
