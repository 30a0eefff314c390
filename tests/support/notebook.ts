import Excel from 'exceljs'
import { PNG } from 'pngjs'

/** A picture of a page, each another one: a grey sheet with a stroke at its own height. */
export function pagePicture(nth: number): Buffer {
  const png = new PNG({ width: 60, height: 80 })
  for (let at = 0; at < 60 * 80; at++) {
    const stroke = Math.floor(at / 60) === 10 + nth
    png.data.set(stroke ? [30, 40, 90, 255] : [240, 230, 205, 255], at * 4)
  }
  return PNG.sync.write(png)
}

/** Heads as somebody has them, with units in brackets and one that nobody understands. */
const heads = ['Date', 'Soap', 'Olive oil (g)', 'Coconut oil (g)', 'NaOH', 'Water', 'Mood', 'Notes']

/**
 * A messy sheet of sixty batches: an empty row in between, days as text and as dates, a weight with its unit, two rows with a fault:
 * a day that is none on line 14, and a weight in words on line 40.
 */
export async function messySheet(): Promise<Buffer> {
  const book = new Excel.Workbook()
  const sheet = book.addWorksheet('Batches')
  sheet.addRow(heads)
  let nth = 0
  for (let line = 2; nth < 60; line++) {
    // Line 25 is empty, as somebody left it between two years.
    if (line === 25) continue
    nth++
    const day = new Date(Date.UTC(2012, 0, 3 + nth * 20))
    const row = sheet.getRow(line)
    row.values = [
      line === 14
        ? '31/2/2013'
        : nth % 3
          ? day
          : `${day.getUTCDate()}/${day.getUTCMonth() + 1}/${String(day.getUTCFullYear()).slice(2)}`,
      `Sheet soap ${nth}`,
      nth % 7 ? 500 : '500 g',
      line === 40 ? 'a cup' : 250,
      // 500 g of olive and 250 g of coconut oil take 113 g at no superfat: every tenth has next to none.
      nth % 10 === 3 ? 112 : 105,
      nth % 12 === 5 ? null : 250,
      nth === 8 ? 'cross' : null,
      nth === 9 ? { richText: [{ text: 'Smelt of ' }, { text: 'tar' }] } : null,
    ] as never
    row.commit()
  }
  return Buffer.from(await book.xlsx.writeBuffer())
}
