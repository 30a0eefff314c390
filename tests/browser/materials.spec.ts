import { readFileSync } from 'node:fs'
import { expect, openFormula, saved, test } from './fixtures'

test('materials: find, filter, compare three, see where values come from', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Materials' }).click()
  await page.getByLabel('Find a material').fill('coconut')
  await page.getByLabel('Coconut oil, always liquid').check()
  const side = page.getByRole('region', { name: 'Side by side' })
  await expect(side.getByRole('article')).toHaveCount(3)
  await expect(side.getByText('334 (310 to 360) mg KOH/g')).toBeVisible()
  await expect(side.getByText(/standard: European Pharmacopoeia/).first()).toBeVisible()
  await page.getByLabel('Find a material').fill('')
  await page.getByLabel('Kind').selectOption('fat')
  await page.getByLabel('At 20 °C').selectOption('hard')
  await page.getByLabel('Origin').selectOption('insect')
  await expect(page.getByText('1 found')).toBeVisible()
})

test('a formula goes out as a file and comes back with a preview; bad files say what is wrong', async ({
  page,
}) => {
  await openFormula(page, 'Tide Pool')
  await page.getByRole('button', { name: 'More for this formula' }).click()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('tide-pool.mantle.json')
  const text = readFileSync(await file.path(), 'utf8')
  expect(JSON.parse(text)).toMatchObject({ format: 'mantle.formula', name: 'Tide Pool' })
  await page.goto('/formulas')
  await page.getByRole('button', { name: 'More for all formulas' }).click()
  await page.getByRole('menuitem', { name: 'Import…' }).click()
  const asFile = (name: string, content: string) => ({
    name,
    mimeType: 'application/json',
    buffer: Buffer.from(content),
  })
  await page
    .getByLabel(/Files ending in/)
    .setInputFiles([
      asFile('tide-pool.mantle.json', text),
      asFile('broken.mantle.json', '{ "format": '),
      asFile('odd.mantle.json', text.replace('"superfat"', '"overfat"')),
    ])
  await expect(page.getByText('joins as a copy, since a “Tide Pool” is here already')).toBeVisible()
  await expect(page.getByText('This is not JSON.')).toBeVisible()
  await expect(
    page.getByText('overfat: Mantle does not know the key "overfat" here.'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Take 1' }).click()
  await page.getByRole('link', { name: 'Tide Pool 2' }).click()
  await expect(page.getByLabel('pale, water to lye')).toHaveValue('1.3')
  await saved(page)
})
