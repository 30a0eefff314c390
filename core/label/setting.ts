import type { LabelElement } from '#contracts/label'
import glyphs from './glyphs.json'

/*
 * How words are set on a label: broken into lines by the widths of the typeface that is printed, so that the screen and the paper break
 * them alike. Millimetres throughout.
 */

/** Height of an x and of a capital, and what is above and below the base line, as shares of an em. */
export const face = {
  xHeight: glyphs.xHeight,
  capHeight: glyphs.capHeight,
  ascent: glyphs.ascent,
  descent: glyphs.descent,
} as const
const latin = new Set<string>(glyphs.latin)
/**
 * Whether a letter is in the first file of the typeface; other Latin alphabets have a file of their own.
 * @example isLatin('a') // true
 */
export const isLatin = (letter: string): boolean => latin.has(letter)

/** Height of a line, in ems. */
export const leading = 1.24
const missing = 600

/**
 * Millimetres of an em of a type whose x is so high.
 * @example emOf(1.2) // 2.41935
 */
export const emOf = (xHeight: number): number => xHeight / face.xHeight

/**
 * Millimetres that a text takes in one line.
 * @param em mm
 * @example widthOf('Aqua', 2, false) // 4.53
 */
export function widthOf(text: string, em: number, bold: boolean): number {
  const widths = glyphs.widths[bold ? 'bold' : 'regular'] as Record<string, number>
  let sum = 0
  for (const letter of text.normalize('NFC')) sum += widths[letter] ?? missing
  return (sum * em) / 1000
}

/**
 * Letters of a text that the typeface does not have: they would be printed as empty boxes.
 * @example lettersLacking('Aqua 水') // ['水']
 */
export const lettersLacking = (text: string): string[] => [
  ...new Set(
    [...text.normalize('NFC')].filter(
      (letter) => letter !== '\n' && !(letter in glyphs.widths.regular),
    ),
  ),
]

/** Words of a paragraph as lines no wider than so many mm; a word that is wider is broken where it must be. */
function broken(paragraph: string, width: number, em: number, bold: boolean): string[] {
  const lines: string[] = []
  let line = ''
  const fits = (text: string) => widthOf(text, em, bold) <= width + 1e-6
  for (const word of paragraph.split(' ')) {
    const longer = line ? `${line} ${word}` : word
    if (fits(longer)) {
      line = longer
      continue
    }
    if (line) lines.push(line)
    line = ''
    for (const letter of word)
      if (!line || fits(line + letter)) line += letter
      else {
        lines.push(line)
        line = letter
      }
  }
  return [...lines, line]
}

/** A text as it is set into a box. */
export interface SetText {
  lines: string[]
  /** mm of an em, and from one base line to the next. */
  em: number
  step: number
  /** Lines that the box has no room for. */
  over: number
}

/**
 * Sets a text into a box of so many mm.
 * @param size height of an x, mm
 * @example setText('Aqua, Parfum', { width: 10, height: 10, size: 1.2, bold: false }).lines // ['Aqua,', 'Parfum']
 */
export function setText(
  text: string,
  { width, height, size, bold }: Pick<LabelElement, 'width' | 'height' | 'size' | 'bold'>,
): SetText {
  const em = emOf(size)
  const step = em * leading
  const lines = text ? text.split('\n').flatMap((part) => broken(part, width, em, bold)) : []
  // The last line needs no room beneath it but for its descenders.
  const room = Math.max(
    0,
    Math.floor((height - em * (face.ascent + face.descent)) / step + 1 + 1e-6),
  )
  return { lines, em, step, over: Math.max(0, lines.length - room) }
}

/**
 * The largest height of an x, in tenths of a millimetre, at which a text goes into a box; null where none does that is allowed.
 * @param least smallest that is allowed, mm
 * @example fittingSize('Aqua', { width: 20, height: 5, size: 1.2, bold: false }, 1) // 1.2
 */
export function fittingSize(
  text: string,
  box: Pick<LabelElement, 'width' | 'height' | 'size' | 'bold'>,
  least: number,
): number | null {
  return largestSize(box.size, least, (size) => setText(text, { ...box, size }).over === 0)
}

/** The largest size in tenths of a millimetre, from one down to the least, at which something fits; null where none does. */
function largestSize(from: number, least: number, fits: (size: number) => boolean): number | null {
  for (let tenths = Math.floor(from * 10 + 1e-6); tenths >= least * 10 - 1e-6; tenths--)
    if (fits(tenths / 10)) return tenths / 10
  return null
}

/** A letter of a line that runs along a circle: where its base line begins, mm from the middle, and how far it is turned. */
export interface BentLetter {
  letter: string
  x: number
  y: number
  /** Degrees clockwise. */
  turned: number
}

/** Share of the half circle that words may take before they run into each other's ends. */
const bentMost = 0.9

/** mm from the middle to the base line of an element that runs along the edge of a round label. */
function bentRadius({ y, height, size, bent }: Bent, diameter: number): number {
  const em = emOf(size)
  return bent === 'over'
    ? diameter / 2 - y - em * face.ascent
    : y + height - diameter / 2 - em * face.descent
}
type Bent = Pick<LabelElement, 'y' | 'height' | 'size' | 'bold' | 'bent'>

/**
 * Whether words that run along the edge of a round label fit into its upper or lower half.
 * @param diameter mm
 * @example fitsBent('slate shed', { y: 4, height: 5, size: 1.4, bold: false, bent: 'over' }, 50) // true
 */
export function fitsBent(text: string, element: Bent, diameter: number): boolean {
  const radius = bentRadius(element, diameter)
  return (
    radius > 0 &&
    widthOf(text, emOf(element.size), element.bold) <= Math.PI * radius * bentMost + 1e-6
  )
}

/**
 * The largest height of an x at which words go along the edge; null where none does that is allowed.
 * @param least smallest that is allowed, mm
 * @example bentSize('slate shed', { y: 4, height: 5, size: 1.4, bold: false, bent: 'over' }, 50, 1) // 1.4
 */
export function bentSize(
  text: string,
  element: Bent,
  diameter: number,
  least: number,
): number | null {
  return largestSize(element.size, least, (size) => fitsBent(text, { ...element, size }, diameter))
}

/**
 * Words along the edge of a round label, letter by letter, their middle at its top or at its foot.
 * @param diameter mm
 * @example bentLetters('o', { y: 4, height: 5, size: 1.4, bold: false, bent: 'over' }, 50).map(({ letter, turned }) => [letter, Math.round(turned)]) // [['o', 0]]
 */
export function bentLetters(text: string, element: Bent, diameter: number): BentLetter[] {
  const radius = bentRadius(element, diameter)
  const em = emOf(element.size)
  const over = element.bent === 'over' ? 1 : -1
  const sweep = (mm: number) => mm / radius
  let at = -sweep(widthOf(text, em, element.bold)) / 2
  return [...text.normalize('NFC')].map((letter) => {
    // A letter stands on the chord of its own width: turned as the circle is in its middle.
    const wide = sweep(widthOf(letter, em, element.bold))
    const begins = at
    at += wide
    return {
      letter,
      x: radius * Math.sin(begins),
      y: -over * radius * Math.cos(begins),
      turned: (over * (begins + wide / 2) * 180) / Math.PI,
    }
  })
}
