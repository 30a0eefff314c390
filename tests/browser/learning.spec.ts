import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import type { Batch } from '../../contracts/batch'
import type { Stored } from '../../contracts/document'
import type { FormulaDocument } from '../../contracts/formula'
import type { BatchRecord } from '../../contracts/learning'
import type { FormulaVersion } from '../../contracts/version'
import type { WorkshopNow } from '../../contracts/workshop'
import { wordsOf } from '../support/pdfPage'
import { send } from '../support/send'
import { expect, openFormula, test } from './fixtures'

/* The workshop's own records are asked, and what was said is held against what came. */

const get = async <T>(url: string) => (await send<T>(url, 'GET')).body
const ask = async (page: Page, question: string) => {
  await page.goto('/journal/ask')
  await expect(page.getByRole('heading', { name: 'Asked often' })).toBeVisible()
  await page.getByLabel('Ask the journal').fill(question)
  await page.keyboard.press('Enter')
}
const answer = (page: Page) => page.getByRole('region', { name: 'The answer' })
const trusted = (page: Page) => answer(page).locator('[aria-current=true]')

test('with and without: the answer is what counting by hand gives, and the pair that settles it is planned', async ({
  page,
  server,
}) => {
  await ask(page, 'does citric keep a loaf longer in the mould?')
  // With: 3 3 3 2 2 2 1 1. Without: 23 of 1 day, one of 2, one of none. Of the 200 differences 2 are -1, 49 are 0,
  // 74 are 1, 72 are 2 and 3 are 3: the hundredth and the one after it are 1.
  await expect(answer(page).getByRole('status')).toHaveText(
    'With citric acid, about 1 day longer in the mould.',
  )
  await expect(answer(page).getByRole('group')).toHaveAccessibleName(
    /^With citric acid: 8 batches, .*Without: 25 batches/,
  )
  await expect(trusted(page)).toHaveText('lean on it')
  await expect(answer(page).getByText('Left out: 2 batches')).toBeVisible()
  await page.getByRole('button', { name: 'Count it by hand' }).click()
  const table = page.getByRole('dialog').getByRole('table')
  await expect(table.getByRole('row')).toHaveCount(9)
  await expect(table.locator('td.bg-act-ground')).toHaveCount(74)
  await page.keyboard.press('Escape')
  // Read again after a reload, from the address.
  await page.reload()
  await expect(answer(page).getByRole('status')).toContainText('about 1 day longer')
  await page.getByRole('button', { name: 'Plan the pair that settles it' }).click()
  await expect(page).toHaveURL(/\/bench$/)
  const planned = (await get<Batch[]>(`${server.url}/api/batches`)).filter(
    ({ facts }) => !facts.pouredOn,
  )
  const [other, own] = planned as [Batch, Batch]
  expect([own.name, other.name]).toEqual(['Hostel Bar', 'Hostel Bar, without citric acid'])
  const [a, b] = await Promise.all(
    [own, other].map(({ id }) => get<Batch>(`${server.url}/api/batches/${id}`)),
  )
  expect(b!.frozen.document.additives).toEqual([])
  expect({
    ...b!.frozen.document,
    additives: a!.frozen.document.additives,
    name: 'Hostel Bar',
  }).toEqual(a!.frozen.document)
  expect(a!.events).toMatchObject([
    { kind: 'noted', note: expect.stringContaining(`batch ${other.number}`) },
  ])
})

test('a trend is the middle of all slopes, and is asked within a formula or since a month', async ({
  page,
  server,
}) => {
  const records = await get<BatchRecord[]>(`${server.url}/api/learning`)
  const points = records.flatMap(({ figures: { water, dry } }) =>
    water === undefined || dry === undefined ? [] : [[water, dry] as const],
  )
  const slopes = points
    .flatMap(([x, y], one) =>
      points
        .slice(one + 1)
        .flatMap(([otherX, otherY]) => (otherX === x ? [] : [(otherY - y) / (otherX - x)])),
    )
    .sort((a, b) => a - b)
  const half = slopes.length / 2
  const middle =
    slopes.length % 2 ? slopes[Math.floor(half)]! : (slopes[half - 1]! + slopes[half]!) / 2
  await ask(page, 'water and days to dry')
  await expect(answer(page).getByRole('status')).toHaveText(
    `${Math.round(middle / 2)} days longer to dry, for 0.5 more water.`,
  )
  await expect(answer(page).getByText(`${points.length} batches.`)).toBeVisible()
  await page.getByLabel('Which formula').selectOption('Quiet Olive')
  await expect(answer(page).getByRole('status')).toHaveText('Too few to tell.')
  await expect(trusted(page)).toHaveText('too few')
  await page.getByLabel('Which formula').selectOption('all soaps')
  await page.getByLabel('Since').selectOption('May 2026')
  const later = records.filter(
    ({ pouredOn, figures: { dry } }) => pouredOn >= '2026-05-01' && dry !== undefined,
  )
  await expect(
    answer(page).getByText(new RegExp(`^(${later.length}|Nine|Ten|Eleven|Twelve) batches\\.`)),
  ).toBeVisible()
})

test('two batches: what differs, what it does, and a version that changes only one of them', async ({
  page,
  server,
}) => {
  await ask(page, 'batch 12 against batch 23')
  const pair = page.getByRole('region', { name: 'Two batches' })
  await expect(pair.getByRole('status')).toHaveText('7 things changed: cannot tell.')
  // Quiet Olive left the mould after a day, Hostel Bar with its citric acid after two.
  const row = (name: string) => pair.getByRole('row', { name: new RegExp(`^${name}`) })
  await expect(row('Water to lye').getByRole('cell')).toHaveText([
    '1.6 : 1',
    '2.2 : 1',
    /^likely explains: by the model/,
  ])
  await expect(row('Extras')).toContainText('likely explains')
  await expect(row('Superfat')).toContainText('nobody knows')
  const [{ id, revision }] = (
    await get<Stored<FormulaDocument>[]>(`${server.url}/api/formulas`)
  ).filter(({ document }) => document.name === 'Hostel Bar') as [Stored<FormulaDocument>]
  await pair.getByRole('button', { name: 'Only water to lye' }).click()
  await expect(page).toHaveURL(new RegExp(`/formulas/${id}$`))
  const saved = await get<Stored<FormulaDocument>>(`${server.url}/api/formulas/${id}`)
  expect(saved.revision).toBe(revision + 1)
  const before = await get<BatchRecord[]>(`${server.url}/api/learning`)
  const frozen = await get<Batch>(
    `${server.url}/api/batches/${before.find(({ number }) => number === 23)!.id}`,
  )
  const { water, name: _, ...rest } = saved.document
  const { water: __, name: ___, ...was } = frozen.frozen.document
  expect(rest).toEqual(was)
  expect(water.value).toBeCloseTo(1.6, 1)
  const [version] = await get<FormulaVersion[]>(`${server.url}/api/formulas/${id}/versions`)
  expect(version!.purpose).toContain('Water to lye as in batch 12')
})

test('too few are said to be too few; what lacks is asked for; words that nobody knows are named', async ({
  page,
}) => {
  await ask(page, 'by hand or blender, minutes to trace')
  await expect(answer(page).getByRole('status')).toHaveText('Too few to tell.')
  await expect(trusted(page)).toHaveText('too few')
  await expect(answer(page).getByText('3 more by hand', { exact: false })).toBeVisible()
  await expect(answer(page).getByText('90 in 100', { exact: false })).toHaveCount(0)
  await page.getByLabel('Ask the journal').fill('citric')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: 'Against what?' })).toBeVisible()
  await page.getByLabel('What came of it').selectOption('days from pour to unmould')
  await expect(answer(page).getByRole('status')).toContainText('about 1 day longer')
  await page.getByLabel('Ask the journal').fill('is the moon bluer')
  await page.keyboard.press('Enter')
  await expect(
    page.getByText('None of your records know “moon bluer”', { exact: false }),
  ).toBeVisible()
  await page.getByLabel('Ask the journal').fill('18 against 999')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Batch 999 was never poured here.')).toBeVisible()
  await page
    .getByLabel('Ask the journal')
    .fill('did version 2 of Hostel Bar help the days in the mould')
  await page.keyboard.press('Enter')
  await expect(page.getByText('version 2, With citric')).toBeVisible()
  await expect(
    answer(page).getByText('2 things were changed with that version', { exact: false }),
  ).toBeVisible()
})

test('a wrong offset is reset by one click and comes back by undo; what was said stays', async ({
  page,
  server,
}) => {
  const offsets = async () => (await get<WorkshopNow>(`${server.url}/api/workshop`)).offsets
  const before = await offsets()
  expect(before.stage!.of).toBe(9)
  await openFormula(page, 'Hostel Bar')
  const time = page.getByText(/about [\d.]+ min/i).first()
  await expect(time).toBeVisible()
  const moved = Number(/about ([\d.]+) min/i.exec((await time.textContent())!)![1])
  await page.goto('/journal/said?of=stage')
  const said = await get(`${server.url}/api/learning/said`)
  await expect(page.getByRole('heading', { name: 'Minutes to trace' })).toBeVisible()
  await expect(
    page.getByText(`Today × ${before.stage!.factor.toFixed(2)}, from 9 batches.`),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Reset to none' }).click()
  await expect(page.getByText('moved by nothing until three more', { exact: false })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Reset to none' })).toHaveCount(0)
  expect(await offsets()).not.toHaveProperty('stage')
  expect(await get(`${server.url}/api/learning/said`)).toEqual(said)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Reset to none' })).toBeVisible()
  expect((await offsets()).stage).toEqual(before.stage)
  await page.getByRole('button', { name: 'Reset to none' }).click()
  await expect(page.getByRole('button', { name: 'Reset to none' })).toHaveCount(0)
  await openFormula(page, 'Hostel Bar')
  await expect
    .poll(async () => Number(/about ([\d.]+) min/i.exec((await time.textContent())!)![1]))
    .toBeGreaterThan(moved)
})

test('class sheet and handout: one unit, lye for each pair, a gate to sign, half beside the whole', async ({
  page,
}) => {
  await openFormula(page, 'Hostel Bar')
  const address = page.url()
  const paper = async () => wordsOf(await page.pdf({ format: 'A4', preferCSSPageSize: true }))
  await page.goto(`${address}/class`)
  await expect(page.getByRole('heading', { name: 'Pair 4: Hostel Bar' })).toBeVisible()
  const sheets = await paper()
  expect(sheets).toHaveLength(5)
  expect(sheets[0]).toContain('Sodium hydroxide 74 g 296 g')
  for (const [pair, words] of sheets.slice(1).entries()) {
    expect(words).toContain(`Pair ${pair + 1}: Hostel Bar`)
    expect(words).toContain('no lye before all five are ticked and signed')
    expect(words).toContain('Sodium hydroxide 74 g weighed')
  }
  await page.getByLabel('Pairs').fill('2')
  await page.getByText('oz', { exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Pair 3: Hostel Bar' })).toHaveCount(0)
  const ounces = await paper()
  expect(ounces).toHaveLength(3)
  expect(ounces.join(' ')).not.toMatch(/\d g\b/)
  // 500 g of oils take 74.1 g of lye: 2.61 oz, down to a step of 0.05.
  expect(ounces[1]).toContain('Sodium hydroxide 2.60 oz')
  await page.goto(`${address}/handout`)
  await expect(page.getByText('Variants: only these weights change')).toBeVisible()
  const [handout, ...more] = await paper()
  expect(more).toEqual([])
  expect(handout).toContain('Sodium hydroxide 296 g 148 g')
  expect(handout).toContain('Milder, 9 % superfat')
  expect(handout).toContain('Fir & smoke none none')
  await page.getByRole('button', { name: 'without scent' }).click()
  expect((await paper())[0]).not.toContain('none')
})

test('a year on paper: its index leads to the pages where the batches stand', async ({ page }) => {
  await page.goto('/journal/yearbook')
  await expect(page.getByRole('heading', { name: '2026', exact: true })).toBeVisible()
  const pages = await wordsOf(await page.pdf({ format: 'A4', preferCSSPageSize: true }))
  // 28 batches, five a page, a title before and the index behind.
  expect(pages).toHaveLength(8)
  const index = pages.at(-1)!
  const line = /Market Rose ((?:\d+ \(\d+\)(?:, )?)+)/.exec(index)![1]!
  const leads = [...line.matchAll(/(\d+) \((\d+)\)/g)]
  expect(leads.length).toBeGreaterThan(1)
  for (const [, on, number] of leads)
    expect(pages[Number(on) - 1]).toContain(`${number}, Market Rose`)
  expect(index).toContain('Orange spots')
  await page.getByLabel('Year').selectOption('2025')
  await expect(page.getByRole('heading', { name: '2025', exact: true })).toBeVisible()
  await expect(page.getByText('7 batches', { exact: false }).first()).toBeVisible()
})

test('every page of it fits a phone, has nothing that axe finds serious, and is empty in an empty workshop', async ({
  page,
}) => {
  await openFormula(page, 'Hostel Bar')
  const formula = new URL(page.url()).pathname
  const fits = () => page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)
  for (const [path, shows] of [
    ['/journal/ask?q=citric+and+days+to+unmould', 'How far to trust it'],
    ['/journal/ask?q=water+and+days+to+dry', 'How far to trust it'],
    ['/journal/ask?q=kaolin+and+ash', 'How far to trust it'],
    ['/journal/ask?q=12+against+23', 'Change one'],
    ['/journal/ask', 'Asked often'],
    ['/journal/said', 'Lean on these'],
    ['/journal/yearbook', '2026'],
    [`${formula}/handout`, 'Variants: only these weights change'],
    [`${formula}/class`, 'Pair 1: Hostel Bar'],
  ] as const) {
    await page.goto(path)
    await expect(page.getByRole('heading', { name: shows, exact: true }).first()).toBeVisible()
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(
      violations.filter(({ impact }) => impact === 'serious' || impact === 'critical'),
      path,
    ).toEqual([])
    await page.setViewportSize({ width: 390, height: 844 })
    expect(await fits(), path).toBe(true)
    await page.setViewportSize({ width: 1280, height: 800 })
  }
})

test.describe('in an empty workshop', () => {
  test.use({ workshop: 'empty' })
  test('nothing is asked for that is not there', async ({ page }) => {
    await page.goto('/journal/ask')
    await expect(page.getByRole('heading', { name: 'No batch is poured yet.' })).toBeVisible()
    await page.goto('/journal/said')
    await expect(page.getByRole('heading', { name: 'No forecast has come due yet.' })).toBeVisible()
    await page.goto('/journal/yearbook')
    await expect(page.getByText('Nothing was poured in', { exact: false })).toBeVisible()
  })
})
