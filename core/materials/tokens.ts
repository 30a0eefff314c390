/*
 * A line of text as words, numbers and signs, each with its place in what was typed, so that whatever is read out of it can be
 * pointed at.
 */

/** A stretch of the text: from its first character to the one after its last. */
export interface Range {
  start: number
  end: number
}

export interface Token extends Range {
  kind: 'word' | 'number' | 'sign'
  /** Words small and without accents or apostrophes; numbers and signs as typed. */
  text: string
  /** As typed. */
  raw: string
  /** Of a number; NaN for the others. */
  value: number
}

const fractions: Record<string, number> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
}
const spelt: Record<string, number> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  half: 0.5,
  quarter: 0.25,
}

/**
 * A word small and without accents, apostrophes or ligatures: `Crème` becomes `creme`.
 * @example plainWord('Öl') // 'ol'
 */
export const plainWord = (word: string): string =>
  word
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/['’`´]/g, '')
    .replace(/ß/g, 'ss')
    .replace(/œ/g, 'oe')
    .replace(/æ/g, 'ae')
    .replace(/ø/g, 'o')

const part = new RegExp(
  [
    String.raw`(?<mixed>\d+\s*[½⅓⅔¼¾⅛⅜⅝⅞])`,
    String.raw`(?<vulgar>[½⅓⅔¼¾⅛⅜⅝⅞])`,
    String.raw`(?<thousands>(?<![/:.,\d])(?!(?:76|92)\s)\d{1,3}(?:[,\u00a0\u202f ]\d{3})+(?:\.\d+)?(?![\d,.]\d))`,
    String.raw`(?<number>\d+(?:[.,]\d+)?|[.,]\d+)`,
    String.raw`(?<h2o>h2o)(?![\p{L}\d])`,
    String.raw`(?<word>\p{L}[\p{L}\p{M}'’]*)`,
    String.raw`(?<sign>\S)`,
  ].join('|'),
  'giu',
)

/** The number of a match that is one; NaN for a word or sign. */
function valueOf(groups: Record<string, string | undefined>): number {
  const { mixed, vulgar, thousands, number } = groups
  if (mixed) return Number.parseInt(mixed, 10) + fractions[mixed.at(-1)!]!
  if (vulgar) return fractions[vulgar]!
  if (thousands) return Number(thousands.replace(/[, \u00a0\u202f]/g, ''))
  return number ? Number(number.replace(',', '.')) : Number.NaN
}

/**
 * Splits a line into its words, numbers and signs.
 * @example tokensOf('2 tsp').map(({ text }) => text) // ['2', 'tsp']
 */
export function tokensOf(text: string): Token[] {
  return [...text.matchAll(part)].map((match) => {
    const groups = match.groups!
    const raw = match[0]
    const range = { start: match.index, end: match.index + raw.length, raw }
    const word = groups.word ?? groups.h2o
    if (word !== undefined) {
      const plain = plainWord(word)
      const value = spelt[plain]
      if (value !== undefined) return { ...range, kind: 'number', text: plain, value }
      return { ...range, kind: 'word', text: plain, value: Number.NaN }
    }
    if (groups.sign !== undefined) return { ...range, kind: 'sign', text: raw, value: Number.NaN }
    return { ...range, kind: 'number', text: raw, value: valueOf(groups) }
  })
}
