import type { LabelElement, NewLabelDesign } from '#contracts/label'
import type { LabelForm } from '#contracts/labelWords'

/*
 * Where a design begins: one for each piece of paper, with everything that a label usually carries in a place of its own.
 */

type Begun = Omit<NewLabelDesign, 'name' | 'form' | 'elements'> & {
  elements: (Pick<LabelElement, 'part' | 'x' | 'y' | 'width' | 'height'> & Partial<LabelElement>)[]
}

const begun: Record<LabelForm, Begun> = {
  rectangle: {
    width: 90,
    height: 55,
    corner: 3,
    elements: [
      { part: 'maker', x: 4, y: 3, width: 50, height: 4, size: 1.2 },
      { part: 'name', x: 4, y: 8, width: 56, height: 9, size: 3.2, bold: true },
      { part: 'tagline', x: 4, y: 17, width: 56, height: 5, size: 1.6 },
      { part: 'list', x: 4, y: 23.5, width: 82, height: 12, size: 1.2 },
      { part: 'use', x: 4, y: 36, width: 56, height: 3.2, size: 1.2 },
      { part: 'warnings', x: 4, y: 39.3, width: 56, height: 3.2, size: 1.2 },
      { part: 'person', x: 4, y: 42.6, width: 56, height: 3.2, size: 1.2 },
      { part: 'dates', x: 4, y: 45.9, width: 56, height: 6.4, size: 1.2 },
      { part: 'net', x: 62, y: 44, width: 24, height: 8, size: 2.4, bold: true, align: 'right' },
      { part: 'qr', x: 70, y: 3, width: 16, height: 16 },
      { part: 'code', x: 62, y: 19.3, width: 24, height: 3.2, size: 1.2, align: 'right' },
    ],
    sheet: { page: 'A4', columns: 2, rows: 5, left: 12, top: 6, pitchX: 96, pitchY: 57 },
  },
  round: {
    width: 50,
    height: 50,
    elements: [
      { part: 'wave', x: 0, y: 32, width: 50, height: 18 },
      { part: 'maker', x: 5, y: 4, width: 40, height: 5, size: 1.4, align: 'center', bent: 'over' },
      { part: 'name', x: 5, y: 14, width: 40, height: 8, size: 2.6, bold: true, align: 'center' },
      { part: 'tagline', x: 6, y: 22, width: 38, height: 4, size: 1.3, align: 'center' },
      { part: 'net', x: 10, y: 28, width: 30, height: 6.4, size: 2.4, bold: true, align: 'center' },
      { part: 'code', x: 14, y: 38, width: 22, height: 4, size: 1.2, align: 'center' },
    ],
    sheet: { page: 'A4', columns: 4, rows: 5, left: 4, top: 13, pitchX: 50.6, pitchY: 54 },
  },
  band: {
    width: 210,
    height: 40,
    folds: [75, 100, 175, 200],
    elements: [
      { part: 'wave', x: 0, y: 26, width: 75, height: 14 },
      { part: 'maker', x: 3, y: 3, width: 60, height: 4, size: 1.2 },
      { part: 'name', x: 3, y: 8, width: 69, height: 11, size: 4, bold: true },
      { part: 'tagline', x: 3, y: 19, width: 69, height: 5, size: 1.6 },
      { part: 'net', x: 3, y: 31.5, width: 40, height: 6.4, size: 2.4, bold: true },
      { part: 'use', x: 77, y: 5, width: 21, height: 10, size: 1.2, align: 'center' },
      { part: 'care', x: 77, y: 16, width: 21, height: 10, size: 1.2, align: 'center' },
      { part: 'list', x: 102, y: 3, width: 71, height: 21, size: 1.2 },
      { part: 'warnings', x: 102, y: 24.5, width: 71, height: 3.4, size: 1.2 },
      { part: 'person', x: 102, y: 28, width: 71, height: 3.4, size: 1.2 },
      { part: 'dates', x: 102, y: 31.5, width: 71, height: 6.6, size: 1.2 },
      { part: 'qr', x: 180, y: 7, width: 15, height: 15 },
      { part: 'code', x: 177, y: 23, width: 21, height: 4, size: 1.4, bold: true, align: 'center' },
    ],
    // Across the page, so that a band is longer than it is wide.
    sheet: {
      page: 'A4',
      columns: 1,
      rows: 6,
      left: 0,
      top: 20,
      pitchX: 210,
      pitchY: 43,
      edges: true,
    },
  },
  card: {
    width: 85,
    height: 55,
    corner: 2,
    elements: [
      { part: 'name', x: 5, y: 6, width: 75, height: 12, size: 4.4, bold: true },
      { part: 'tagline', x: 5, y: 19, width: 75, height: 6, size: 2 },
      { part: 'net', x: 5, y: 30, width: 34, height: 7, size: 2.4 },
      { part: 'price', x: 40, y: 32, width: 40, height: 18, size: 6.4, bold: true, align: 'right' },
    ],
    sheet: {
      page: 'A4',
      columns: 2,
      rows: 5,
      left: 15,
      top: 8,
      pitchX: 92,
      pitchY: 57,
      edges: true,
    },
  },
}

/**
 * A new design of a form.
 * @example beginDesign('round', 'Round').width // 50
 */
export const beginDesign = (form: LabelForm, name: string): NewLabelDesign => ({
  name,
  form,
  ...begun[form],
  elements: begun[form].elements.map((element, nth) => ({
    id: `${element.part}-${nth}`,
    ...element,
  })),
})
