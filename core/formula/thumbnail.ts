import type { AdditiveLine, FormulaDocument, PartLine } from '#contracts/formula'
import type { Library } from '../materials/library'
import { fatWeights } from './compute'
import { sum } from '../statistics/sum'

/** The bar's picture: the colour of the soap, the colour of its wave, and where the wave runs (0–1, from its name). */
export interface Thumbnail {
  base: string
  wave: string
  lift: number
}

type Rgb = [number, number, number]
const rgb = (hex: string): Rgb => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as Rgb
const hex = (colour: Rgb) =>
  `#${colour.map((part) => Math.round(part).toString(16).padStart(2, '0')).join('')}`
const mix = (a: Rgb, b: Rgb, part: number): Rgb =>
  a.map((value, at) => value + (b[at]! - value) * part) as Rgb

/**
 * A colour so far on the way from one to another, both as #rrggbb.
 * @example mixHex('#000000', '#ffffff', 0.5) // '#808080'
 */
export const mixHex = (from: string, to: string, part: number): string =>
  hex(mix(rgb(from), rgb(to), part))

/** Soap is far paler than its oils: how much of the oils' colour is left. */
const cream: Rgb = [246, 239, 222]
const oilTint = 0.45

function hash(text: string): number {
  let value = 2166136261
  for (const letter of text) value = Math.imul(value ^ letter.codePointAt(0)!, 16777619) >>> 0
  return value
}

/**
 * Colour of a scent, always the same for the same name: a muted hue.
 * @example scentColour('clove') // '#a8576a'
 */
export function scentColour(id: string): string {
  const hue = hash(id) % 360
  const channel = (offset: number) => {
    const part = (offset + hue / 30) % 12
    return (0.5 - 0.16 * Math.max(-1, Math.min(part - 3, 9 - part, 1))) * 255
  }
  return hex([channel(0), channel(8), channel(4)])
}

/** The colour of the plain soap: its oils, made paler. */
function soapColour(document: FormulaDocument, library: Library): Rgb {
  const weights = fatWeights(document)
  const whole = sum(weights)
  const oils = document.fats.reduce<Rgb>(
    (colour, fat, index) => {
      const own = rgb(library.fats.get(fat.id)?.colour ?? '#cbbf9f')
      return colour.map((part, at) => part + (own[at]! * weights[index]!) / (whole || 1)) as Rgb
    },
    whole > 0 ? [0, 0, 0] : cream,
  )
  return mix(cream, oils, oilTint)
}

const tintIn = (lines: AdditiveLine[], library: Library) =>
  lines.map((line) => library.additives.get(line.id)).find((additive) => additive?.tints)

/**
 * The colour of a part in the bar: its own colourant if it has one, else the soap's own colour. Uncoloured parts differ by
 * their water: with little of it a part gels less and stays pale, with much it comes out darker.
 * @example partColour(example, pot('pale', 1), shipped) // '#c8c994'
 */
export function partColour(document: FormulaDocument, part: PartLine, library: Library): string {
  const base = hex(soapColour(document, library))
  const tint = tintIn(part.additives, library)
  if (tint) return mixHex(base, tint.colour, 0.8)
  if (!part.water) return base
  const ratio = part.water.held === 'ratio' ? (part.water.value ?? 2) : 2
  const depth = Math.max(0, Math.min(1, (ratio - 1.2) / 1.8))
  return depth < 0.4
    ? mixHex(base, '#ffffff', (0.4 - depth) * 1.1)
    : mixHex(base, '#6b5630', (depth - 0.4) * 0.75)
}

/**
 * The picture by which a formula and its batches are recognised, from its own oils, colours, scents and pots.
 * @example thumbnailOf(example, shipped) // { base: '#c8c994', wave: '#b0af7c', lift: 0.64 }
 */
export function thumbnailOf(document: FormulaDocument, library: Library): Thumbnail {
  const lift = (hash(document.name) % 100) / 100
  const [first, ...others] = document.parts
  const last = others.at(-1)
  if (first && last)
    return {
      base: partColour(document, first, library),
      wave: partColour(document, last, library),
      lift,
    }
  const base = soapColour(document, library)
  const tint = tintIn(document.additives, library)
  const scent = document.scents[0]
  const wave = tint
    ? mix(base, rgb(tint.colour), 0.75)
    : scent
      ? mix(base, rgb(scentColour(scent.id)), 0.55)
      : mix(base, [90, 80, 40], 0.22)
  return { base: hex(base), wave: hex(wave), lift }
}
