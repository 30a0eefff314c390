import type { Pattern } from '#contracts/words'
import { pours, type Pour } from './patterns'

/** How much longer than a pour takes a batter may stay fluid and still set under it (judgement). */
const longest = 1.6

/**
 * The longest that a batter may stay fluid for a pour that lives on setting, in minutes.
 * @example longestFor({ minutes: 15 }) // 24
 */
export const longestFor = ({ minutes }: Pour): number => minutes * longest

/**
 * Whether a batter of so many workable minutes bears a pour: time enough for one that wants it fluid, and not too much for one that
 * wants it to set.
 * @example bears({ lives: 'fluid', minutes: 15 }, 7) // false
 */
export function bears(pour: Pour, minutes: number): boolean {
  if (pour.lives === 'fluid') return minutes >= pour.minutes
  if (pour.lives === 'setting') return minutes >= pours.plain.minutes && minutes <= longestFor(pour)
  return minutes >= pour.minutes
}

/**
 * Every pour that a batter bears, in their usual order.
 * @example poursFor(7) // ['plain', 'layers', 'slanted-layers', 'pencil-line', 'textured-top']
 */
export const poursFor = (minutes: number): Pattern[] =>
  (Object.keys(pours) as Pattern[]).filter((one) => bears(pours[one], minutes))
