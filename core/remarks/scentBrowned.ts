import { ownScents } from './ownScents'
import type { Rule } from './rule'

/** CIEDE2000 from plain from which anybody sees it. */
const clear = 5

/**
 * A scent that changed the colour of own soap while it cured.
 * @example scentBrowned(subject({ scents: [scent('Fir', 0.03)] })) // null
 */
export const scentBrowned: Rule = (subject) => {
  const { say } = subject
  for (const { line, known } of ownScents(subject)) {
    const latest = known.colour.at(-1)
    if (!latest || latest.from < clear) continue
    return {
      id: 'scent-browned',
      severity: 'know',
      says: `${line.name} turned your own plain soap: ${say.number(latest.from, undefined, 1)} from plain on day ${latest.day}.`,
      because:
        'From 5 on anybody sees it, from 10 on it is another colour. Keep it out of parts that are to stay pale, or colour them darker.',
    }
  }
  return null
}
