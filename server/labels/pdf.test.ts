import jsQR from 'jsqr'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { labelDesignSchema, type LabelWords } from '#contracts/label'
import type { LabelForm } from '#contracts/labelWords'
import { beginDesign } from '#core/label/designs'
import { saysOf } from '#core/label/fit'
import { placesOf } from '#core/label/sheet'
import { labelWords } from '../../tests/support/labelWords'
import { cutOf, inkOf, pagesOf } from '../../tests/support/pdfPage'
import { labelFonts } from './fonts'
import { labelsPdf, type LabelJob } from './pdf'

/* What comes out of the printer, read again: by a reader of PDFs, by a decoder of square codes, and with a ruler on its picture. */

const path = (file: string) =>
  createRequire(import.meta.url).resolve(`@fontsource/atkinson-hyperlegible-next/files/${file}`)
const fonts = await labelFonts((file) => readFile(path(file)))
/** With letters of another alphabet than the first file of the typeface has. */
const words: LabelWords = { ...labelWords, maker: 'Slate Shed, Łódź Lane, Saltness' }
const designOf = (form: LabelForm, sheet: object = {}) => {
  const begun = beginDesign(form, form)
  return labelDesignSchema.parse({ ...begun, sheet: { ...begun.sheet, ...sheet } })
}
/** A whole file, and how far it was on the way. */
async function made(
  design: LabelJob['design'],
  own: LabelWords | LabelWords[],
  places: LabelJob['places'],
  { test = false, told = [] as number[] } = {},
): Promise<Buffer> {
  const jobs = [{ design, words: [own].flat(), places }]
  for await (const step of labelsPdf(jobs, fonts, { test, title: design.name })) {
    if ('pdf' in step) return step.pdf
    told.push(step.done)
  }
  throw new Error('no file came')
}
const plain = (text: string) => text.replace(/\s+/g, ' ').trim()

describe('labels as a PDF', () => {
  it.each(['rectangle', 'round', 'band', 'card'] as const)(
    '%s: says what it is to say, letter for letter, in type that is embedded',
    async (form) => {
      const design = designOf(form)
      const bytes = await made(design, words, placesOf(design, 1))
      const [page] = await pagesOf(bytes)
      for (const { part, bent } of design.elements)
        if (part in words && part !== 'qr') {
          const says = saysOf({ part, text: '' }, words)
          // Along the edge it is set letter by letter.
          if (bent === 'no') expect(plain(page!.words), part).toContain(plain(says))
          else expect(page!.words.replace(/\s/g, '')).toContain(says.replace(/\s/g, ''))
        }
      // Every face that is named has its file in it.
      const text = bytes.toString('latin1')
      expect(text.match(/\/FontFile/g)!.length).toBe(
        text.match(/\/FontDescriptor\n|\/Type \/FontDescriptor/g)!.length,
      )
    },
  )

  it('the page and the label are as large as they are to be, to a fifth of a millimetre', async () => {
    const sheets = { left: 20, top: 30, columns: 1, rows: 1 }
    for (const form of ['rectangle', 'round', 'card'] as const) {
      const design = designOf(form, sheets)
      const [page] = await pagesOf(await made(design, words, placesOf(design, 1), { test: true }))
      expect(Math.abs(page!.width - 210)).toBeLessThan(0.05)
      expect(Math.abs(page!.height - 297)).toBeLessThan(0.05)
      const ink = inkOf(page!)
      expect(Math.abs(ink.left - 20), form).toBeLessThan(0.2)
      expect(Math.abs(ink.top - 30), form).toBeLessThan(0.2)
      expect(Math.abs(ink.right - 20 - design.width), form).toBeLessThan(0.2)
      expect(Math.abs(ink.bottom - 30 - design.height), form).toBeLessThan(0.2)
    }
  })

  it('its square code is read back', async () => {
    const design = designOf('band')
    const [page] = await pagesOf(await made(design, words, placesOf(design, 1)))
    const code = design.elements.find(({ part }) => part === 'qr')!
    const { left, top } = design.sheet
    const cut = cutOf(page!, { ...code, x: left + code.x, y: top + code.y })
    expect(jsQR(cut.dots, cut.wide, cut.tall)?.data).toBe('HB41 made 2026-11-05')
  })

  it('begin at a place of the first sheet and go on over the next', async () => {
    const design = designOf('round')
    expect(design.sheet.columns * design.sheet.rows).toBe(20)
    const told: number[] = []
    const bytes = await made(design, words, placesOf(design, 18, 8), { told })
    expect(told).toEqual([13, 18])
    const pages = await pagesOf(bytes)
    expect(pages).toHaveLength(2)
    const said = pages.map((page) => page.words.match(/HB41/g)!.length)
    expect(said).toEqual([13, 5])
  })

  it('each has its own words where there are many', async () => {
    const design = designOf('card')
    const own = ['£4.50', '£3.00'].map((price) => ({ ...words, price }))
    const [page] = await pagesOf(await made(design, own, placesOf(design, 2)))
    expect(page!.words).toContain('£4.50')
    expect(page!.words).toContain('£3.00')
  })
})
