import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import jsQR from 'jsqr'
import { v7 as newId } from 'uuid'
import { readFile } from 'node:fs/promises'
import type { Batch } from '../../contracts/batch'
import type { Gift, LabelDesign, SoapWords } from '../../contracts/label'
import type { Stored } from '../../contracts/document'
import type { Goal } from '../../contracts/goal'
import { blankFormula } from '../../core/formula/blank'
import { cutOf, inkOf, pagesOf } from '../support/pdfPage'
import { quiet } from '../support/quiet'
import { send } from '../support/send'
import { expect, test } from './fixtures'

/* Labels as they are made: from what is in the bars to what lies in the printer, read again there by others. */

const get = async <T>(url: string) => (await send<T>(url, 'GET')).body
const batchOf = async (url: string, number: number) =>
  (await get<Batch[]>(`${url}/api/batches`)).find((batch) => batch.number === number)!
const designOf = async (url: string, name: string) =>
  (await get<Stored<LabelDesign>[]>(`${url}/api/designs`)).find(
    ({ document }) => document.name === name,
  )!
async function open(page: Page, url: string, number: number, design: string) {
  const batch = await batchOf(url, number)
  await page.goto(`/batches/${batch.id}/labels`)
  await page.getByRole('combobox', { name: 'Design' }).selectOption({ label: design })
  await expect(
    page.getByRole('region', { name: design.split(' and ')[0]!, exact: true }),
  ).toBeVisible()
  return batch
}
/** Presses a key that makes a PDF, and reads it. */
async function made(page: Page, key: string) {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: key }).click(),
  ])
  return { name: file.suggestedFilename(), pages: await pagesOf(await readFile(await file.path())) }
}
const plain = (text: string) => text.replace(/\s+/g, ' ').trim()
/** What a design says in a part, as the page works it out: from the list of entries on screen. */
const wordsOn = async (page: Page, part: string) =>
  plain(
    await page
      .getByRole('region', { name: 'Rectangle', exact: true })
      .getByTestId(`says-${part}`)
      .innerText(),
  )

test('a label from batch to PDF: its list, its size, its code', async ({ page, server }) => {
  test.slow()
  await open(page, server.url, 28, 'Rectangle')
  const list = await wordsOn(page, 'list')
  expect(list).toContain('Sodium Olivate')
  await page.getByLabel('Labels', { exact: true }).fill('3')
  await page.getByLabel('Labels', { exact: true }).press('Tab')
  await page.getByRole('button', { name: 'Begin at place 4' }).click()
  const { name, pages } = await made(page, 'Make the PDF')
  expect(name).toMatch(/^labels-quiet-olive.*28\.pdf$/)
  expect(pages).toHaveLength(1)
  const said = plain(pages[0]!.words)
  expect(said.split(list).length - 1).toBe(3)
  expect(said).toContain('95 g')
  // The code of the fourth place, read by a decoder.
  const { document } = await designOf(server.url, 'Rectangle')
  const code = document.elements.find(({ part }) => part === 'qr')!
  const { left, top, pitchX, pitchY } = document.sheet
  const cut = cutOf(pages[0]!, { ...code, x: left + pitchX + code.x, y: top + pitchY + code.y })
  expect(jsQR(cut.dots, cut.wide, cut.tall)?.data).toMatch(/^QO28 made 2026-/)
  // The next begins behind them.
  await expect(page.getByText('Starts at 7')).toBeVisible()
  // The test print, under a ruler.
  await page.getByRole('button', { name: 'Begin at place 1', exact: true }).click()
  await page.getByLabel('Labels', { exact: true }).fill('1')
  await page.getByLabel('Labels', { exact: true }).press('Tab')
  const [test1] = (await made(page, 'Test print')).pages
  expect(Math.abs(test1!.width - 210)).toBeLessThan(0.05)
  expect(Math.abs(test1!.height - 297)).toBeLessThan(0.05)
  const ink = inkOf(test1!)
  expect(Math.abs(ink.left - left)).toBeLessThan(0.2)
  expect(Math.abs(ink.top - top)).toBeLessThan(0.2)
  expect(Math.abs(ink.right - left - document.width)).toBeLessThan(0.2)
  expect(Math.abs(ink.bottom - top - document.height)).toBeLessThan(0.2)
})

test('it asks first while a list does not fit and a claim stands, and both have a way out', async ({
  page,
  server,
}) => {
  await open(page, server.url, 30, 'Band and Round')
  await page.getByRole('button', { name: 'Make the PDF' }).click()
  const ask = page.getByRole('dialog', { name: 'Before it is printed' })
  await expect(ask).toContainText('the list is 1 line too long at 1.2 mm')
  await expect(ask).toContainText('“Heals” claims to cure')
  await ask.getByRole('button', { name: 'Mend it first' }).click()
  await page.getByRole('button', { name: /^Say “For hands that work/ }).click()
  await expect(page.getByText('claims to cure')).toBeHidden()
  // The list goes on a label of its own, which is printed along.
  await page.getByRole('button', { name: /^Second label/ }).click()
  await expect(
    page.getByText('Band, back is printed along with it, in place of Round.'),
  ).toBeVisible()
  await expect(page.getByText('too long')).toHaveCount(0)
  const { pages } = await made(page, 'Make the PDF')
  const words = pages.map((one) => plain(one.words))
  // Six bands to a sheet: twenty-three of them on four, then their backs.
  expect(pages.length).toBeGreaterThan(4)
  expect(words[0]).toContain('For hands that work. Made in a slate shed.')
  expect(words[0]).not.toContain('Sodium Olivate')
  expect(words.at(-1)).toContain('Sodium Olivate')
  // All the same it can be printed as it is: the claim is brought back by undo.
  const band = await designOf(server.url, 'Band')
  expect(band.document.also).not.toBeNull()
})

test('a design is worked on by keys and taken back; it is kept, in another window too', async ({
  page,
  server,
  context,
}) => {
  await open(page, server.url, 28, 'Rectangle')
  const name = page.getByRole('button', { name: /^Name: arrows move it/ })
  await name.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Shift+ArrowDown')
  const nameNow = async () =>
    (await designOf(server.url, 'Rectangle')).document.elements.find(({ part }) => part === 'name')!
  await expect.poll(async () => [(await nameNow()).x, (await nameNow()).y]).toEqual([4.5, 13])
  await page.keyboard.press('+')
  await expect.poll(async () => (await nameNow()).size).toBe(3.3)
  await page.keyboard.press('Control+z')
  await expect.poll(async () => (await nameNow()).size).toBe(3.2)
  // What is taken off comes back by the same keys, though nothing has the focus any more.
  await page.keyboard.press('Delete')
  await expect(name).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(name).toBeVisible()
  await name.focus()
  // What is typed in one window while another has changed it is not lost.
  const second = await context.newPage()
  await second.goto(page.url())
  await second.getByRole('combobox', { name: 'Design' }).selectOption({ label: 'Rectangle' })
  await second.getByRole('button', { name: /^Name: arrows move it/ }).focus()
  await second.keyboard.press('ArrowLeft')
  await expect.poll(async () => (await nameNow()).x).toBe(4)
  await second.close()
  await page.getByLabel('Other words').fill('Olive, quietly')
  await expect.poll(async () => (await nameNow()).text).toBe('Olive, quietly')
  expect((await nameNow()).x).toBe(4)
  // Nor is it when another design is chosen before it was kept.
  await page.getByLabel('Other words').fill('Olive, quietly')
  await page.getByLabel('Other words').fill('Olive, at once')
  await page.getByRole('combobox', { name: 'Design' }).selectOption({ label: 'Round' })
  await expect.poll(async () => (await nameNow()).text).toBe('Olive, at once')
  // Two choices right after each other: the last one holds, and is the one that is come back to.
  await page.getByRole('combobox', { name: 'Design' }).selectOption({ label: 'Rectangle' })
  const rectangle = (await designOf(server.url, 'Rectangle')).id
  const { formulaId } = await batchOf(server.url, 28)
  await expect
    .poll(async () => {
      const soaps = await get<Stored<SoapWords>[]>(`${server.url}/api/soap-words`)
      return soaps.find(({ id }) => id === formulaId)?.document.designId
    })
    .toBe(rectangle)
  await page.reload()
  await page.getByRole('button', { name: /^Name: arrows move it/ }).focus()
  await expect(page.getByLabel('Other words')).toHaveValue('Olive, at once')
})

test('a box of three: its list is those of its batches, its boxes leave all three', async ({
  page,
  server,
}) => {
  test.slow()
  await page.goto('/stores/labels')
  await page.getByRole('link', { name: /Three for the road/ }).click()
  await expect(page.getByText('1 × 100 g, 290 g in all').first()).toBeVisible()
  const { pages } = await made(page, 'Make the PDF')
  const said = plain(pages[0]!.words)
  // What a label of each alone says stands in it, under its name.
  const gift = (await get<Stored<Gift>[]>(`${server.url}/api/gifts`))[0]!
  const lines = await page
    .getByRole('region', { name: 'The lists' })
    .getByRole('paragraph')
    .allInnerTexts()
  expect(lines).toHaveLength(3)
  for (const line of lines) expect(said).toContain(plain(line.slice(line.indexOf(' g: ') + 4)))
  expect(said).toContain('2 × 95 g, 1 × 100 g, 290 g in all')
  const before = await Promise.all(
    gift.document.bars.map(({ batchId }) => get<Batch>(`${server.url}/api/batches/${batchId}`)),
  )
  await page.getByRole('button', { name: 'Boxes leave' }).click()
  await page.getByLabel('Boxes', { exact: true }).fill('2')
  await page.getByLabel('To whom, or where').fill('Harbour shop')
  await page.getByRole('button', { name: 'They leave' }).click()
  await expect(page.getByText('2 boxes sold, from 3 batches.')).toBeVisible()
  const after = await Promise.all(
    before.map(({ id }) => get<Batch>(`${server.url}/api/batches/${id}`)),
  )
  const paid = after.map((batch, nth) => {
    expect(batch.facts.out - before[nth]!.facts.out).toBe(2)
    const last = batch.events.at(-1)!
    return last.kind === 'out' ? last.price : null
  })
  expect(paid).toEqual([1100, 1100, 1100])
})

test('a price is set from what a bar cost, stands in the list and on its card', async ({
  page,
  server,
}) => {
  const batch = await batchOf(server.url, 24)
  await page.goto(`/batches/${batch.id}/cost`)
  await page.getByLabel('What is paid').fill('5.40')
  await page.getByLabel('What is paid').press('Tab')
  await page.getByRole('button', { name: 'Set its price' }).click()
  await expect(page.getByText('£5.40 a bar, on its labels')).toBeVisible()
  await page.goto('/stores/labels/prices')
  await expect(page.getByLabel('Price of Wardrobe Block')).toHaveValue('5.40')
  // A shop keeps two fifths.
  await page.getByLabel('With what shops pay').check()
  await expect(page.getByText('£3.24 by the shop’s share')).toBeVisible()
  await page.goto('/stores/labels/cards')
  const { name, pages } = await made(page, 'Make the PDF')
  expect(name).toBe('shelf-cards.pdf')
  expect(plain(pages[0]!.words)).toContain('£5.40')
  expect(plain(pages[0]!.words)).toContain('Wardrobe Block')
})

test('where it is sold decides what a label says', async ({ page, server }) => {
  await page.goto('/stores/labels')
  await page.getByRole('button', { name: 'United States' }).click()
  await expect(page.getByRole('button', { name: 'United States' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await open(page, server.url, 25, 'Rectangle')
  const list = await wordsOn(page, 'list')
  expect(list).toContain('Water')
  expect(list).toContain('Fragrance')
  expect(list).not.toContain('Limonene')
  expect(await wordsOn(page, 'net')).toMatch(/^100 g · 3\.\d oz$/)
})

test('what usually goes is packed in one press; who asked for more stands under Promised', async ({
  page,
  server,
}) => {
  await page.goto('/stores/markets')
  await page.getByRole('link', { name: /Ferry market.*28 Nov/ }).click()
  // 4, 2 and 1 Quiet Olive went on the last three days.
  await expect(page.getByRole('listitem').filter({ hasText: 'Quiet Olive' }).first()).toContainText(
    '2 go, 4 ready',
  )
  await page.getByRole('button', { name: 'Pack that' }).click()
  await expect(page.getByRole('button', { name: 'One Quiet Olive 1 less' })).toBeEnabled()
  await page.getByRole('button', { name: /^Packed/ }).click()
  await page.getByRole('button', { name: 'Somebody asks for more' }).click()
  await page.getByLabel('Who').fill('The post woman')
  await page.getByLabel('Of which soap').selectOption({ label: 'Quiet Olive' })
  await page.getByLabel('Bars').fill('5')
  await page.getByLabel('Bars').press('Tab')
  await page.getByRole('button', { name: 'Promise it' }).click()
  await expect(page.getByText('The post woman: 5 Quiet Olive by')).toBeVisible()
  const goals = () => get<Stored<Goal>[]>(`${server.url}/api/goals`)
  await expect
    .poll(async () => (await goals()).map(({ document }) => [document.what, document.bars]))
    .toContainEqual(['The post woman, Ferry market', 5])
  await page.getByRole('button', { name: 'Take back what The post woman asked for' }).click()
  await expect
    .poll(async () => (await goals()).map(({ document }) => document.what))
    .not.toContain('The post woman, Ferry market')
})

for (const [name, path] of [
  ['labels and prices', '/stores/labels'],
  ['the price list', '/stores/labels/prices'],
  ['cards', '/stores/labels/cards'],
  ['the labels of a batch', ''],
] as const)
  test(`${name}: axe finds nothing, nothing wider than a phone`, async ({ page, server }) => {
    await page.goto(path || `/batches/${(await batchOf(server.url, 30)).id}/labels`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await quiet(page)
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]!.html.slice(0, 140)}`)).toEqual([])
    await page.setViewportSize({ width: 390, height: 844 })
    const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect(over).toBeLessThanOrEqual(0)
  })

test.describe('an empty workshop', () => {
  test.use({ workshop: 'empty' })
  test('begins with a piece of paper, and asks where it is sold', async ({ page, server }) => {
    const formulaId = newId()
    await send(`${server.url}/api/formulas/${formulaId}`, 'PUT', {
      revision: 0,
      document: { ...blankFormula('First Soap'), fats: [{ id: 'olive', share: 1 }] },
    })
    const batchId = newId()
    await send(`${server.url}/api/batches`, 'POST', {
      id: batchId,
      formulaId,
      revision: 1,
      bars: 8,
      cure: { rule: 'most', days: 42 },
    })
    await page.goto(`/batches/${batchId}/labels`)
    await page.getByRole('button', { name: 'European Union' }).click()
    await expect(page.getByText('Where do you sell?')).toHaveCount(0)
    await page.getByRole('button', { name: 'Rectangle' }).click()
    await expect(page.getByText('the net weight is not known yet')).toBeVisible()
    // Somebody weighs the bars, and sets the light ones aside.
    await page.getByLabel('Set aside bars under').fill('104')
    await page.getByLabel('Set aside bars under').press('Tab')
    await expect(page.getByText('the net weight is not known yet')).toHaveCount(0)
    const { pages } = await made(page, 'Make the PDF')
    expect(plain(pages[0]!.words)).toContain('104 g')
  })

  test('says what comes first', async ({ page }) => {
    await page.goto('/stores/labels')
    await expect(page.getByText('No batch is ready to leave yet.')).toBeVisible()
    await page.goto('/stores/labels/prices')
    await expect(page.getByText('No soap is on the rack')).toBeVisible()
  })
})
