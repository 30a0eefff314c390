import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { coefficientTable, regionTable } from '#core/character/table'
import { refusals, refusalTable } from '../support/refusals'
import { rightsOfRoutes, rightsTable } from '../support/rights'

/** A table without the spaces that only line it up. */
const plain = (table: string) => table.replace(/ +/g, ' ').replace(/-+/g, '-')

const shownIn = (file: string, name: string) =>
  new RegExp(`<!-- ${name} -->\\s*([\\s\\S]*?)\\s*<!-- /${name} -->`).exec(
    readFileSync(file, 'utf8'),
  )![1]!

it.each([
  ['coefficients', coefficientTable()],
  ['regions', regionTable()],
])('docs/science.md has the %s the core computes with', (name, table) => {
  expect(plain(shownIn('docs/science.md', name))).toBe(plain(table))
})

it('docs/network.md has the rights that the routes declare', async () => {
  const routes = await rightsOfRoutes()
  expect(routes.length).toBeGreaterThan(60)
  expect(plain(shownIn('docs/network.md', 'rights'))).toBe(plain(rightsTable(routes)))
})

it('docs/refusals.md has every sentence with which a route refuses', () => {
  const all = refusals()
  expect(all.length).toBeGreaterThan(80)
  expect(plain(shownIn('docs/refusals.md', 'refusals'))).toBe(plain(refusalTable(all)))
})
