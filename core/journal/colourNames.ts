import { converter, parse } from 'culori'
import type { ColourFamily } from './vocabulary'

const toLch = converter('oklch')

/*
 * Where one colour ends and the next begins, by lightness, chroma and hue in OKLCH: judgement, by what people call the colours of soap.
 */
const chromaOfNone = 0.025
/** Degrees of hue before a border within which a colour has both names. */
const nearBorder = 6
const hues: readonly [to: number, name: ColourFamily][] = [
  [12, 'pink'],
  [45, 'red'],
  [68, 'orange'],
  [112, 'yellow'],
  [165, 'green'],
  [215, 'teal'],
  [290, 'blue'],
  [335, 'purple'],
  [360, 'pink'],
]

/**
 * What people call a colour: one name, or two where it lies between them.
 * @param hex as #rrggbb
 * @example colourNames('#4a6fa5') // ['blue']
 */
export function colourNames(hex: string): ColourFamily[] {
  const colour = toLch(parse(hex))
  if (!colour) return []
  const { l, c, h = 0 } = colour
  if (l < 0.3 && c < 0.06) return ['black']
  if (c < chromaOfNone) return l > 0.93 ? ['white'] : l > 0.88 ? ['white', 'grey'] : ['grey']
  // Warm and pale is the colour of plain soap; warm and dull, of browned soap.
  const warm = h > 50 && h < 115
  if (warm && c < 0.06 && l > 0.8) return l > 0.95 ? ['cream', 'white'] : ['cream']
  if (warm && c < 0.09 && l > 0.8 && h < 100) return ['cream', 'brown']
  const at = hues.findIndex(([to]) => h <= to)
  const [to, name] = hues[at]!
  if (h > 20 && h < 100 && (c < 0.075 || (l < 0.6 && c < 0.13)))
    return name === 'red' ? ['brown', 'red'] : ['brown']
  if (name === 'red' && l > 0.72) return ['pink', 'red']
  // Near a border it is called either.
  const next = hues[(at + 1) % hues.length]![1]
  return to - h < nearBorder && next !== name ? [name, next] : [name]
}
