import { plainWord } from '#core/materials/tokens'

/** A stretch of a text, and whether it is what was looked for. */
export interface Stretch {
  text: string
  hit: boolean
}

/** Cuts a text where its words begin with one of some marks, in plain letters. */
export function marked(text: string, marks: readonly string[]): Stretch[] {
  if (!marks.length) return [{ text, hit: false }]
  const parts: Stretch[] = []
  let from = 0
  for (const { 0: word, index } of text.matchAll(/[\p{L}\p{N}][\p{L}\p{M}\p{N}'’]*/gu)) {
    const plain = plainWord(word)
    if (!marks.some((mark) => plain.startsWith(mark))) continue
    if (index > from) parts.push({ text: text.slice(from, index), hit: false })
    parts.push({ text: word, hit: true })
    from = index + word.length
  }
  if (from < text.length) parts.push({ text: text.slice(from), hit: false })
  return parts
}
