import { colord, extend } from 'colord'
import lab from 'colord/plugins/lab'
import type { FormulaDocument } from '#contracts/formula'
import type { Thumbnail } from '#contracts/thumbnail'
import type { Pattern, ThumbnailPattern } from '#contracts/words'
import type { Library } from '../materials/library'
import { patternOf } from '../formula/method'
import { barColour, browns, mixHex, numberOf, partColour, scentColour, soapColour } from './colours'

extend([lab])

/** How each pour is drawn in the small picture. */
const drawnAs: Record<Pattern, ThumbnailPattern> = {
  plain: 'wave',
  layers: 'layers',
  'slanted-layers': 'layers',
  'in-pot-swirl': 'swirl',
  'drop-pour': 'swirl',
  'hanger-swirl': 'swirl',
  'spun-swirl': 'swirl',
  drizzle: 'line',
  'pencil-line': 'line',
  'textured-top': 'wave',
}

/** Two colours nearer than this in CIELAB are not told apart on a bar 12 pixels wide (judgement; 2.3 is what an eye can just see). */
const apart = 14

type Lab = [number, number, number]
const known = new Map<string, Lab>()
function labOf(hex: string): Lab {
  const there = known.get(hex)
  if (there) return there
  const { l, a, b } = colord(hex).toLab()
  known.set(hex, [l, a, b])
  return [l, a, b]
}
/** How far two colours are apart in CIELAB. */
function between(one: string, other: string): number {
  const to = labOf(other)
  return Math.hypot(...labOf(one).map((value, at) => value - to[at]!))
}

/** A colour that stands out from its ground: the one wanted, made darker until it does; on a dark ground, lighter. */
function standingOut(ground: string, wanted: string): string {
  const to = colord(ground).brightness() > 0.35 ? '#1c1a14' : '#ffffff'
  let colour = wanted
  for (let tries = 0; tries < 12 && between(ground, colour) < apart; tries++)
    colour = mixHex(colour, to, 0.15)
  return colour
}

/** A darker shade of the soap itself, where nothing else lies in it (judgement). */
const shadeOf = (ground: string) => mixHex(ground, '#5a5028', 0.3)

function ofOnePot(document: FormulaDocument, library: Library): Thumbnail {
  const base = barColour(document, library)
  const [scent] = document.scents
  const scented = scent ? mixHex(base, scentColour(scent.id, library), 0.6) : shadeOf(base)
  const extras = document.additives.flatMap(({ id }) => library.additives.get(id) ?? [])
  const grit = extras.find(({ group }) => group === 'scrub')
  const own = (pattern: ThumbnailPattern, accent = scented): Thumbnail => ({
    pattern,
    colours: [base, standingOut(base, accent)],
  })
  if (patternOf(document) === 'pencil-line') return own('line', '#3a3020')
  if (grit) return own('flecks', grit.colour)
  // The outside browns in the air before the inside does.
  if (browns(document, library))
    return {
      pattern: 'rind',
      colours: [mixHex(base, soapColour(document, library), 0.4), standingOut(base, base)],
    }
  if (document.liquids.some(({ share }) => (share ?? 0) >= 0.5)) return own('rind')
  if (document.use === 'laundry' || document.use === 'dishes') return own('stamp')
  if (document.use === 'shaving') return own('split')
  return scent ? own('wave') : { pattern: 'plain', colours: [base] }
}

function ofPots(document: FormulaDocument, library: Library): Thumbnail {
  const colours = document.parts.map((part) => partColour(document, part, library))
  const pattern = drawnAs[patternOf(document)]
  const uncoloured = document.parts.every(({ additives }) => !additives.length)
  return {
    pattern: pattern === 'layers' && uncoloured ? 'shades' : pattern,
    colours: colours.length === 2 ? [colours[0]!, standingOut(colours[0]!, colours[1]!)] : colours,
  }
}

/**
 * The picture by which a formula and its batches are recognised: what its maker chose, else what follows from its oils,
 * colours, scents, pots and pour.
 * @example thumbnailOf(example, shipped) // { pattern: 'plain', colours: ['#b8bd7c'] }
 */
export function thumbnailOf(document: FormulaDocument, library: Library): Thumbnail {
  if (document.thumbnail) return document.thumbnail
  return document.parts.length > 1 ? ofPots(document, library) : ofOnePot(document, library)
}

/**
 * How far two pictures are apart: without end where the patterns differ, else the greatest distance in CIELAB of two colours
 * that lie in the same place.
 * @example farApart(thumbnailOf(example, shipped), thumbnailOf(example, shipped)) // 0
 */
export function farApart(one: Thumbnail, other: Thumbnail): number {
  if (one.pattern !== other.pattern || one.colours.length !== other.colours.length) return Infinity
  return Math.max(...one.colours.map((colour, at) => between(colour, other.colours[at]!)))
}

/** The patterns that any two colours can be drawn in. */
const open: ThumbnailPattern[] = ['wave', 'swirl', 'line', 'flecks', 'stamp', 'split', 'rind']

/**
 * A picture that none of the others is mistaken for: its own if that stands apart, else the same colours in another pattern,
 * and where every pattern is taken in another colour. What a maker chose stays as it is.
 * @param name that the search begins by, so that it ends the same every time
 * @example toldApart(thumbnailOf(example, shipped), 'Quiet Olive', []).pattern // 'plain'
 */
export function toldApart(own: Thumbnail, name: string, others: readonly Thumbnail[]): Thumbnail {
  const free = (one: Thumbnail) => others.every((other) => farApart(one, other) >= apart)
  if (free(own)) return own
  const start = numberOf(name)
  const ground = own.colours[0]!
  const second = own.colours[1] ?? shadeOf(ground)
  for (let turn = 0; turn < 40; turn++) {
    const accent = turn ? mixHex(ground, scentColour(`${name} ${turn}`), 0.75) : second
    for (let step = 0; step < open.length; step++) {
      const pattern = open[(start + step) % open.length]!
      const one: Thumbnail = { pattern, colours: [ground, standingOut(ground, accent)] }
      if (free(one)) return one
    }
  }
  return own
}

/** What a formula's picture is worked out from. */
interface ToPicture {
  id: string
  document: FormulaDocument
}

/**
 * Whether a formula has its picture before another: chosen ones first, then the older (ids sort by when they were made).
 * @example picturedBefore({ id: 'a', document: example }, { id: 'b', document: example }) // true
 */
export function picturedBefore(one: ToPicture, other: ToPicture): boolean {
  const [chosen, otherChosen] = [!!one.document.thumbnail, !!other.document.thumbnail]
  return chosen === otherChosen ? one.id < other.id : chosen
}

/**
 * The pictures of all formulas, each told apart from those before it.
 * @example thumbnailsOf([{ id: 'a', document: example }], shipped).get('a')?.pattern // 'plain'
 */
export function thumbnailsOf(
  formulas: readonly ToPicture[],
  library: Library,
): Map<string, Thumbnail> {
  const given = new Map<string, Thumbnail>()
  const inTurn = [...formulas].sort((a, b) => (picturedBefore(a, b) ? -1 : 1))
  for (const { id, document } of inTurn) {
    const own = thumbnailOf(document, library)
    given.set(id, document.thumbnail ? own : toldApart(own, document.name, [...given.values()]))
  }
  return given
}
