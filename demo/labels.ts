import type { LabelElement, NewLabelDesign, SoapWords } from '#contracts/label'
import { beginDesign } from '#core/label/designs'

/*
 * Six designs of the shed, one of them with a list that does not fit and words that promise too much; what its soaps cost; and a box of
 * three.
 */

type Placed = Pick<LabelElement, 'part' | 'x' | 'y' | 'width' | 'height'> & Partial<LabelElement>
const withIds = (elements: Placed[]) =>
  elements.map((element, nth) => ({ id: `${element.part}-${nth}`, ...element }))

const band = beginDesign('band', 'Band')
const card = beginDesign('card', 'Shelf card')

/** By the order in which they were made; `also` names another of them. */
export const demoDesigns: { document: NewLabelDesign; also?: string }[] = [
  { document: beginDesign('round', 'Round') },
  {
    document: {
      ...band,
      elements: [
        ...band.elements!.map((element) =>
          // The words above it leave it too little room.
          element.part === 'list' ? { ...element, y: 7.5, height: 12 } : element,
        ),
        {
          id: 'text-12',
          part: 'text',
          x: 102,
          y: 3,
          width: 71,
          height: 4,
          size: 1.3,
          text: 'Heals cracked hands. Made in a slate shed.',
        },
      ],
    },
    also: 'Round',
  },
  {
    document: {
      ...beginDesign('rectangle', 'Dish bar'),
      width: 70,
      height: 45,
      elements: withIds([
        { part: 'maker', x: 4, y: 3, width: 40, height: 4, size: 1.2 },
        { part: 'name', x: 4, y: 7.5, width: 62, height: 9, size: 3, bold: true },
        { part: 'use', x: 4, y: 16, width: 62, height: 4.4, size: 1.4, bold: true },
        { part: 'list', x: 4, y: 21, width: 62, height: 7, size: 1.2 },
        { part: 'warnings', x: 4, y: 28, width: 62, height: 4, size: 1.2 },
        { part: 'person', x: 4, y: 32.5, width: 62, height: 4, size: 1.2 },
        { part: 'net', x: 4, y: 38, width: 30, height: 6, size: 2.2, bold: true },
        { part: 'code', x: 40, y: 38.5, width: 26, height: 5, size: 1.4, align: 'right' },
      ]),
      sheet: { page: 'A4', columns: 2, rows: 6, left: 30, top: 8, pitchX: 76, pitchY: 47 },
    },
  },
  {
    document: {
      ...beginDesign('rectangle', 'Gift box'),
      width: 130,
      height: 90,
      elements: withIds([
        { part: 'wave', x: 0, y: 74, width: 130, height: 16 },
        { part: 'maker', x: 5, y: 4, width: 60, height: 4.5, size: 1.4 },
        { part: 'name', x: 5, y: 9, width: 120, height: 12, size: 4.4, bold: true },
        { part: 'tagline', x: 5, y: 21, width: 120, height: 6, size: 1.8 },
        { part: 'list', x: 5, y: 28, width: 120, height: 28, size: 1.2 },
        { part: 'use', x: 5, y: 56.5, width: 98, height: 4, size: 1.2 },
        { part: 'warnings', x: 5, y: 60.5, width: 98, height: 4, size: 1.2 },
        { part: 'dates', x: 5, y: 64.5, width: 98, height: 4, size: 1.2 },
        { part: 'person', x: 5, y: 68.5, width: 98, height: 4, size: 1.2 },
        { part: 'net', x: 5, y: 80, width: 120, height: 8, size: 3, bold: true },
        { part: 'code', x: 80, y: 4.5, width: 45, height: 4.5, size: 1.3, align: 'right' },
        { part: 'qr', x: 108, y: 58, width: 15, height: 15 },
      ]),
      sheet: {
        page: 'A4',
        columns: 1,
        rows: 3,
        left: 40,
        top: 10,
        pitchX: 130,
        pitchY: 93,
        edges: true,
      },
    },
  },
  { document: card },
  { document: beginDesign('rectangle', 'Rectangle') },
]

/** What customers read, by the name of the formula, and the name of its design. */
export const demoSoapWords: Record<
  string,
  Pick<SoapWords, 'tagline' | 'price'> & Partial<SoapWords> & { design?: string }
> = {
  'Hostel Bar': { tagline: 'fir and smoke, buttermilk', price: 450, design: 'Band' },
  'Market Rose': { tagline: 'rose and clay', price: 650, design: 'Round' },
  'Dish Slate': { tagline: 'for plates and pans', price: 400, design: 'Dish bar' },
  'Fir & Smoke': { tagline: '', price: 600, wholesale: 380, design: 'Rectangle' },
  'Quiet Olive': { tagline: 'nothing but olive', price: 520, design: 'Rectangle' },
  'Plain Tallow': { tagline: 'without scent', price: 420 },
  'Ferry Shave': { tagline: '', price: 600 },
  'Wardrobe Block': { tagline: 'for drawers and linen', price: 520 },
}

/** A box of three bars, of batches by their number. */
export const demoGift = {
  name: 'Three for the road',
  tagline: '',
  price: 1650,
  design: 'Gift box',
  bars: [
    { batch: 1, bars: 1 },
    { batch: 21, bars: 1 },
    { batch: 25, bars: 1 },
  ],
} as const
