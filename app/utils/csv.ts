import type { Row, RowFault } from '#core/exchange/rows'

/** Cells that a spreadsheet would run as a formula are written with a mark before them; this takes it off again. */
const unguarded = (cell: string) => cell.replace(/^'(?=[=+\-@\t\r])/, '')

/** Reads a table with headings. Comma, semicolon or tab; what is not a table gives a fault. */
export async function readCsv(text: string): Promise<{ rows: Row[]; faults: RowFault[] }> {
  const { default: Papa } = await import('papaparse')
  const parsed = Papa.parse<Row>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim().toLowerCase(),
    transform: unguarded,
  })
  const faults = parsed.errors
    .filter(({ code }) => code !== 'UndetectableDelimiter' && code !== 'TooFewFields')
    .map(({ row, code }) => ({
      row: (row ?? 0) + 2,
      column: '',
      says:
        code === 'TooManyFields'
          ? 'This row has more cells than the heading.'
          : 'A quotation mark in this row is never closed.',
    }))
  return { rows: parsed.data, faults }
}

/** Hands rows to the browser as a table that spreadsheets open. */
export async function downloadCsv(
  name: string,
  columns: readonly string[],
  rows: Row[],
): Promise<void> {
  const { default: Papa } = await import('papaparse')
  const text = Papa.unparse(
    { fields: [...columns], data: rows.map((row) => columns.map((column) => row[column] ?? '')) },
    { escapeFormulae: /^[=+@\t\r]|^-(?![\d.])/ },
  )
  download(name, `\uFEFF${text}\r\n`, 'text/csv')
}

/** A fault of a table in words: where, then what. */
export const rowFaultText = ({ row, column, says }: RowFault): string =>
  `Row ${row}${column ? `, ${column}` : ''}: ${says}`
