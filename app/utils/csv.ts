import type { Row, RowFault } from '#core/exchange/rows'
import { isoDay } from '#core/journal/knownDay'
import type { Grid } from '#core/journal/table'
import { sumOf } from '#core/statistics/sum'

/** Cells that a spreadsheet would run as a formula are written with a mark before them; this takes it off again. */
const unguarded = (cell: string) => cell.replace(/^'(?=[=+\-@\t\r])/, '')

/** A table as it was read: its rows by their headings, and the line of the file that each begins on. */
export interface Table {
  rows: Row[]
  lines: number[]
  faults: RowFault[]
}

/** Rows of a table as text, each with the line of the file that it begins on; and what is no table in it. */
async function readRows(text: string) {
  const { default: Papa } = await import('papaparse')
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { transform: unguarded })
  // A cell in quotation marks may hold line breaks, and empty lines count: the line that is told is the one an editor shows.
  let next = 1
  const all = parsed.data.map((cells) => {
    const line = next
    next += 1 + sumOf(cells, (cell) => cell.match(/\r\n|\r|\n/g)?.length ?? 0)
    return { cells, line }
  })
  const faults: RowFault[] = parsed.errors
    .filter(({ type }) => type === 'Quotes')
    .map(({ row }) => ({
      row: all[row ?? 0]?.line ?? 1,
      column: '',
      says: 'A quotation mark in this row is never closed.',
    }))
  return { rows: all.filter(({ cells }) => cells.some((cell) => cell.trim())), faults }
}

/** A table as it stands, its first row the heads. */
export async function readGrid(text: string): Promise<Grid & { faults: RowFault[] }> {
  const { rows, faults } = await readRows(text)
  return gridOf(rows, faults)
}
/** The first sheet of an .xlsx file as a table, its first row that is not empty the heads. Throws when it is none. */
export async function readSpreadsheet(file: File): Promise<Grid & { faults: RowFault[] }> {
  const { readSheet } = await import('read-excel-file/browser')
  const rows = await readSheet(file)
  const text = (cell: unknown): string =>
    cell instanceof Date ? isoDay(cell) : cell === null || cell === undefined ? '' : String(cell)
  return gridOf(
    rows
      .map((cells, place) => ({ line: place + 1, cells: cells.map((cell) => text(cell).trim()) }))
      .filter(({ cells }) => cells.some(Boolean)),
  )
}
/** Rows of a spreadsheet as a table, its first row the heads. */
const gridOf = (rows: Grid['rows'], faults: RowFault[] = []): Grid & { faults: RowFault[] } => ({
  heads: rows[0]?.cells.map((cell) => cell.trim()) ?? [],
  rows: rows.slice(1),
  faults,
})

/** Reads a table with headings. Comma, semicolon or tab; what is not a table gives a fault. */
export async function readCsv(text: string): Promise<Table> {
  const { heads, rows, faults } = await readGrid(text)
  const columns = heads.map((head) => head.toLowerCase())
  return {
    rows: rows.map(({ cells }) =>
      Object.fromEntries(columns.map((column, place) => [column, cells[place] ?? ''])),
    ),
    lines: rows.map(({ line }) => line),
    faults: [
      ...faults,
      ...rows
        .filter(({ cells }) => cells.slice(columns.length).some((cell) => cell.trim()))
        .map(({ line }) => ({
          row: line,
          column: '',
          says: 'This row has more cells than the heading.',
        })),
    ],
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
