import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { coefficientTable, regionTable } from '#core/character/table'

/** A table without the spaces that only line it up. */
const plain = (table: string) => table.replace(/ +/g, ' ').replace(/-+/g, '-')

it.each([
  ['coefficients', coefficientTable()],
  ['regions', regionTable()],
])('docs/science.md has the %s the core computes with', (name, table) => {
  const text = readFileSync('docs/science.md', 'utf8')
  const shown = new RegExp(`<!-- ${name} -->\\s*([\\s\\S]*?)\\s*<!-- /${name} -->`).exec(text)![1]!
  expect(plain(shown)).toBe(plain(table))
})
