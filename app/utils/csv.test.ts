import { describe, expect, it } from 'vitest'
import { csvText, readCsv } from './csv'

describe('a table', () => {
  it('knows the line of the file that a row begins on', async () => {
    const text = [
      'Batch,Note',
      '',
      '30,"two',
      'lines, one cell"',
      '',
      ',,',
      '31,plain,more',
      '32,"never closed',
    ].join('\r\n')
    const { rows, lines, faults } = await readCsv(`\uFEFF${text}`)
    expect(rows.slice(0, 2)).toEqual([
      { batch: '30', note: 'two\r\nlines, one cell' },
      { batch: '31', note: 'plain' },
    ])
    expect(lines.slice(0, 2)).toEqual([3, 7])
    expect(faults).toContainEqual({
      row: 7,
      column: '',
      says: 'This row has more cells than the heading.',
    })
    expect(faults).toContainEqual({
      row: 8,
      column: '',
      says: 'A quotation mark in this row is never closed.',
    })
  })
  it('takes semicolons and tabs, and the mark before what a spreadsheet would run', async () => {
    expect((await readCsv('a;b\n1,5;2')).rows).toEqual([{ a: '1,5', b: '2' }])
    expect((await readCsv("a\tb\n'=1+1\t'-x")).rows).toEqual([{ a: '=1+1', b: '-x' }])
  })

  it.each([
    ['=1+1', `"'=1+1"`],
    ['@sum', `"'@sum"`],
    ['-2+3', `"'-2+3"`],
    ['-cmd', `"'-cmd"`],
    ['-', `"'-"`],
    ['-5', '-5'],
    ['-0.5', '-0.5'],
    ['-.5', '-.5'],
    ['-1e-7', '-1e-7'],
    ['12 g', '12 g'],
  ])('writes %s so that no spreadsheet runs it, and reads it back', async (cell, written) => {
    const text = await csvText(['note'], [{ note: cell }])
    expect(text.split('\r\n')[1]).toBe(written)
    expect((await readCsv(text)).rows).toEqual([{ note: cell }])
  })
})
