import { expect, test } from './fixtures'

test('a recipe as written is understood, judged and taken over', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Check a recipe' }).click()
  const text = page.getByLabel('The recipe as written')
  await text.fill('500g olive oil, 65 g NaOH, 150 ml water')
  await expect(page.getByTestId('superfat')).toHaveText('4 %')
  await expect(page.getByText('2.31 : 1 water to lye', { exact: true })).toBeVisible()
  await expect(page.getByText('usable, but with little room for error')).toBeVisible()
  await text.fill('500g olive oil, 80 g NaOH, 150 ml water, 5 g moon dust')
  await expect(page.getByText('Do not make this: it is lye-heavy')).toBeVisible()
  await expect(page.getByText('"moon dust" is not in the library.')).toBeVisible()
  await page.reload()
  await expect(text).toHaveValue(/moon dust/)
  await text.fill(
    '12 oz lard\n4 oz coconut oil\n2.2 oz lye\n5 oz water\n0.5 oz orange essential oil',
  )
  await page.getByRole('button', { name: 'Take it over as a formula' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Recipe taken over')
  await expect(page.getByLabel('Lard, weight')).toHaveValue('340.19')
  await expect(page.getByTestId('lye')).toHaveText('62.3 g')
  await expect(page.getByTestId('water')).toHaveText('141.7 g')
})
