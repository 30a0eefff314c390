import { plainWord } from '../materials/tokens'

/** A line as it is typed in passing, and what of it is marked. */
export interface NoteLine {
  text: string
  people: string[]
  words: string[]
  /** Number of the batch it is about; null where it names none. */
  batch: number | null
}

/**
 * A note in one line: `@Jo` names somebody, `#tired` is a word to find it by, `batch 18` or `18:` at its head is what it is about.
 * @example noteLine('batch 18 cut late').batch // 18
 */
export function noteLine(typed: string): NoteLine {
  const people = [...typed.matchAll(/(?<=^|\s)@([\p{L}][\p{L}\p{M}'’-]*)/gu)].map(
    ([, name]) => name!,
  )
  const words = [...typed.matchAll(/(?<=^|\s)#([\p{L}\p{N}][\p{L}\p{M}\p{N}-]*)/gu)].map(
    ([, word]) => plainWord(word!),
  )
  const about = /^\s*(?:batch\s+(\d{1,5})\b\s*[:,.-]?|(\d{1,5})\s*:)\s*/i.exec(typed)
  const text = typed
    .slice(about?.[0].length ?? 0)
    .replace(/(?<=^|\s)#[\p{L}\p{N}][\p{L}\p{M}\p{N}-]*/gu, '')
    .replace(/(?<=^|\s)@/g, '')
    .replace(/\s+/g, ' ')
    .trim()
  return {
    text,
    people: [...new Set(people)],
    words: [...new Set(words)],
    batch: about ? Number(about[1] ?? about[2]) : null,
  }
}
