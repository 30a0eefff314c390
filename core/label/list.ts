import type { Formatter } from '../units/formatter'
import type { AllergenFound } from './allergens'
import type { LabelLine } from './line'
import { wholeOf } from './line'
import type { Place } from './places'

/** How a place writes a list. */
export type Wording = Pick<Place, 'water' | 'scent' | 'plants' | 'coloursByNumber' | 'coloursLast'>

const words = (name: string) =>
  name.replace(
    /(^|[\s(/-])(\p{Ll})/gu,
    (_, before: string, letter: string) => before + letter.toUpperCase(),
  )

/** Words of a plant's Latin name that its English one replaces. */
function bothOf(latin: string, english: string): string {
  return latin === words(english) ? latin : `${latin} (${words(english)})`
}

/**
 * A line in the words of a place.
 * @example wordsOf({ latin: 'Aqua', english: 'Water', kind: 'water', grams: 1, id: 'water' }, { water: 'Water', scent: 'Fragrance', plants: 'both', coloursByNumber: false, coloursLast: false }) // 'Water'
 */
export function wordsOf(line: LabelLine, wording: Wording): string {
  const { latin, english, ci, kind } = line
  if (latin === 'Aqua') return wording.water
  if (kind === 'scent') return wording.scent
  if (ci && wording.coloursByNumber) return ci
  if (wording.plants === 'latin') return latin
  return wording.plants === 'english' ? words(english) : bothOf(latin, english)
}

/** One entry of a printed list. */
export interface ListEntry {
  says: string
  line: LabelLine | null
  /** Share of all, null of an allergen that is part of a scent. */
  share: number | null
}

/**
 * A list as it is printed: by mass, what is under one per cent as well; the named allergens of a scent behind what it is part of; colours
 * last where that is the custom. Two lines that a place calls the same are one.
 * @param lines of the whole batch, the heaviest first
 * @example listed([{ latin: 'Aqua', english: 'Water', kind: 'water', grams: 1, id: 'water' }], { water: 'Aqua', scent: 'Parfum', plants: 'latin', coloursByNumber: true, coloursLast: true }, []).map(({ says }) => says) // ['Aqua']
 */
export function listed(
  lines: readonly LabelLine[],
  wording: Wording,
  allergens: readonly AllergenFound[],
): ListEntry[] {
  const whole = wholeOf(lines)
  const bySaid = new Map<string, ListEntry>()
  for (const line of lines) {
    const says = wordsOf(line, wording)
    const before = bySaid.get(says)
    const share = whole > 0 ? line.grams / whole : 0
    bySaid.set(says, before ? { ...before, share: before.share! + share } : { says, line, share })
  }
  const entries = [...bySaid.values()].sort((a, b) => b.share! - a.share!)
  const isLast = ({ line }: ListEntry) => wording.coloursLast && line?.kind === 'colour'
  const known = new Set(bySaid.keys())
  return [
    ...entries.filter((entry) => !isLast(entry)),
    ...allergens
      .filter(({ name, named }) => named && !known.has(name))
      .map(({ name }): ListEntry => ({ says: name, line: null, share: null })),
    ...entries.filter(isLast),
  ]
}

/**
 * A list as one line of text.
 * @example listText([{ says: 'Aqua', line: null, share: 1 }, { says: 'Parfum', line: null, share: 0 }], say) // 'Aqua, Parfum'
 */
export const listText = (entries: readonly ListEntry[], say: Formatter): string =>
  say.list(entries.map(({ says }) => says))
