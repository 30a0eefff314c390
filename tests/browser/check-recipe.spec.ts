import { expect, saved, test } from './fixtures'
import type { Page } from '@playwright/test'

async function paste(page: Page, text: string) {
  await page.goto('/formulas/check')
  const another = page.getByRole('button', { name: 'Paste another' })
  const field = page.getByLabel('The recipe as written')
  await expect(another.or(field).first()).toBeVisible()
  if (await another.isVisible()) await another.click()
  await field.fill(text)
  await page.getByRole('button', { name: 'Read it' }).click()
}

test('a recipe as written is understood, judged and taken over', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Check a recipe' }).click()
  await paste(page, '500g olive oil, 65 g NaOH, 150 ml water')
  await expect(page.getByTestId('superfat')).toHaveText('4 %')
  await expect(page.getByText('2.31 : 1 water to lye', { exact: false }).first()).toBeVisible()
  await expect(page.getByText('usable, but with little room for error')).toBeVisible()
  // Each line is its own input.
  await page.getByLabel('As written: 65 g NaOH').fill('80 g NaOH')
  await page.keyboard.press('Enter')
  await page.getByLabel('One more line').click()
  await expect(page.getByText('Do not make this: it is lye-heavy')).toBeVisible()
  await page.getByLabel('One more line').fill('5 g moon dust')
  await page.keyboard.press('Enter')
  await expect(page.getByText('“moon dust” is not in the library')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take it over: 1 line open' })).toBeDisabled()
  await page.reload()
  await expect(page.getByLabel('As written: 5 g moon dust')).toBeVisible()
  await paste(
    page,
    '12 oz lard\n4 oz coconut oil\n2.2 oz lye\n5 oz water\n0.5 oz orange essential oil',
  )
  await page.getByRole('button', { name: 'Take it over as a formula' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Recipe taken over')
  await expect(page.getByLabel('Lard, weight')).toHaveValue('340.19')
  await expect(page.getByTestId('lye')).toHaveText('62.3 g')
  await expect(page.getByTestId('water')).toHaveText('141.7 g')
})

test('what is open is asked, by digits, and nothing is green before', async ({ page }) => {
  await paste(
    page,
    'Galley soap, fills a shoebox\n400 g olive oil\n200g coconut\nlard 80\n20 g rice bran soap\n300 g lye solution\n60 g vinegar\nrose clay 1 tsp per lb\ntea tree eo 3%\nblend till it’s like custard',
  )
  await expect(page.getByText('Not said yet', { exact: true })).toBeVisible()
  await expect(page.getByText('question 1 of 2')).toBeVisible()
  await expect(page.getByText('question 2 of 2')).toBeVisible()
  await expect(page.getByText('sound figure')).toHaveCount(0)
  await page.keyboard.press('1')
  await expect(page.getByText('question 1 of 1')).toBeVisible()
  await page.getByRole('button', { name: /33 % 99 g of lye/ }).click()
  await expect(page.getByText('you said so').first()).toBeVisible()
  // 400·190 + 200·257 + 80·198 + 20·187, · F/1000 = 105.0; 99 g less the vinegar’s 2.0 of it
  await expect(page.getByTestId('superfat')).toHaveText(/^[5-8](\.\d)? %$/)
  await expect(page.getByText('It leans on the label: 33 % lye.')).toBeVisible()
  await page.getByRole('button', { name: 'Change' }).last().click()
  await expect(page.getByText('Not said yet', { exact: true })).toBeVisible()
})

test('baking soda, drain cleaner and a cup of lye are refused with the reason', async ({
  page,
}) => {
  await paste(page, '500 g olive oil\n65 g baking soda\n190 g water')
  await expect(page.getByText('Baking soda is not lye')).toBeVisible()
  await paste(page, '500 g olive oil\ndrain cleaner 65 g\n190 g water')
  await expect(page.getByText('Never use it')).toBeVisible()
  await paste(page, '500 g olive oil\n1 cup lye\n190 g water')
  await expect(page.getByText('Lye is weighed, never measured by spoon or cup')).toBeVisible()
  await expect(page.getByRole('button', { name: /Take it over: 1 line open/ })).toBeDisabled()
})

test('a recipe in ounces into an own mould, halved, made, undone', async ({ page }) => {
  await paste(
    page,
    '16 oz olive oil\n8 oz coconut oil\n3.4 oz lye\n8 oz water\n1 tsp rose clay\n0.7 oz lavender essential oil',
  )
  await page.getByRole('button', { name: 'Take it over as a formula' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Recipe taken over')
  const lye = await page.getByTestId('lye').textContent()
  await page.getByRole('button', { name: /^Size:/ }).click()
  await page.getByRole('button', { name: /Short loaf/ }).click()
  await page.getByRole('button', { name: /^Use it/ }).click()
  await expect(page.getByRole('button', { name: 'Size: Short loaf' })).toBeVisible()
  const superfat = page.getByRole('textbox', { name: 'Superfat', exact: true })
  const held = await superfat.inputValue()
  await page.getByRole('button', { name: 'More for this formula' }).click()
  await page.getByRole('menuitem', { name: 'Halve the size' }).click()
  await expect(superfat).toHaveValue(held)
  await expect(page.getByText('Stop.')).toHaveCount(0)
  await saved(page)
  await page.getByRole('button', { name: 'Make a batch' }).click()
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByTestId('weigh-naoh')).toBeVisible()
  await page.goBack()
  // Undo does not outlive the page: by weight brings the typed grams back as they are now.
  await expect(page.getByRole('button', { name: 'Size: Short loaf' })).toBeVisible()
  await page.getByRole('button', { name: 'More for this formula' }).click()
  await page.getByRole('menuitem', { name: 'Double the size' }).click()
  await page
    .getByRole('region', { name: 'Fats' })
    .getByRole('button', { name: 'by weight' })
    .click()
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: 'Size: Short loaf' })).toBeVisible()
  expect(lye).not.toBe(await page.getByTestId('lye').textContent())
})
