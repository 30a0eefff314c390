import type { LabelDesign } from '#contracts/label'
import type { PageSize } from '#contracts/labelWords'

/** mm of the pages that labels come on. */
export const pageMm: Record<PageSize, readonly [width: number, height: number]> = {
  A4: [210, 297],
  A5: [148, 210],
  LETTER: [215.9, 279.4],
}

/** Where one label lies: the page from nought, and its left and upper edge in mm. */
export interface LabelPlace {
  page: number
  x: number
  y: number
}

/**
 * Where so many labels lie, row by row, from a place of the first sheet on.
 * @param from place of the first, from 1
 * @example placesOf({ ...labelDesign, sheet: { page: 'A4', columns: 2, rows: 1, left: 10, top: 20, pitchX: 100, pitchY: 50 } }, 2, 2).map(({ page, x }) => [page, x])
 *   // [[0, 110], [1, 10]]
 */
export function placesOf(
  { sheet }: Pick<LabelDesign, 'sheet'>,
  count: number,
  from = 1,
): LabelPlace[] {
  const each = sheet.columns * sheet.rows
  return Array.from({ length: count }, (_, nth) => {
    const at = nth + from - 1
    const place = at % each
    return {
      page: Math.floor(at / each),
      x: sheet.left + (place % sheet.columns) * sheet.pitchX,
      y: sheet.top + Math.floor(place / sheet.columns) * sheet.pitchY,
    }
  })
}

/**
 * Whether all labels of a sheet lie on its page and none over another.
 * @example sheetFits({ ...labelDesign, width: 90, height: 50 }) // true
 */
export function sheetFits({
  sheet,
  width,
  height,
}: Pick<LabelDesign, 'sheet' | 'width' | 'height'>): boolean {
  const [wide, tall] = pageMm[sheet.page]
  const over = 1e-6
  return (
    sheet.left + (sheet.columns - 1) * sheet.pitchX + width <= wide + over &&
    sheet.top + (sheet.rows - 1) * sheet.pitchY + height <= tall + over &&
    (sheet.columns === 1 || sheet.pitchX >= width - over) &&
    (sheet.rows === 1 || sheet.pitchY >= height - over)
  )
}
