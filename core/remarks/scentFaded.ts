import { fadesBy } from '../scents/noses'
import { ownScents } from './ownScents'
import type { Rule } from './rule'

/**
 * A scent that noses of the workshop did not find any more before the bar is used up.
 * @example scentFaded(subject({ scents: [scent('Fir', 0.03)] })) // null
 */
export const scentFaded: Rule = (subject) => {
  const { say } = subject
  for (const { line, known } of ownScents(subject)) {
    const day = fadesBy(known.strength)
    if (day === null) continue
    const { noses, middle } = known.strength.find((one) => one.day === day)!
    const found = say.count(noses, 'nose', 'noses')
    return {
      id: 'scent-faded',
      severity: 'know',
      says:
        middle < 0.5
          ? `${line.name} was gone by day ${day} for ${found} of your own.`
          : `${line.name} was weak by day ${day} for ${found} of your own.`,
      because: 'Something heavier beside it (a wood, a resin, a clay) holds it longer.',
    }
  }
  return null
}
