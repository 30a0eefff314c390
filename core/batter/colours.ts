import type { AdditiveLine, FormulaDocument, PartLine } from '#contracts/formula'
import type { Library } from '../materials/library'
import { fatWeights } from '../formula/compute'
import { sum } from '../statistics/sum'
import { scentBrowns } from './scentBehaviour'
import { seenLike } from './seenColours'

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

/** Soap is far paler than its oils: how much of the oils' colour is left (judgement). */
const cream = '#f6efde'
const oilTint = 0.6

/**
 * A number that is always the same for the same name, 0 to 2³² − 1.
 * @example numberOf('olive') === numberOf('olive') // true
 */
export function numberOf(text: string): number {
  let value = 2166136261
  for (const letter of text) value = Math.imul(value ^ letter.codePointAt(0)!, 16777619) >>> 0
  return value
}

/**
 * Colour of a scent: that of its record, else one that is always the same for the same name: a muted hue.
 * @example scentColour('clove') // '#a8576a'
 */
export function scentColour(id: string, { scents }: Pick<Library, 'scents'> = {}): string {
  const own = scents?.get(id)?.scent.colour
  if (own) return own
  const hue = numberOf(id) % 360
  const channel = (offset: number) => {
    const part = (offset + hue / 30) % 12
    return (0.5 - 0.16 * Math.max(-1, Math.min(part - 3, 9 - part, 1))) * 255
  }
  return hex([channel(0), channel(8), channel(4)])
}

/** What vanillin turns to while the bars cure, and how far a scent that browns takes them (judgement). */
const brown = '#7a4a26'
const browning = 0.55

/**
 * Whether one of the scents turns the bar brown while it cures.
 * @example browns(example, shipped) // false
 */
export const browns = (
  { scents }: Pick<FormulaDocument, 'scents'>,
  library: Pick<Library, 'scents'>,
): boolean => scents.some((scent) => scentBrowns(scent, library))

/**
 * The colour of the soap with nothing in it: its oils, made paler.
 * @example soapColour(example, shipped) // '#b8bd7c'
 */
export function soapColour(document: FormulaDocument, library: Library): string {
  const weights = fatWeights(document)
  const whole = sum(weights)
  if (!(whole > 0)) return cream
  const oils = document.fats.reduce<Rgb>(
    (colour, fat, index) => {
      const own = rgb(library.fats.get(fat.id)?.colour ?? '#cbbf9f')
      return colour.map((part, at) => part + (own[at]! * weights[index]!) / whole) as Rgb
    },
    [0, 0, 0],
  )
  return hex(mix(rgb(cream), oils, oilTint))
}

/** The first colourant of some lines, with the bar of it that somebody has looked at and that is most like this one. */
function tintIn(lines: AdditiveLine[], { method }: FormulaDocument, library: Library) {
  const line = lines.find(({ id }) => library.additives.get(id)?.tints)
  if (!line) return null
  const known = library.colours?.get(line.id)
  const gelled = method.gel === 'leave' ? null : method.gel === 'force'
  const seen = known && seenLike(known, { rate: line.rate ?? null, gelled })
  return { colour: library.additives.get(line.id)!.colour, seen: seen?.swatch ?? null }
}
/** What a soap becomes by a colourant: as it came out here, or else some way to the colour of the powder. */
const tinted = (soap: string, { colour, seen }: NonNullable<ReturnType<typeof tintIn>>) =>
  seen ?? mixHex(soap, colour, tinting)

/** How much of a colourant's own colour the bar takes on (judgement). */
const tinting = 0.8

/**
 * The colour of a bar of one pot: its colourant, else its soap, browned where the scent does that.
 * @example barColour(example, shipped) // '#b8bd7c'
 */
export function barColour(document: FormulaDocument, library: Library): string {
  const soap = soapColour(document, library)
  const tint = tintIn(document.additives, document, library)
  const coloured = tint ? tinted(soap, tint) : soap
  return browns(document, library) ? mixHex(coloured, brown, browning) : coloured
}

/**
 * The colour of a part in the bar: its own colourant if it has one, else the soap's own colour. Uncoloured parts differ by
 * their water: with little of it a part gels less and stays pale, with much it comes out darker. A scent that browns browns
 * the parts it is in.
 * @example partColour(example, pot('pale', 1), shipped) // '#b8bd7c'
 */
export function partColour(document: FormulaDocument, part: PartLine, library: Library): string {
  const soap = soapColour(document, library)
  const tint = tintIn(part.additives, document, library)
  const coloured = tint ? tinted(soap, tint) : byWater(soap, part)
  return part.scent && browns(document, library) ? mixHex(coloured, brown, browning) : coloured
}

function byWater(soap: string, { water }: PartLine): string {
  if (!water) return soap
  const ratio = water.held === 'ratio' ? (water.value ?? 2) : 2
  const depth = Math.max(0, Math.min(1, (ratio - 1.2) / 1.8))
  return depth < 0.4
    ? mixHex(soap, '#ffffff', (0.4 - depth) * 1.1)
    : mixHex(soap, '#6b5630', (depth - 0.4) * 0.75)
}
