import { createCanvas, Path2D } from '@napi-rs/canvas'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'

/* PDF pages as a reader sees them: their size, their words, and a picture of them. */

// The reader draws with whatever paths there are: they have to be those of the canvas.
Object.assign(globalThis, { Path2D })
const folder = dirname(createRequire(import.meta.url).resolve('pdfjs-dist/package.json'))
const dotsPerMm = 600 / 25.4

export interface PageSeen {
  /** mm. */
  width: number
  height: number
  words: string
  /** Dots of its picture, four bytes each, and how many of them are a millimetre. */
  dots: Uint8ClampedArray
  wide: number
  tall: number
  perMm: number
}

/** The words on each page of a PDF, without a picture of it. */
export async function wordsOf(bytes: Uint8Array): Promise<string[]> {
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise
  const pages: string[] = []
  for (let number = 1; number <= pdf.numPages; number++) {
    const { items } = await (await pdf.getPage(number)).getTextContent()
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '))
  }
  return pages.map((words) => words.replace(/\s+/g, ' '))
}

/** The pages of a PDF. */
export async function pagesOf(bytes: Uint8Array): Promise<PageSeen[]> {
  const pdf = await getDocument({
    data: new Uint8Array(bytes),
    standardFontDataUrl: join(folder, 'standard_fonts/'),
    disableFontFace: true,
    verbosity: 0,
  }).promise
  const pages: PageSeen[] = []
  for (let number = 1; number <= pdf.numPages; number++) {
    const page = await pdf.getPage(number)
    const [, , width, height] = page.view as [number, number, number, number]
    const viewport = page.getViewport({ scale: (dotsPerMm * 25.4) / 72 })
    const canvas = createCanvas(Math.round(viewport.width), Math.round(viewport.height))
    const context = canvas.getContext('2d')
    context.fillStyle = '#ffffff'
    context.fillRect(0, 0, canvas.width, canvas.height)
    await page.render({ canvasContext: context as never, viewport }).promise
    const { items } = await page.getTextContent()
    pages.push({
      width: (width * 25.4) / 72,
      height: (height * 25.4) / 72,
      words: items
        .map((item) => ('str' in item ? item.str + (item.hasEOL ? ' ' : '') : ''))
        .join(''),
      dots: context.getImageData(0, 0, canvas.width, canvas.height).data as Uint8ClampedArray,
      wide: canvas.width,
      tall: canvas.height,
      perMm: dotsPerMm,
    })
  }
  return pages
}

/** mm from the left and the top of the first and the last dot that is darker than paper, in a stretch of a page. */
export function inkOf({ dots, wide, tall, perMm }: PageSeen): {
  left: number
  right: number
  top: number
  bottom: number
} {
  let [left, right, top, bottom] = [wide, 0, tall, 0]
  for (let y = 0; y < tall; y++)
    for (let x = 0; x < wide; x++)
      if (dots[4 * (y * wide + x)]! < 160) {
        left = Math.min(left, x)
        right = Math.max(right, x)
        top = Math.min(top, y)
        bottom = Math.max(bottom, y)
      }
  return {
    left: left / perMm,
    right: (right + 1) / perMm,
    top: top / perMm,
    bottom: (bottom + 1) / perMm,
  }
}

/** A piece of a page, mm from its left and its top: a page of its own for whoever reads pictures. */
export function cutOf(
  { dots, wide, perMm }: PageSeen,
  { x, y, width, height }: { x: number; y: number; width: number; height: number },
): { dots: Uint8ClampedArray; wide: number; tall: number } {
  const [left, top, across, down] = [x, y, width, height].map((mm) => Math.round(mm * perMm)) as [
    number,
    number,
    number,
    number,
  ]
  const cut = new Uint8ClampedArray(4 * across * down)
  for (let row = 0; row < down; row++) {
    const from = 4 * ((top + row) * wide + left)
    cut.set(dots.subarray(from, from + 4 * across), 4 * row * across)
  }
  return { dots: cut, wide: across, tall: down }
}
