import { sumOf } from '../statistics/sum'

/** What a line of an ingredient list is, as far as its place in the list depends on it. */
export type LineKind = 'fat' | 'salt' | 'lye' | 'water' | 'other' | 'scent' | 'colour'

/** One ingredient of a list, before it is put into the words of a place. */
export interface LabelLine {
  latin: string
  english: string
  ci?: string
  kind: LineKind
  /** g of a batch. */
  grams: number
  /** Material that it comes from, for its colour. */
  id: string
}

/**
 * Lines of the same name as one, the heaviest first; what weighs nothing is left out.
 * @example merged([{ latin: 'Aqua', english: 'Water', kind: 'water', grams: 0, id: 'water' }]) // []
 */
export function merged(lines: readonly LabelLine[]): LabelLine[] {
  const byName = new Map<string, LabelLine>()
  for (const line of lines) {
    if (!(line.grams > 1e-9)) continue
    const key = `${line.latin}|${line.ci ?? ''}`
    const before = byName.get(key)
    byName.set(key, before ? { ...before, grams: before.grams + line.grams } : line)
  }
  return [...byName.values()].sort((a, b) => b.grams - a.grams || a.latin.localeCompare(b.latin))
}

/**
 * g of a whole list.
 * @example wholeOf([{ latin: 'Aqua', english: 'Water', kind: 'water', grams: 12, id: 'water' }]) // 12
 */
export const wholeOf = (lines: readonly LabelLine[]): number => sumOf(lines, ({ grams }) => grams)
