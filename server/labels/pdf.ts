import bwip from 'bwip-js/node'
import PDFDocument from 'pdfkit'
import { create as squareCode } from 'qrcode'
import type { LabelDesign, LabelElement, LabelWords } from '#contracts/label'
import { saysOf } from '#core/label/fit'
import { bentLetters, emOf, face, leading, setText, widthOf } from '#core/label/setting'
import { pageMm, type LabelPlace } from '#core/label/sheet'
import { waveColours, wavePath } from '#core/label/wave'
import { sumOf } from '#core/statistics/sum'
import type { LabelFonts } from './fonts'

/*
 * Labels as a PDF, drawn where the core has put every line: nothing is broken or measured anew here. Type is embedded, so that a page
 * looks the same wherever it is printed.
 */

type Pdf = PDFKit.PDFDocument
const pt = (mm: number): number => (mm * 72) / 25.4
const hairline = 0.25

/** A piece of text and the face that has its letters. */
function* runsOf(text: string, fonts: LabelFonts, bold: boolean) {
  let run = ''
  let before = ''
  for (const letter of text) {
    const name = fonts.faceOf(letter, bold)
    if (name !== before && run) {
      yield { text: run, name: before }
      run = ''
    }
    before = name
    run += letter
  }
  if (run) yield { text: run, name: before }
}

function drawText(
  pdf: Pdf,
  element: Omit<LabelElement, 'id' | 'part' | 'text' | 'bent' | 'picture'>,
  says: string,
  fonts: LabelFonts,
): void {
  const { x, y, width, bold, align } = element
  const { lines, em, step } = setText(says, element)
  pdf.fillColor(element.colour)
  for (const [nth, line] of lines.entries()) {
    const wide = widthOf(line, em, bold)
    const shift = { left: 0, center: (width - wide) / 2, right: width - wide }[align]
    let at = x + shift
    for (const run of runsOf(line, fonts, bold)) {
      pdf
        .font(run.name)
        .fontSize(pt(em))
        // No kerning: the core counted without it.
        .text(run.text, pt(at), pt(y + em * face.ascent + nth * step), {
          baseline: 'alphabetic',
          lineBreak: false,
          features: [],
        })
      at += widthOf(run.text, em, bold)
    }
  }
}

/** Words along the edge of a round label, letter by letter. */
function drawBent(
  pdf: Pdf,
  element: LabelElement,
  says: string,
  diameter: number,
  fonts: LabelFonts,
): void {
  pdf.fillColor(element.colour).fontSize(pt(emOf(element.size)))
  for (const { letter, x, y, turned } of bentLetters(says, element, diameter)) {
    pdf
      .save()
      .translate(pt(diameter / 2 + x), pt(diameter / 2 + y))
      .rotate(turned)
    pdf
      .font(fonts.faceOf(letter, element.bold))
      .text(letter, 0, 0, { baseline: 'alphabetic', lineBreak: false, features: [] })
    pdf.restore()
  }
}

/** A code of squares, with the margin of four of them that readers ask for. */
function drawSquares(pdf: Pdf, { x, y, width, height }: LabelElement, leadsTo: string): void {
  const { modules } = squareCode(leadsTo, { errorCorrectionLevel: 'M' })
  const side = Math.min(width, height)
  const one = side / (modules.size + 8)
  pdf.fillColor('#ffffff').rect(pt(x), pt(y), pt(side), pt(side)).fill()
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++) {
      const from = column
      while (column < modules.size && modules.get(row, column)) column++
      if (column > from)
        // A hair higher than it is: no white shows between two rows.
        pdf.rect(
          pt(x + (from + 4) * one),
          pt(y + (row + 4) * one),
          pt((column - from) * one),
          pt(one) + 0.05,
        )
    }
  pdf.fillColor('#000000').fill()
}

function drawBars(pdf: Pdf, { x, y, width, height }: LabelElement, digits: string): void {
  const [drawn] = bwip.raw({ bcid: 'code128', text: digits }) as { sbs: number[] }[]
  const units = drawn!.sbs.reduce((sum, one) => sum + one, 0)
  // Ten of the thinnest are the quiet margin on either side.
  const one = width / (units + 20)
  let at = x + 10 * one
  for (const [nth, wide] of drawn!.sbs.entries()) {
    if (nth % 2 === 0) pdf.rect(pt(at), pt(y), pt(wide * one), pt(height))
    at += wide * one
  }
  pdf.fillColor('#000000').fill()
}

function drawWave(
  pdf: Pdf,
  { x, y, width, height }: LabelElement,
  [deep, pale]: readonly [deep: string, pale: string],
): void {
  pdf.save().translate(pt(x), pt(y)).scale(pt(1))
  pdf
    .path(wavePath(width, height, 0))
    .fillOpacity(deep === pale ? 0.6 : 1)
    .fill(pale)
  pdf
    .path(wavePath(width, height, 0.32))
    .fillOpacity(1)
    .fill(deep)
  pdf.restore()
}

/** The edge of a label, as a path. */
function edge(pdf: Pdf, { form, width, height, corner }: LabelDesign): Pdf {
  if (form === 'round') return pdf.circle(pt(width / 2), pt(width / 2), pt(width / 2))
  if (corner > 0) return pdf.roundedRect(0, 0, pt(width), pt(height), pt(corner))
  return pdf.rect(0, 0, pt(width), pt(height))
}

/** Hairlines round a label and along its folds, a cross in its middle, and a ruler of five centimetres. */
function drawTest(pdf: Pdf, design: LabelDesign, fonts: LabelFonts): void {
  const { width, height, folds } = design
  edge(pdf, design).lineWidth(hairline).stroke('#000000')
  for (const fold of folds) pdf.moveTo(pt(fold), 0).lineTo(pt(fold), pt(height))
  pdf.moveTo(pt(width / 2 - 3), pt(height / 2)).lineTo(pt(width / 2 + 3), pt(height / 2))
  pdf.moveTo(pt(width / 2), pt(height / 2 - 3)).lineTo(pt(width / 2), pt(height / 2 + 3))
  const long = Math.min(50, Math.floor((width * 0.8) / 10) * 10)
  const left = (width - long) / 2
  for (let mm = 0; mm <= long; mm += 5)
    pdf
      .moveTo(pt(left + mm), pt(height * 0.68))
      .lineTo(pt(left + mm), pt(height * 0.68 + (mm % 10 === 0 ? 3 : 1.8)))
  pdf.lineWidth(hairline).stroke('#000000')
  const em = emOf(1.2)
  const below = {
    x: 0,
    y: height * 0.68 + 3 + em * (leading - face.ascent),
    width,
    height,
    size: 1.2,
    bold: false,
    align: 'center',
    colour: '#000000',
  } as const
  drawText(pdf, below, `${long} mm`, fonts)
}

/** The picture of a logo, as it goes into a PDF. */
export type Pictures = ReadonlyMap<string, Buffer>

/** What is drawn for one label, but for its place. */
function drawLabel(
  pdf: Pdf,
  design: LabelDesign,
  words: LabelWords,
  fonts: LabelFonts,
  pictures: Pictures,
): void {
  pdf.save()
  edge(pdf, design).clip()
  for (const element of design.elements) {
    const picture = element.picture && pictures.get(element.picture)
    if (element.part === 'wave') drawWave(pdf, element, waveColours(element, words))
    else if (element.part === 'qr') {
      const leadsTo = element.text || words.qr
      if (leadsTo) drawSquares(pdf, element, leadsTo)
    } else if (element.part === 'barcode') {
      if (element.text) drawBars(pdf, element, element.text)
    } else if (element.part === 'logo') {
      if (picture)
        pdf.image(picture, pt(element.x), pt(element.y), {
          fit: [pt(element.width), pt(element.height)],
          align: 'center',
          valign: 'center',
        })
    } else if (design.form === 'round' && element.bent !== 'no')
      drawBent(pdf, element, saysOf(element, words), design.width, fonts)
    else drawText(pdf, element, saysOf(element, words), fonts)
  }
  pdf.restore()
  if (design.sheet.edges) edge(pdf, design).lineWidth(hairline).stroke('#9aa6a5')
}

/**
 * Three hundred labels say the same: a line is shaped once. The library remembers lines only where it may kern them, and the core
 * counted without.
 */
function rememberLines(pdf: Pdf): void {
  const face = (
    pdf as unknown as { _font: { layoutRun(text: string, features: unknown): unknown } }
  )._font
  const shape = face.layoutRun.bind(face)
  const shaped = new Map<string, unknown>()
  face.layoutRun = (text, features) => {
    const known = shaped.get(text) ?? shape(text, features)
    shaped.set(text, known)
    return known
  }
}

/** Labels of one design, each at its place, with words of its own or one for all. */
export interface LabelJob {
  design: LabelDesign
  words: readonly LabelWords[]
  places: readonly LabelPlace[]
}

/**
 * Labels at their places, page by page: how many are drawn is told after each page, the file comes last.
 * @param test hairlines and a ruler in place of what they say
 */
export async function* labelsPdf(
  jobs: readonly LabelJob[],
  fonts: LabelFonts,
  {
    test = false,
    pictures = new Map(),
    title,
  }: { test?: boolean; pictures?: Pictures; title: string },
): AsyncGenerator<{ done: number; of: number } | { pdf: Buffer }> {
  const pdf = new PDFDocument({
    margin: 0,
    autoFirstPage: false,
    // None of those that come with the library: its files need not be there.
    font: null as unknown as string,
    lang: 'en',
    displayTitle: true,
    info: { Title: title, Creator: 'Mantle' },
  })
  const chunks: Buffer[] = []
  pdf.on('data', (chunk: Buffer) => chunks.push(chunk))
  const ended = new Promise<void>((resolve, reject) => {
    pdf.on('end', resolve)
    pdf.on('error', reject)
  })
  for (const [name, bytes] of fonts.files) {
    pdf.registerFont(name, bytes)
    rememberLines(pdf.font(name))
  }
  const of = sumOf(jobs, ({ places }) => places.length)
  let done = 0
  for (const { design, words, places } of jobs) {
    const [wide, tall] = pageMm[design.sheet.page]
    let page = -1
    for (const [nth, place] of places.entries()) {
      while (page < place.page) {
        if (done > 0) {
          yield { done, of }
          // Others are answered between two pages.
          await new Promise(setImmediate)
        }
        pdf.addPage({ size: [pt(wide), pt(tall)], margin: 0 })
        page++
      }
      pdf.save().translate(pt(place.x), pt(place.y))
      if (test) drawTest(pdf, design, fonts)
      else drawLabel(pdf, design, words[nth] ?? words[0]!, fonts, pictures)
      pdf.restore()
      done++
    }
  }
  pdf.end()
  await ended
  yield { done, of }
  yield { pdf: Buffer.concat(chunks) }
}
