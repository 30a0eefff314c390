import type { FormulaResult } from '#contracts/result'
import { lyeWeighed } from '#core/formula/pot'
import type { Library } from '#core/materials/library'

/** What lies in a pot, in the order of pouring. */
export interface PotLayer {
  key: string
  label: string
  grams: number
  colour: string
  /** Lye: the one figure that must not be wrong. */
  strong?: boolean
}

/** A fat without its state and its kind: `Coconut oil, melts at 24 °C` is "Coconut". */
export const shortName = (name: string) => name.replace(/,.*$/, '').replace(/ (oil|butter)$/i, '')

export function potLayers(result: FormulaResult, library: Library): PotLayer[] {
  const { fats, liquids, water, lye, additives, scents } = result
  const of = (
    kind: 'fat' | 'liquid' | 'additive' | 'scent',
    lines: readonly { id: string; name: string; grams: number }[],
    short: boolean,
  ) =>
    lines.map(({ id, name, grams }, index) => ({
      key: `${kind}-${index}`,
      label: short ? shortName(name) : name,
      grams,
      colour: substanceColour(kind, id, library),
    }))
  return [
    ...of('fat', fats, true),
    ...of('liquid', liquids, false),
    { key: 'water', label: 'Water', grams: water.weighed, colour: 'var(--color-water)' },
    {
      key: 'lye',
      label: lye.solution === null ? 'Lye' : 'Lye solution',
      grams: lyeWeighed(result),
      colour: 'var(--color-lye)',
      strong: true,
    },
    ...of('additive', additives, true),
    ...of('scent', scents, false),
  ].filter(({ grams }) => grams > 0)
}
