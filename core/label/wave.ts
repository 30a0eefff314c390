import type { LabelElement, LabelWords } from '#contracts/label'

/*
 * Two waves of the bar's own colours across the foot of a label, one path for the screen and for paper.
 */

/** Colour of elements that nobody gave one. */
const ink = '#182022'

/**
 * The two colours of a wave: those of the bar, or the one that it was given.
 * @example waveColours({ colour: '#182022' }, { colours: ['#c9ad6b', '#e0cf98'] }) // ['#c9ad6b', '#e0cf98']
 */
export const waveColours = (
  { colour }: Pick<LabelElement, 'colour'>,
  { colours }: Pick<LabelWords, 'colours'>,
): readonly [deep: string, pale: string] => (colour === ink ? colours : [colour, colour])

/**
 * One wave as a path, from its own upper left corner, mm.
 * @param top share of its height at which it begins
 * @example wavePath(10, 10, 0.5) // 'M0 6.8C3 2.8 6 10 10 5.5L10 10L0 10Z'
 */
export function wavePath(width: number, height: number, top: number): string {
  const at = (x: number, y: number) =>
    `${Number((x * width).toFixed(3))} ${Number(((top + y) * height).toFixed(3))}`
  return `M${at(0, 0.18)}C${at(0.3, -0.22)} ${at(0.6, 0.5)} ${at(1, 0.05)}L${at(1, 1 - top)}L${at(0, 1 - top)}Z`
}
