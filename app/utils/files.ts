import type { Fault } from '#contracts/faults'
import type { FormulaDocument } from '#contracts/formula'
import { idFrom } from '#core/formula/typedLine'

/** Hands text to the browser as a file to keep. */
export function download(name: string, text: string, type = 'application/json'): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type }))
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}

/** Keeps one formula as a file of the open format. */
export function exportFormula(formula: FormulaDocument): void {
  download(`${idFrom(formula.name)}.mantle.json`, `${JSON.stringify(formula, null, 2)}\n`)
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

/** Reads files of one formula each, or lists of formulas as "Export all" writes them. Nothing is kept yet. */
export async function readFormulaFiles(files: File[]): Promise<Incoming[]> {
  const lists = await Promise.all(
    files.map(async (file): Promise<Incoming[]> => {
      try {
        const value = JSON.parse((await file.text()).replace(/^\uFEFF/, '')) as unknown
        return Array.isArray(value)
          ? await Promise.all(
              value.map((item, index) => incomingOf(`${file.name}, ${index + 1}`, item)),
            )
          : [await incomingOf(file.name, value)]
      } catch {
        return [
          { file: file.name, document: null, faults: [{ path: '', says: 'This is not JSON.' }] },
        ]
      }
    }),
  )
  return lists.flat()
}
