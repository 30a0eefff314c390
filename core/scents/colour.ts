import { converter, differenceCiede2000, formatHex, type Lab65, type Rgb } from 'culori'
import { mean } from '../statistics/sum'

/** A colour as CIELAB in daylight (D65): lightness 0–100, green to red, blue to yellow. */
export interface Lab {
  l: number
  a: number
  b: number
}

/** Pixels of a photo around a picked point: red, green, blue of each, 0–255. */
export type Patch = readonly (readonly [red: number, green: number, blue: number])[]

/** Pixels on the side of the square that is looked at around a point. */
export const patchSide = 25

interface Linear {
  r: number
  g: number
  b: number
}
const toLinear = converter('lrgb')
const toLab = converter('lab65')
const apart = differenceCiede2000()

const asColour = ({ l, a, b }: Lab): Lab65 => ({ mode: 'lab65', l, a, b })

const asRgb = ([r, g, b]: Patch[number]): Rgb => ({
  mode: 'rgb',
  r: r / 255,
  g: g / 255,
  b: b / 255,
})

/** The mean light of a patch: light adds up, what a screen is told does not. */
function lightOf(patch: Patch): Linear {
  const lights = patch.map((pixel) => toLinear(asRgb(pixel)))
  const of = (part: 'r' | 'g' | 'b') => mean(lights.map((light) => light[part]))
  return { r: of('r'), g: of('g'), b: of('b') }
}

/** Parts of full light below which a patch is too dark, and above which it is too bright, to be told by (judgement). */
const [darkest, brightest] = [0.012, 0.96]
/** Standard deviation of lightness in a patch above which it is no even ground: an edge, a hole, a shine (judgement). */
const mostUneven = 6

export type PatchFault = 'dark' | 'bright' | 'uneven'

/**
 * Why a patch cannot be told by, or null when it can.
 * @param patch one pixel at least
 * @example faultOf([[250, 250, 252]]) // 'bright'
 */
export function faultOf(patch: Patch): PatchFault | null {
  const { r, g, b } = lightOf(patch)
  if (Math.max(r, g, b) > brightest) return 'bright'
  if (Math.max(r, g, b) < darkest) return 'dark'
  const lightness = patch.map((pixel) => toLab(asRgb(pixel)).l)
  const middle = mean(lightness)
  const spread = Math.sqrt(mean(lightness.map((one) => (one - middle) ** 2)))
  return spread > mostUneven ? 'uneven' : null
}

/**
 * The colour of a patch: the mean of its light, white balanced where a white or grey card was picked in the same photo.
 * @param card patch of the card; null where there is none, and the colour is as the camera made it
 * @example labOf([[231, 219, 188]], null).l // 87.6225
 */
export function labOf(patch: Patch, card: Patch | null): Lab {
  const light = lightOf(patch)
  const white = card ? lightOf(card) : null
  // A grey card has no colour of its own: each part is brought to the mean of the three, brightness stays.
  const grey = white ? (white.r + white.g + white.b) / 3 : 1
  const part = (name: 'r' | 'g' | 'b') =>
    white && white[name] > 0 ? (light[name] * grey) / white[name] : light[name]
  const { l, a, b } = toLab({ mode: 'lrgb', r: part('r'), g: part('g'), b: part('b') })
  return { l, a, b }
}

/**
 * How far two colours are apart to the eye, CIEDE2000.
 * @example differenceOf({ l: 50, a: 2.6772, b: -79.7751 }, { l: 50, a: 0, b: -82.7485 }) // 2.04246
 */
export const differenceOf = (one: Lab, other: Lab): number => apart(asColour(one), asColour(other))

/**
 * A colour as a screen shows it, for the swatch that is kept.
 * @example swatchOf({ l: 100, a: 0, b: 0 }) // '#ffffff'
 */
export const swatchOf = (colour: Lab): string => formatHex(asColour(colour))

/** Steps of lightness and colour under which nobody names the way something went (judgement). */
const named = 1

/**
 * Which way a colour went from plain, in words: darker or lighter, and the one hue that changed most.
 * @example wayOf({ l: 74, a: 6, b: 24 }, { l: 82, a: 5, b: 18 }) // ['darker', 'yellower']
 */
export function wayOf(sample: Lab, plain: Lab): string[] {
  const [light, green, blue] = [sample.l - plain.l, sample.a - plain.a, sample.b - plain.b]
  const lightness = Math.abs(light) < named ? [] : [light < 0 ? 'darker' : 'lighter']
  const hues = [
    { by: Math.abs(green), says: green > 0 ? 'redder' : 'greener' },
    { by: Math.abs(blue), says: blue > 0 ? 'yellower' : 'bluer' },
  ].sort((a, b) => b.by - a.by)
  return [...lightness, ...hues.slice(0, 1).flatMap(({ by, says }) => (by < named ? [] : [says]))]
}

/** How far from plain, in words. */
export type ColourWord = 'same' | 'slight' | 'clear' | 'strong'

/** The words of a difference, each with where it ends, CIEDE2000. */
export const differenceBands: readonly { word: ColourWord; to: number }[] = [
  { word: 'same', to: 2 },
  { word: 'slight', to: 5 },
  { word: 'clear', to: 10 },
  { word: 'strong', to: Infinity },
]

/**
 * A difference in words: under 2 the same, to 5 slight, to 10 clear, above strong.
 * @example differenceWord(7.8) // 'clear'
 */
export const differenceWord = (difference: number): ColourWord =>
  differenceBands.find(({ to }) => difference < to)?.word ?? 'strong'
