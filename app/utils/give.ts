import type { Batch } from '#contracts/batch'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { formulaAsText } from '#core/exchange/asText'
import { givenPage, mostInCode, type GivenPart } from '#core/exchange/givenPage'
import { portable } from '#core/exchange/portable'
import { idFrom } from '#core/words/reading'
import type { Formatter } from '#core/units/formatter'

type Plain = Record<string, unknown>
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * A formula as short as the open format can say it: what is usual is left out wherever the same formula is read back without it.
 * Notes stay where they are: they are the maker's own.
 */
export async function slimFormula(document: FormulaDocument): Promise<string> {
  const { formulaSchema } = await import('#contracts/formula')
  const whole = JSON.stringify(formulaSchema.parse({ ...document, notes: '' }))
  const slim = JSON.parse(whole) as Plain
  const same = () => {
    const read = formulaSchema.safeParse(slim)
    return read.success && JSON.stringify(read.data) === whole
  }
  function shorten(place: Plain | unknown[]): void {
    for (const key of Object.keys(place)) {
      const value = (place as Plain)[key]
      if (!Array.isArray(place)) {
        Reflect.deleteProperty(place, key)
        if (same()) continue
        place[key] = value
      }
      if (isPlain(value) || Array.isArray(value)) shorten(value as Plain)
    }
  }
  shorten(slim)
  return JSON.stringify(slim)
}

/** What is given away: a page that any browser shows, its name, and what a phone reads. */
export interface Given {
  name: string
  html: string
  /** Text of the square code: the formula while it fits, else the name of the page. */
  code: string
  /** Whether the formula itself is in the code. */
  inCode: boolean
}

async function given(
  title: string,
  over: string,
  parts: readonly GivenPart[],
  document: FormulaDocument,
): Promise<Given> {
  const { library, shipped } = useMaterials()
  const out = portable(document, library, shipped)
  const name = `${idFrom(title)}.html`
  const slim = await slimFormula(out)
  const inCode = new TextEncoder().encode(slim).length <= mostInCode
  const code = inCode ? slim : name
  const { default: qr } = await import('qrcode')
  const picture = inCode
    ? await qr.toString(code, { type: 'svg', margin: 1, errorCorrectionLevel: 'L' })
    : ''
  const formula = JSON.stringify({ ...out, notes: '' })
  return { name, code, inCode, html: givenPage({ title, over, parts, formula, code: picture }) }
}

/** A formula to give away: lye strength, temperatures and treatment in it, suppliers and cost not. */
export function giveFormula(
  document: FormulaDocument,
  result: FormulaResult,
  say: Formatter,
): Promise<Given> {
  const [, ...blocks] = formulaAsText({ ...document, notes: '' }, result, say).split('\n\n')
  const heads = ['To weigh', 'Strength, temperatures, treatment', 'Pots']
  const parts = blocks.map((block, nth) => ({
    title: heads[nth] ?? 'More',
    lines: block.split('\n').filter((line) => line !== 'Pots:'),
  }))
  return given(document.name, 'A formula for cold-process soap.', parts, document)
}

/** A batch to give away, as it was made and what became of it. */
export function giveBatch(batch: Batch, parts: readonly GivenPart[]): Promise<Given> {
  return given(
    `${batch.name} ${batch.number}`,
    'A batch of cold-process soap, as it was made.',
    parts,
    batch.frozen.document,
  )
}
