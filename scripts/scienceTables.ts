import { readFileSync, writeFileSync } from 'node:fs'
import { coefficientTable, regionTable, substanceTable } from '#core/character/table'
import { orderingsTable } from '../tests/support/orderings'
import { refusals, refusalTable } from '../tests/support/refusals'
import { rightsOfRoutes, rightsTable } from '../tests/support/rights'

/*
 * Writes the tables of the traits into docs/science.md, from the figures the core computes with, and the tables of rights and of
 * refusals into docs/network.md and docs/refusals.md, from the routes themselves.
 */

const between = (text: string, name: string, table: string) =>
  text.replace(
    new RegExp(`(<!-- ${name} -->)[\\s\\S]*?(<!-- /${name} -->)`),
    (_, start: string, end: string) => `${start}\n\n${table}\n\n${end}`,
  )
const write = (file: string, tables: Record<string, string>) =>
  writeFileSync(
    file,
    Object.entries(tables).reduce(
      (text, [name, table]) => between(text, name, table),
      readFileSync(file, 'utf8'),
    ),
  )
write('docs/science.md', {
  coefficients: coefficientTable(),
  substances: substanceTable(),
  regions: regionTable(),
  orderings: orderingsTable(),
})
write('docs/network.md', { rights: rightsTable(await rightsOfRoutes()) })
write('docs/refusals.md', { refusals: refusalTable(refusals()) })
