/* Words that labels are made of: how a list is written where a bar is sold. */

/** A list of what was weighed, or of what is in the bar. */
export const listCustoms = ['put-in', 'in-bar'] as const
export type ListCustom = (typeof listCustoms)[number]

export const plantNames = ['latin', 'english', 'both'] as const
export type PlantNames = (typeof plantNames)[number]

/** Places whose customs are known: each a start, and open to change. */
export const placeIds = ['gb', 'eu', 'us'] as const
export type PlaceId = (typeof placeIds)[number]

export const allergenListIds = ['none', 'short', 'long'] as const

/** Grams to which the net weight of a label is rounded down. */
export const netSteps = [1, 5, 10] as const
export type NetStep = (typeof netSteps)[number]

/** Pieces of paper. A band goes round the bar, its folds are said; a card stands on the shelf. */
export const labelForms = ['rectangle', 'round', 'band', 'card'] as const
export type LabelForm = (typeof labelForms)[number]

/** What may stand on a label; its words come from the batch, the formula and the workshop. */
export const labelParts = [
  'name',
  'tagline',
  'net',
  'list',
  'use',
  'care',
  'dates',
  'code',
  'maker',
  'person',
  'warnings',
  'price',
  'text',
  'qr',
  'barcode',
  'logo',
  'wave',
] as const

export const pageSizes = ['A4', 'A5', 'LETTER'] as const
export type PageSize = (typeof pageSizes)[number]
