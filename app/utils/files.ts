import type { Fault } from '#contracts/faults'
import type { FormulaDocument } from '#contracts/formula'
import { formulaInPage } from '#core/exchange/givenPage'
import { leftBehind, portable } from '#core/exchange/portable'
import { idFrom } from '#core/words/reading'

/** Hands text to the browser as a file to keep. */
export const download = (name: string, text: string, type = 'application/json'): void =>
  downloadFile(name, new Blob([text], { type }))

/** The same with bytes. */
export function downloadFile(name: string, file: Blob): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}

/** Keeps formulas as a file of the open format, with the values of this workshop's own in them. */
export function exportFormulas(name: string, formulas: FormulaDocument | FormulaDocument[]): void {
  const { library, shipped } = useMaterials()
  const list = Array.isArray(formulas) ? formulas : [formulas]
  const documents = list.map((formula) => portable(formula, library, shipped))
  const value = Array.isArray(formulas) ? documents : documents[0]
  download(`${idFrom(name)}.mantle.json`, `${JSON.stringify(value, null, 2)}\n`)
  const missing = [...new Set(list.flatMap((formula) => leftBehind(formula, library, shipped)))]
  if (missing.length)
    useToasts().show(
      `${useWorkshop().say.list(missing)}: your own, so send the table of your materials along (Materials, Export your own).`,
    )
}

/** One formula found in a file, or why there is none. */
export interface Incoming {
  file: string
  document: FormulaDocument | null
  faults: Fault[]
}

/** What validates is loaded with the first file, not with the page. */
async function incomingOf(file: string, value: unknown): Promise<Incoming> {
  const { checkSchema, formulaSchema } = await import('#contracts/formula')
  const { faultsOf } = await import('#contracts/faults')
  const parsed = formulaSchema.safeParse(value)
  if (parsed.success) return { file, document: parsed.data, faults: [] }
  const isCheck = checkSchema.safeParse(value).success
  const faults = isCheck
    ? [{ path: '', says: 'This is a document to check, with its lye in grams, not a formula.' }]
    : faultsOf(parsed.error)
  return { file, document: null, faults }
}

/** Reads one table of formulas, each judged by its rows. */
async function readFormulaTable(file: string, text: string): Promise<Incoming[]> {
  const { formulasFromRows, rowAt } = await import('#core/exchange/formulaRows')
  const { rows, lines, faults } = await readCsv(text)
  const read = formulasFromRows(rows, useMaterials().library, lines)
  const strays = [...faults, ...read.faults]
  const told = await Promise.all(
    read.formulas.map(async ({ name, candidate, rowOf, faults: inRows }) => {
      const { document, faults: refused } = await incomingOf(name, candidate)
      const words = [
        ...inRows.map(rowFaultText),
        ...refused.map(({ path, says }) => {
          const row = rowAt(path, rowOf)
          return row === null ? `${path}: ${says}` : rowFaultText({ row, column: '', says })
        }),
      ]
      return {
        file: name,
        document: inRows.length ? null : document,
        faults: words.map((says) => ({ path: '', says })),
      }
    }),
  )
  if (!strays.length && told.length) return told
  const says = strays.length
    ? strays.map(rowFaultText)
    : [
        'There are no rows in this table. The first row names the columns: formula, what, id, amount …',
      ]
  return [...told, { file, document: null, faults: says.map((text) => ({ path: '', says: text })) }]
}

async function readFormulaJson(file: string, text: string): Promise<Incoming[]> {
  try {
    const value = JSON.parse(text.replace(/^\uFEFF/, '')) as unknown
    if (!Array.isArray(value)) return [await incomingOf(file, value)]
    return await Promise.all(value.map((item, index) => incomingOf(`${file}, ${index + 1}`, item)))
  } catch {
    return [{ file, document: null, faults: [{ path: '', says: 'This is not JSON.' }] }]
  }
}

/**
 * Reads files of one formula each, lists of formulas as "Export all" writes them, and tables. Nothing is kept yet.
 */
export async function readFormulaFiles(files: File[]): Promise<Incoming[]> {
  const lists = await Promise.all(
    files.map(async (file) => {
      const text = await file.text()
      return /\.(csv|tsv|txt)$/i.test(file.name)
        ? readFormulaTable(file.name, text)
        : readFormulaJson(file.name, formulaInPage(text) ?? text)
    }),
  )
  return lists.flat()
}
