/** Whether JSON opens more brackets inside each other than `most`, found without parsing it. */
export function deeperThan(bytes: Uint8Array, most: number): boolean {
  const [quote, backslash, openList, openObject, closeList, closeObject] = Buffer.from('"\\[{]}')
  let depth = 0
  let inText = false
  for (let at = 0; at < bytes.length; at++) {
    const byte = bytes[at]
    if (inText) {
      if (byte === backslash) at++
      else if (byte === quote) inText = false
    } else if (byte === quote) inText = true
    else if (byte === openList || byte === openObject) {
      if (++depth > most) return true
    } else if (byte === closeList || byte === closeObject) depth--
  }
  return false
}

/**
 * Control characters but tab and line break, marks that turn the direction of writing and could make a name read as another
 * one, and the two code points that are none.
 */
const unseen = /[\p{Cc}\u202a-\u202e\u2066-\u2069\ufffe\uffff]/gu
const layout = new Set(['\t', '\n', '\r'])

/** A text as a maker can have typed it: well-formed Unicode, composed, without what nobody sees. */
export const cleanedText = (text: string): string =>
  text
    .toWellFormed()
    .replace(unseen, (mark) => (layout.has(mark) ? mark : ''))
    .normalize('NFC')

/** A JSON value with all its texts and keys cleaned. */
export function cleaned(value: unknown): unknown {
  if (typeof value === 'string') return cleanedText(value)
  if (Array.isArray(value)) return value.map(cleaned)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, inside]) => [cleanedText(key), cleaned(inside)]),
  )
}
