import { expect, openFormula, saved, test } from './fixtures'

const superfat = { name: 'Superfat', exact: true }

test('the maps follow the fats, say outside in words, and what helps is one click', async ({
  page,
}) => {
  await openFormula(page, 'Wardrobe Block')
  await page.getByLabel('What it is for').selectOption('face')
  const skin = page.getByRole('img', { name: /^Grease lift/ })
  await expect(skin).toHaveAccessibleName(/Grease lift \d+, above its region of 14 to 38/)
  await page.getByRole('button', { name: 'What would help?' }).click()
  const first = page.getByRole('button', { name: /^Do: / }).first()
  await expect(first).toBeVisible()
  await expect(page.getByRole('button', { name: /^Do: / })).toHaveCount(3)
  const before = await skin.getAttribute('aria-label')
  await first.click()
  await expect(skin).not.toHaveAccessibleName(before!)
  await saved(page)
  await page.keyboard.press('Control+z')
  await expect(skin).toHaveAccessibleName(before!)
})

test('regions are the workshop’s to change, and go back', async ({ page }) => {
  await openFormula(page, 'Plain Tallow')
  const wear = page.getByRole('img', { name: /^Wear life/ })
  await page.getByRole('button', { name: 'Regions' }).click()
  await page.getByLabel('Wear life, from').fill('80')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByText(/A region goes from the lower to the higher/)).toBeVisible()
  await page.getByLabel('Wear life, to').fill('95')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(wear).toHaveAccessibleName(/below its region of 80 to 95/)
  await page.reload()
  await expect(wear).toHaveAccessibleName(/below its region of 80 to 95/)
  await page.getByRole('button', { name: 'Regions' }).click()
  await page.getByRole('button', { name: 'The usual ones' }).click()
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(wear).toHaveAccessibleName(/region of 26 to 58/)
})

test('a fat is swapped for its nearest relative', async ({ page }) => {
  await openFormula(page, 'Market Rose')
  await page.getByRole('button', { name: 'More for Palm oil' }).click()
  await page.getByRole('menuitem', { name: 'Swap this fat for…' }).click()
  const table = page.getByRole('region', { name: 'Substitutes' })
  await expect(table.getByRole('row').nth(1)).toContainText('now')
  await page.getByLabel('Find a fat to put in its place').fill('lard')
  await page.getByRole('button', { name: 'Take Lard' }).click()
  await expect(page.getByLabel('Lard, share of oils')).toHaveValue('20')
  await saved(page)
})

test('lye risk: drawn within half a second of a change, and the superfat that will do is one click', async ({
  page,
}) => {
  await openFormula(page, 'Plain Tallow')
  const spark = page.getByRole('button', { name: /^lye left over/ })
  await expect(spark).toContainText(/1 in \d00/)
  await page.getByRole('textbox', superfat).fill('0')
  await expect(spark).toContainText(/of 100|1 in \d+$/)
  await spark.click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('Beef tallow')).toBeVisible()
  await dialog.getByLabel('The lye is').selectOption('old')
  await expect(dialog.getByText(/about 2[.,]\d %|about 3[.,]\d %|about 2 %/)).toBeVisible()
  await dialog.getByLabel('The lye is').selectOption('fresh')
  await dialog.getByLabel('Lye left over at most in').selectOption('0.01')
  await dialog.getByRole('button', { name: 'Set it' }).click()
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(spark).toContainText(/1 in 1\d\d|1 in [2-9]\d\d/)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('textbox', superfat)).toHaveValue('0')
})

test('lye left over more often than the workshop puts up with is said, and not asked where it only cleans', async ({
  page,
}) => {
  await openFormula(page, 'Plain Tallow')
  await page.getByRole('textbox', superfat).fill('0')
  const remark = page
    .getByRole('listitem')
    .filter({ hasText: /this workshop puts up with 1 in 100\./ })
  await expect(remark).toBeVisible()
  await remark.getByRole('button', { name: /^Set superfat to/ }).click()
  await expect(remark).toBeHidden()
  const enough = Number(await page.getByRole('textbox', superfat).inputValue())
  expect(enough).toBeGreaterThan(0.5)
  expect(enough).toBeLessThan(6)
  await page.getByRole('textbox', superfat).fill('0')
  await page.getByLabel('What it is for').selectOption('laundry')
  const cleaning = page
    .getByRole('listitem')
    .filter({ hasText: /this workshop puts up with 1 in 20\./ })
  await expect(cleaning).toBeVisible()
  await page.getByRole('button', { name: /^lye left over/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Lye left over at most in').selectOption('not asked, for cleaning only')
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(cleaning).toBeHidden()
  // On skin it is asked as before.
  await page.getByLabel('What it is for').selectOption('body')
  await expect(remark).toBeVisible()
})

test('the finder: found, priced, of another kind, impossible, written as a formula', async ({
  page,
}) => {
  await page.goto('/formulas/find')
  await page.getByRole('button', { name: 'those of my formulas' }).click()
  await page.getByLabel('cheapest inside them').check()
  await page.getByRole('button', { name: 'Find', exact: true }).click()
  // The solver is fetched and started first.
  await expect(page.getByRole('heading', { name: 'The cheapest inside' })).toBeVisible({
    timeout: 20_000,
  })
  await expect(page.getByRole('heading', { name: 'Of another kind, 1' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Price and character' })).toBeVisible()
  await page.getByRole('button', { name: 'none' }).click()
  await page.getByLabel('Find a fat').fill('olive')
  await page.getByLabel('Olive oil', { exact: true }).check()
  await page.getByLabel('nearest to its regions').check()
  await page.getByRole('combobox', { name: 'For' }).selectOption('dishes')
  await page.getByRole('button', { name: 'Find', exact: true }).click()
  const way = page.getByRole('region', { name: 'In the way' })
  await expect(way).toContainText(/Quick foam reaches \d+, [\d.]+ points under the 50/)
  await page.reload()
  await expect(page.getByText('1 fat', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'usual ones' }).click()
  await page.getByRole('combobox', { name: 'For' }).selectOption('hands')
  await page.getByLabel('nothing from animals').check()
  await page.getByRole('button', { name: 'Find', exact: true }).click()
  await page.getByRole('button', { name: 'Write it as a formula' }).first().click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Found, hands')
  await expect(page.getByRole('img', { name: /^Keeping/ })).toHaveAccessibleName(
    /inside its region/,
  )
  await expect(page.getByRole('list').getByText('Beef tallow')).toHaveCount(0)
})

test('every why ends at its explanation', async ({ page }) => {
  await openFormula(page, 'Hostel Bar')
  await page.getByRole('link', { name: 'Estimates. Why?' }).click()
  await expect(
    page.getByRole('heading', { name: 'What the bar will be like (judgement)' }),
  ).toBeInViewport()
  await expect(page.getByRole('cell', { name: '2.3 up to 12' })).toBeAttached()
  await page.goBack()
  await page.getByRole('button', { name: 'Why this much lye?' }).click()
  await page.getByRole('link', { name: /How this is reckoned/ }).click()
  await expect(page.getByRole('heading', { name: /^Alkali demand/ })).toBeInViewport()
})
