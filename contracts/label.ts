import { z } from 'zod'
import { listCustoms } from './labelWords'
import { swatchSchema } from './scent'

/*
 * A design of a label: a piece of paper in millimetres, what stands where on it, and how many of them lie on a sheet.
 */

const mm = (least: number, most: number) => z.number().min(least).max(most)

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
  'warnings',
  'price',
  'text',
  'qr',
  'barcode',
  'logo',
  'wave',
] as const

export const labelElementSchema = z.strictObject({
  id: z.string().trim().min(1).max(40),
  part: z.enum(labelParts),
  /** From the left and the top of the piece, mm. */
  x: mm(-10, 400),
  y: mm(-10, 400),
  width: mm(1, 400),
  height: mm(1, 400),
  /** Height of an x, mm; what has no words does without. */
  size: mm(0.7, 40).default(1.4),
  bold: z.boolean().default(false),
  align: z.enum(['left', 'center', 'right']).default('left'),
  colour: swatchSchema.default('#182022'),
  /** Words of its own, in place of what the part says. */
  text: z.string().trim().max(400).default(''),
})
export type LabelElement = z.infer<typeof labelElementSchema>

export const pageSizes = ['A4', 'A5', 'LETTER'] as const
export type PageSize = (typeof pageSizes)[number]

/** Where labels lie on a sheet, mm. */
export const labelSheetSchema = z.strictObject({
  page: z.enum(pageSizes).default('A4'),
  columns: z.number().int().min(1).max(20).default(1),
  rows: z.number().int().min(1).max(40).default(1),
  left: mm(0, 200).default(10),
  top: mm(0, 200).default(10),
  /** From the edge of one label to the same edge of the next. */
  pitchX: mm(1, 420).default(100),
  pitchY: mm(1, 420).default(50),
})

export const labelDesignSchema = z.strictObject({
  name: z.string().trim().min(1, 'Say what it is called.').max(60),
  form: z.enum(labelForms),
  /** Of a round one both are its diameter. */
  width: mm(10, 400),
  height: mm(10, 400),
  /** Radius of its corners. */
  corner: mm(0, 40).default(0),
  /** Where a band is folded, from its left. */
  folds: z.array(mm(0, 400)).max(8).default([]),
  custom: z.enum(listCustoms).default('in-bar'),
  elements: z.array(labelElementSchema).max(40).default([]),
  sheet: labelSheetSchema.default(labelSheetSchema.parse({})),
})
export type LabelDesign = z.infer<typeof labelDesignSchema>
export type NewLabelDesign = z.input<typeof labelDesignSchema>

/** What a label says, word for word. */
export interface LabelWords {
  name: string
  tagline: string
  net: string
  list: string
  use: string
  care: string
  dates: string
  code: string
  maker: string
  warnings: string
  price: string
  /** What its square code leads to. */
  qr: string
}
