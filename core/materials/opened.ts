import type { Fat } from './fat'
import type { Library } from './library'

/** A fat of a formula by itself: a line of it, or a part of the made-up stock that stands in one. */
export interface OpenedFat {
  id: string
  name: string
  share: number
  grams: number
  /** What is known of it; null of what is no fat, or not known. */
  fat: Fat | null
  /** Place of the line that it is in, and whether it is all of that line. */
  line: number
  alone: boolean
}

const open = (whole: OpenedFat): OpenedFat[] =>
  whole.fat?.parts?.flatMap(({ id, name, share, fat }) =>
    open({
      id,
      name,
      fat,
      share: whole.share * share,
      grams: whole.grams * share,
      line: whole.line,
      alone: false,
    }),
  ) ?? [whole]

/**
 * The fats of a formula with every made-up stock opened into its parts, stocks within stocks too: what is to be said of castor is to be
 * said of castor in a blend.
 * @param fats lines of a formula as computed; g, and shares as fractions
 * @example openedFats([{ id: 'olive', name: 'Olive oil', share: 1, grams: 500 }], shipped).map(({ id, alone }) => [id, alone])
 *   // [['olive', true]]
 */
export const openedFats = (
  fats: readonly { id: string; name: string; share: number; grams: number }[],
  library: Library,
): OpenedFat[] =>
  fats.flatMap(({ id, name, share, grams }, line) =>
    open({ id, name, share, grams, fat: library.fats.get(id) ?? null, line, alone: true }),
  )

/**
 * The lines that some fats are, to change them there; none where one of them is only a part of its line.
 * @example linesOf([{ line: 2, alone: true }]) // [2]
 */
export const linesOf = (found: readonly Pick<OpenedFat, 'line' | 'alone'>[]): number[] =>
  found.every(({ alone }) => alone) ? found.map(({ line }) => line) : []
