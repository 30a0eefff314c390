import type { Stored } from '#contracts/document'
import type { LabelDesign, LabelElement } from '#contracts/label'
import type { LabelForm } from '#contracts/labelWords'
import { capital } from '#core/units/language'
import { partWords } from '#core/label/faultSays'

/** Words of labels that screens share. */
export const formNames: Record<LabelForm, string> = {
  rectangle: 'Rectangle',
  round: 'Round',
  band: 'Band',
  card: 'Card',
}

/** A part with a capital and without its article: Net weight. */
export const partName = (part: LabelElement['part']): string =>
  capital(partWords[part].replace(/^(the|a|an) /, ''))

/** Its form and its size: Band, 210 × 40 mm. */
export const sizeText = ({ form, width, height }: LabelDesign): string =>
  form === 'round' ? `Round, ${width} mm` : `${formNames[form]}, ${width} × ${height} mm`

/** The design to begin with where none was used yet: the first that has room for a list; empty where there is none at all. */
export const usualDesign = (designs: readonly Stored<LabelDesign>[]): string =>
  (
    designs.find(({ document }) => document.elements.some(({ part }) => part === 'list')) ??
    designs[0]
  )?.id ?? ''
