import type { Row, RowFault } from '#core/exchange/rows'
import { sumOf } from '#core/statistics/sum'

/** Cells that a spreadsheet would run as a formula are written with a mark before them; this takes it off again. */
const unguarded = (cell: string) => cell.replace(/^'(?=[=+\-@\t\r])/, '')

/** A table as it was read: its rows by their headings, and the line of the file that each begins on. */
export interface Table {
  rows: Row[]
  lines: number[]
  faults: RowFault[]
}

/** Reads a table with headings. Comma, semicolon or tab; what is not a table gives a fault. */
export async function readCsv(text: string): Promise<Table> {
  const { default: Papa } = await import('papaparse')
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { transform: unguarded })
  // A cell in quotation marks may hold line breaks, and empty lines count: the line that is told is the one an editor shows.
  let line = 1
  const all = parsed.data.map((cells) => {
    const at = line
    line += 1 + sumOf(cells, (cell) => cell.match(/\r\n|\r|\n/g)?.length ?? 0)
    return { cells, at }
  })
  const filled = all.filter(({ cells }) => cells.some((cell) => cell.trim()))
  const [heading, ...body] = filled
  const columns = heading?.cells.map((cell) => cell.trim().toLowerCase()) ?? []
  const faults: RowFault[] = [
    ...parsed.errors
      .filter(({ type }) => type === 'Quotes')
      .map(({ row }) => ({
        row: all[row ?? 0]?.at ?? 1,
        column: '',
        says: 'A quotation mark in this row is never closed.',
      })),
    ...body
      .filter(({ cells }) => cells.slice(columns.length).some((cell) => cell.trim()))
      .map(({ at }) => ({
        row: at,
        column: '',
        says: 'This row has more cells than the heading.',
      })),
  ]
  return {
    rows: body.map(({ cells }) =>
      Object.fromEntries(columns.map((column, place) => [column, cells[place] ?? ''])),
    ),
    lines: body.map(({ at }) => at),
    faults,
  }
}

/** Rows as a table that spreadsheets open; a cell that they would run as a formula has a mark before it. */
export async function csvText(columns: readonly string[], rows: readonly Row[]): Promise<string> {
  const { default: Papa } = await import('papaparse')
  return Papa.unparse(
    { fields: [...columns], data: rows.map((row) => columns.map((column) => row[column] ?? '')) },
    // A minus before a number is a number; before anything else a spreadsheet would run it.
    { escapeFormulae: /^[=+@\t\r]|^-(?!\d*[.,]?\d+(e[+-]?\d+)?$)/i },
  )
}

/** Hands rows to the browser as a table that spreadsheets open. */
export async function downloadCsv(
  name: string,
  columns: readonly string[],
  rows: Row[],
): Promise<void> {
  download(name, `\uFEFF${await csvText(columns, rows)}\r\n`, 'text/csv')
}

/** A fault of a table in words: where, then what. */
export const rowFaultText = ({ row, column, says }: RowFault): string =>
  `Row ${row}${column ? `, ${column}` : ''}: ${says}`
