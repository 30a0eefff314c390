import { answers, expect, openFormula, saved, test, typeLine } from './fixtures'

const line = 'Add a line by typing'
const superfat = { name: 'Superfat', exact: true }

test.describe('a formula typed as a newcomer would', () => {
  test.use({ workshop: 'empty' })

  test('oil, lye and water: the lye is compared, the water is that weight, and no batch is made before', async ({
    page,
  }) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Write the first formula' }).click()
    await typeLine(page, '500 g olive oil')
    await page.getByLabel(line).fill('sodium hydroxide 65 g')
    // 500·0.190·F = 67.7244: 65 g leave 4.02 % of it
    await expect(page.getByText('leaves 4 % of these fats as fat')).toBeVisible()
    const make = page.getByRole('button', { name: 'Make a batch: a word is open' })
    await expect(make).toBeDisabled()
    await expect(page.getByText('lye left over')).toHaveCount(0)
    await page.keyboard.press('1')
    await expect(page.getByLabel(line)).toHaveValue('sodium hydroxide 65 g1')
    await page.keyboard.press('Backspace')
    await page.keyboard.press('Enter')
    await page.keyboard.press('1')
    await expect(page.getByLabel(line)).toHaveValue('')
    await expect(page.getByRole('textbox', superfat)).toHaveValue('4.02')
    await typeLine(page, 'water 190 g')
    await expect(page.getByLabel('Water by weight')).toHaveValue('190')
    await expect(page.getByTestId('water')).toHaveText('190 g')
    await expect(page.getByTestId('lye')).toHaveText('65 g')
    await expect(page.getByText('Watermelon')).toHaveCount(0)
    await expect(page.getByRole('region', { name: 'Extras and scent' })).toHaveCount(0)
    await saved(page)

    await page.getByLabel(line).fill('caustic soda 80 g')
    await page.keyboard.press('Enter')
    await expect(page.getByText('more than these fats can take')).toBeVisible()
    await expect(answers(page).getByRole('option')).toHaveCount(1)
    await page.keyboard.press('Escape')
    await expect(page.getByLabel(line)).toHaveValue('caustic soda 80 g')
    await page.keyboard.press('Enter')
    await page.keyboard.press('1')
    await expect(page.getByTestId('lye')).toHaveText('65 g')
  })

  test('ice, milk in ounces, strength, ratio, superfat set the figures they name', async ({
    page,
  }) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Write the first formula' }).click()
    await typeLine(page, 'olive 100%')
    await typeLine(page, 'superfat 6')
    await expect(page.getByRole('textbox', superfat)).toHaveValue('6')
    await typeLine(page, 'lye 30/70')
    await expect(page.getByLabel('Water strength')).toHaveValue('30')
    await typeLine(page, 'water 2:1')
    await expect(page.getByLabel('Water to lye', { exact: true }).last()).toHaveValue('2')
    await typeLine(page, 'water 38% of oils')
    await expect(page.getByLabel('Water of oils')).toHaveValue('38')
    await typeLine(page, 'goat milk 4 oz')
    await expect(page.getByLabel('Goat milk, weight')).toHaveValue('113.4')
    await typeLine(page, 'ice 60 g')
    await expect(page.getByText('60 g of the water as ice')).toBeVisible()
    await page.keyboard.press('Control+z')
  })

  test('the first questions: the scale, grams or ounces, the jar, the crystal', async ({
    page,
  }) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Write the first formula' }).click()
    await typeLine(page, 'olive 70%')
    await expect(page.getByText('What does your scale show?')).toHaveCount(0)
    await typeLine(page, 'coconut 30%')
    // 700·190 + 300·257 = 210.1 · F · 0.95 = 142.2889
    await expect(page.getByTestId('lye')).toHaveText('142 g')
    await page.getByRole('button', { name: /in steps of 0.1 g/ }).click()
    await expect(page.getByTestId('lye')).toHaveText('142.2 g')
    await expect(page.getByText('What does your scale show?')).toHaveCount(0)
    await page.getByRole('button', { name: /^drain cleaner/ }).click()
    await expect(page.getByText('no lye to make soap with')).toBeVisible()
    await page.getByRole('button', { name: /^sodium hydroxide/ }).click()
    await page.getByRole('button', { name: 'longer' }).click()
    await typeLine(page, 'citric acid 1.5%')
    // 15 g of monohydrate take 8.565 g, of the anhydrous kind 9.368 g
    await expect(page.getByTestId('lye')).toHaveText('150.8 g')
    await page.getByRole('button', { name: /^Anhydrous/ }).click()
    await expect(page.getByTestId('lye')).toHaveText('151.6 g')
    await page.getByRole('button', { name: 'ounces' }).click()
    await expect(page.getByTestId('lye')).toHaveText('5.3 oz')
    await page.getByRole('button', { name: '°F' }).click()
    await expect(page.getByLabel('Lye temperature')).toHaveValue('95')
    await saved(page)
    await page.reload()
    await expect(page.getByText('Which citric acid')).toHaveCount(0)
    await expect(page.getByText('Grams or ounces?')).toHaveCount(0)
  })
})

test('doubtful words are asked about and never taken', async ({ page }) => {
  await openFormula(page, 'Plain Tallow')
  const rows = page.getByRole('button', { name: /^More for .* (oil|tallow|squalane)/i })
  const before = await rows.count()
  for (const [typed, asks] of [
    ['olive squalane 50 g', '“squalane” is a word too many'],
    ['coconut 30', '30 of what'],
    ['baking soda 20 g', 'Baking soda is not lye'],
    ['few drops of lavender eo', 'weigh it once'],
    ['coffee butter 20 g', '“butter” is a word too many'],
  ] as const) {
    await page.getByLabel(line).fill(typed)
    await page.keyboard.press('Enter')
    await expect(page.getByText(asks)).toBeVisible()
    await expect(page.getByRole('button', { name: 'Make a batch: a word is open' })).toBeDisabled()
    expect(await rows.count()).toBe(before)
  }
  await page.getByLabel(line).fill('olive squalane 50 g')
  await page.keyboard.press('Enter')
  await answers(page).getByText('Squalane', { exact: true }).click()
  await expect(page.getByLabel('Squalane, weight')).toHaveValue('50')
  await page.getByLabel(line).fill('coconut 30')
  await page.keyboard.press('Enter')
  await page.keyboard.press('1')
  await expect(page.getByText('over: all together make 100 %')).toBeVisible()
})

test('a rate stays a rate, and a colour nobody listed becomes an own colourant', async ({
  page,
}) => {
  await openFormula(page, 'Plain Tallow')
  await typeLine(page, 'rose clay 1 tsp per lb')
  await expect(page.getByLabel('Rose clay, tsp/lb')).toHaveValue('1')
  await page.getByLabel(line).fill('teal mica 1 tsp')
  await page.getByRole('button', { name: 'Colour #1f6f78' }).click()
  await page.getByLabel(line).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Teal mica, tsp')).toHaveValue('1')
  await saved(page)
  await page.goto('/formulas/materials')
  await page.getByLabel('Find a material').fill('teal')
  await expect(page.getByText('Teal mica')).toBeVisible()
})
