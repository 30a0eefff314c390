import type { ReadingContext } from '../words/reading'
import { superfatOf } from './superfat'
import { weighed, type RecipeLine } from './read'

/** One way to take all that is open in a recipe. */
export interface Outcome {
  /** Which option was taken of each open line, by its place among the lines. */
  taken: Map<number, number>
  superfat: number | null
}

/** More ways than this are told as a span without counting every one. */
const mostOutcomes = 4096

/**
 * Lines that wait for an answer.
 * @example openLines(recipe('450 g olive oil\n2 cups butter')) // [1]
 */
export const openLines = (lines: RecipeLine[]): number[] =>
  lines.flatMap((line, index) => (line.doubtful ? [index] : []))

/**
 * Every soap that fits the words: each combination of the answers that can be given to what is open. Lines that have no answer
 * to choose from, or whose answers lead to another question, count with what can be answered at once.
 * @example outcomesOf(recipe('450 g olive oil\n58 g lye\n128 g water'), reading).length // 1
 */
export function outcomesOf(lines: RecipeLine[], context: ReadingContext): Outcome[] {
  const open = openLines(lines)
    .map((at) => ({
      at,
      choices: lines[at]!.options.flatMap((option, choice) =>
        option.reading.doubtful || option.reading.own === 'fat'
          ? []
          : [{ choice, line: weighed(option.reading, context) }],
      ),
    }))
    .filter(({ choices }) => choices.length > 0)
  let ways: { taken: Map<number, number>; lines: RecipeLine[] }[] = [{ taken: new Map(), lines }]
  for (const { at, choices } of open) {
    ways = ways.flatMap((way) =>
      choices.map(({ choice, line }) => ({
        taken: new Map(way.taken).set(at, choice),
        lines: way.lines.map((before, index) => (index === at ? line : before)),
      })),
    )
    if (ways.length > mostOutcomes) ways = ways.slice(0, mostOutcomes)
  }
  return ways.map(({ taken, lines: answered }) => ({
    taken,
    superfat: superfatOf(answered, context.library),
  }))
}

/**
 * Superfats from the lowest to the highest over all ways; null where none can be known.
 * @example spanOf([{ superfat: 0.05 }, { superfat: null }, { superfat: 0.02 }]) // [0.02, 0.05]
 */
export function spanOf(outcomes: Outcome[]): [number, number] | null {
  const known = outcomes.flatMap(({ superfat }) => (superfat === null ? [] : [superfat]))
  return known.length ? [Math.min(...known), Math.max(...known)] : null
}
