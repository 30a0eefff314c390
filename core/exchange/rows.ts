import { readNumber } from '../units/readNumber'

/** A row of a spreadsheet by the words of its heading. */
export type Row = Record<string, string>

/** What is wrong with one cell. Rows are counted as a spreadsheet does: the heading is row 1. */
export interface RowFault {
  row: number
  column: string
  says: string
}

/** Digits beyond these are noise of the computer's own arithmetic. */
const digits = 13

/**
 * A fraction as a percentage to be written down; empty when there is none.
 * @example percentCell(0.255) // '25.5'
 */
export const percentCell = (fraction: number | null | undefined): string =>
  fraction == null ? '' : String(Number((fraction * 100).toPrecision(digits)))

/**
 * A number as a cell of a table: a point, no thousands, empty for none.
 * @example numberCell(null) // ''
 */
export const numberCell = (value: number | null | undefined): string =>
  value == null ? '' : String(value)

/** Reads the cells of one row and gathers what is wrong with them. */
export class Cells {
  constructor(
    private readonly row: Row,
    private readonly at: number,
    private readonly faults: RowFault[],
  ) {}

  text(column: string): string {
    return (this.row[column] ?? '').trim()
  }

  fail(column: string, says: string): void {
    this.faults.push({ row: this.at, column, says })
  }

  /** The number in a cell; null when it is empty. */
  number(column: string): number | null {
    const text = this.text(column)
    if (text === '') return null
    const value = /^-?[\d.]+e-?\d+$/i.test(text) ? Number(text) : readNumber(text)
    if (!Number.isNaN(value)) return value
    this.fail(column, `"${text}" is not a number.`)
    return null
  }

  percent(column: string): number | null {
    const value = this.number(column)
    return value === null ? null : Number((value / 100).toPrecision(digits))
  }

  /** One of some words, or the first of them when the cell is empty. */
  oneOf<T extends string>(column: string, words: readonly T[]): T {
    const text = this.text(column).toLowerCase()
    const found = words.find((word) => word.toLowerCase() === text)
    if (found === undefined && text !== '')
      this.fail(column, `"${text}" is none of ${words.join(', ')}.`)
    return found ?? words[0]!
  }

  yes(column: string): boolean {
    return this.oneOf(column, ['no', 'yes']) === 'yes'
  }
}
