import bwip from 'bwip-js/node'
import PDFDocument from 'pdfkit'
import { create as squareCode } from 'qrcode'
import type { LabelDesign, LabelElement, LabelWords } from '#contracts/label'
import { saysOf } from '#core/label/fit'
import { emOf, face, leading, setText, widthOf } from '#core/label/setting'
import { pageMm, type LabelPlace } from '#core/label/sheet'
import type { LabelFonts } from './fonts'

/*
 * Labels as a PDF, drawn where the core has put every line: nothing is broken or measured anew here. Type is embedded, so that a page
 * looks the same wherever it is printed.
 */

type Pdf = PDFKit.PDFDocument
const pt = (mm: number): number => (mm * 72) / 25.4
const hairline = 0.25

/** A picture of the workshop. */
export interface Logo {
  bytes: Buffer
}

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
  element: Omit<LabelElement, 'id' | 'part' | 'text'>,
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

/** A code of squares, with the margin of four of them that readers ask for. */
function drawSquares(pdf: Pdf, { x, y, width, height }: LabelElement, leadsTo: string): void {
  const { modules } = squareCode(leadsTo, { errorCorrectionLevel: 'M' })
  const side = Math.min(width, height)
  const one = side / (modules.size + 8)
  pdf.fillColor('#ffffff').rect(pt(x), pt(y), pt(side), pt(side)).fill()
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column))
        // A hair wider than it is: no white shows between two of them.
        pdf.rect(
          pt(x + (column + 4) * one),
          pt(y + (row + 4) * one),
          pt(one) + 0.05,
          pt(one) + 0.05,
        )
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

function drawWave(pdf: Pdf, { x, y, width, height, colour }: LabelElement, pale: string): void {
  const wave = (top: number) => {
    pdf.moveTo(pt(x), pt(y + top + height * 0.18))
    pdf.bezierCurveTo(
      pt(x + width * 0.3),
      pt(y + top - height * 0.22),
      pt(x + width * 0.6),
      pt(y + top + height * 0.5),
      pt(x + width),
      pt(y + top + height * 0.05),
    )
    pdf
      .lineTo(pt(x + width), pt(y + height))
      .lineTo(pt(x), pt(y + height))
      .closePath()
  }
  wave(0)
  pdf.fill(pale)
  wave(height * 0.32)
  pdf.fill(colour)
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

/** What is drawn for one label, but for its place. */
function drawLabel(
  pdf: Pdf,
  design: LabelDesign,
  words: LabelWords,
  fonts: LabelFonts,
  look: { pale: string; logo: Logo | null },
): void {
  pdf.save()
  edge(pdf, design).clip()
  for (const element of design.elements) {
    if (element.part === 'wave') drawWave(pdf, element, look.pale)
    else if (element.part === 'qr') {
      if (element.text || words.qr) drawSquares(pdf, element, element.text || words.qr)
    } else if (element.part === 'barcode') {
      if (element.text) drawBars(pdf, element, element.text)
    } else if (element.part === 'logo') {
      if (look.logo)
        pdf.image(look.logo.bytes, pt(element.x), pt(element.y), {
          fit: [pt(element.width), pt(element.height)],
          align: 'center',
          valign: 'center',
        })
    } else drawText(pdf, element, saysOf(element, words), fonts)
  }
  pdf.restore()
}

/**
 * Labels at their places, page by page.
 * @param words one for all, or one for each place
 */
export async function labelsPdf(
  design: LabelDesign,
  words: LabelWords | readonly LabelWords[],
  places: readonly LabelPlace[],
  fonts: LabelFonts,
  {
    test = false,
    pale = '#e0cf98',
    logo = null,
    title = design.name,
  }: {
    test?: boolean
    pale?: string
    logo?: Logo | null
    title?: string
  } = {},
): Promise<Buffer> {
  const [wide, tall] = pageMm[design.sheet.page]
  const pdf = new PDFDocument({
    size: [pt(wide), pt(tall)],
    margin: 0,
    autoFirstPage: false,
    lang: 'en',
    displayTitle: true,
    info: { Title: title, Creator: 'Mantle' },
  })
  const chunks: Buffer[] = []
  pdf.on('data', (chunk: Buffer) => chunks.push(chunk))
  const done = new Promise<void>((resolve, reject) => {
    pdf.on('end', resolve)
    pdf.on('error', reject)
  })
  for (const [name, bytes] of fonts.files) pdf.registerFont(name, bytes)
  let page = -1
  for (const [nth, place] of places.entries()) {
    while (page < place.page) {
      pdf.addPage()
      page++
    }
    pdf.save().translate(pt(place.x), pt(place.y))
    const own = 'name' in words ? words : (words[nth] ?? words[0]!)
    if (test) drawTest(pdf, design, fonts)
    else drawLabel(pdf, design, own, fonts, { pale, logo })
    pdf.restore()
  }
  pdf.end()
  await done
  return Buffer.concat(chunks)
}
