import type { Peg, LineReading } from '#core/words/reading'
import type { Library } from '#core/materials/library'

/** The colour of a peg: that of what it was taken for; figures and amounts are slate, what is left over amber. */
export function pegColour(peg: Peg, reading: LineReading, library: Library): string {
  switch (peg.role) {
    case 'left':
    case 'number':
      return 'var(--color-warn)'
    case 'naoh':
    case 'koh':
    case 'lye':
    case 'ratio':
      return 'var(--color-lye)'
    case 'water':
    case 'ice':
      return 'var(--color-water)'
    case 'fat':
      return substanceColour('fat', reading.id ?? '', library)
    case 'liquid':
      return substanceColour('liquid', reading.id ?? '', library)
    case 'colour':
    case 'additive':
      return substanceColour('additive', reading.id ?? '', library)
    case 'scent':
      return substanceColour('scent', reading.id ?? '', library)
    default:
      return 'var(--color-ink-3)'
  }
}

/** Whether a peg is one that nobody accounts for: dashed, and it takes the lit Enter away. */
export const isLoose = ({ role }: Peg): boolean => role === 'left' || role === 'number'
