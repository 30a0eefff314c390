import { readFileSync, writeFileSync } from 'node:fs'
import { coefficientTable, regionTable } from '#core/character/table'

/* Writes the tables of the traits into docs/science.md, from the figures the core computes with. */

const file = 'docs/science.md'
const between = (text: string, name: string, table: string) =>
  text.replace(
    new RegExp(`(<!-- ${name} -->)[\\s\\S]*?(<!-- /${name} -->)`),
    (_, start: string, end: string) => `${start}\n\n${table}\n\n${end}`,
  )
const text = readFileSync(file, 'utf8')
writeFileSync(
  file,
  between(between(text, 'coefficients', coefficientTable()), 'regions', regionTable()),
)
