import type { FormulaDocument } from '#contracts/formula'
import type { Library } from '../materials/library'
import { fatWeights } from './compute'

/** The bar's picture: the colour of the soap, the colour of its wave, and where the wave runs (0–1, from its name). */
export interface Face {
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

/** Soap is far paler than its oils: how much of the oils' colour is left. */
const cream: Rgb = [246, 239, 222]
const oilTint = 0.45

function hash(text: string): number {
  let value = 2166136261
  for (const letter of text) value = Math.imul(value ^ letter.codePointAt(0)!, 16777619) >>> 0
  return value
}

/** Colour of a scent, always the same for the same name: a muted hue. */
export function scentColour(id: string): string {
  const hue = hash(id) % 360
  const channel = (offset: number) => {
    const part = (offset + hue / 30) % 12
    return (0.5 - 0.16 * Math.max(-1, Math.min(part - 3, 9 - part, 1))) * 255
  }
  return hex([channel(0), channel(8), channel(4)])
}

/** The face by which a formula and its batches are recognised, from its own oils, colours and scents. */
export function faceOf(document: FormulaDocument, library: Library): Face {
  const weights = fatWeights(document)
  const sum = weights.reduce((part, value) => part + value, 0)
  const oils = document.fats.reduce<Rgb>(
    (colour, fat, index) => {
      const own = rgb(library.fats.get(fat.id)?.colour ?? '#cbbf9f')
      return colour.map((part, at) => part + (own[at]! * weights[index]!) / (sum || 1)) as Rgb
    },
    sum > 0 ? [0, 0, 0] : cream,
  )
  const base = mix(cream, oils, oilTint)
  const tint = document.additives
    .map((line) => library.additives.get(line.id))
    .find((additive) => additive?.tints)
  const scent = document.scents[0]
  const wave = tint
    ? mix(base, rgb(tint.colour), 0.75)
    : scent
      ? mix(base, rgb(scentColour(scent.id)), 0.55)
      : mix(base, [90, 80, 40], 0.22)
  return { base: hex(base), wave: hex(wave), lift: (hash(document.name) % 100) / 100 }
}
