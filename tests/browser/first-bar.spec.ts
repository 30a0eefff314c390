import { expect, saved, suggestions, test, typeLine } from './fixtures'

test.describe('from nothing to a bar on the rack', () => {
  test.use({ workshop: 'empty' })

  test('with the keyboard alone', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByText('Welcome to your workshop')).toBeVisible()
    await page.keyboard.press('/')
    await page.keyboard.type('new formula')
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(/\/formulas\/[0-9a-f-]{36}$/)

    await expect(page.getByLabel('Name of the formula')).toHaveValue('New formula')
    await page.keyboard.press('a')
    for (const line of ['olive 45%', 'coconut 25%', 'shea 20%', 'castor 10%']) {
      await page.keyboard.type(line)
      await expect(suggestions(page).first()).toBeVisible()
      await page.keyboard.press('Enter')
      await expect(page.getByLabel('Add a line by typing')).toHaveValue('')
    }
    await page.keyboard.press('Escape')
    await page.keyboard.press('s')
    await page.keyboard.type('6')
    await expect(page.getByTestId('lye')).toHaveText('136.5 g')
    await expect(page.getByTestId('water')).toHaveText('300.4 g')
    await expect(page.getByTestId('batter')).toHaveText('1,437 g')

    await page.keyboard.press('Escape')
    await page.keyboard.press('w')
    await page.keyboard.type('2.5')
    await expect(page.getByTestId('water')).toHaveText('341.3 g')
    await page.keyboard.press('Control+z')
    await expect(page.getByTestId('water')).toHaveText('300.4 g')
    await saved(page)

    await page.keyboard.press('Escape')
    const make = page.getByRole('button', { name: 'Make a batch' })
    while (!(await make.evaluate((button) => button === document.activeElement)))
      await page.keyboard.press('Shift+Tab')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: 'Make it' })).toBeEnabled()
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(/\/batches\//)
    await expect(page.getByTestId('weigh-naoh')).toHaveText('136.5 g')
    await expect(page.getByText('Before the lye is opened')).toBeVisible()

    const pour = page.getByRole('button', { name: 'Mark as poured' })
    while (!(await pour.evaluate((button) => button === document.activeElement)))
      await page.keyboard.press('Tab')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: 'It is poured' })).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByText('New formula 1: poured.')).toBeVisible()

    await page.keyboard.press('g')
    await page.keyboard.press('r')
    await expect(page).toHaveURL(/\/rack$/)
    const plank = page.getByRole('region', { name: 'First days, handle with gloves' })
    await expect(plank.getByRole('button', { name: /New formula 1, poured today/ })).toBeVisible()
    await expect(page.getByText('42 days, 4 Jan 2027')).toBeVisible()
  })

  test('empty stations teach the next step', async ({ page }) => {
    await page.goto('/formulas')
    await expect(page.getByText('No formulas yet')).toBeVisible()
    await page.goto('/rack')
    await expect(page.getByText('The rack is empty')).toBeVisible()
    await page.getByRole('link', { name: 'To the formulas' }).click()
    await page.getByRole('button', { name: 'Write the first formula' }).click()
    await expect(page.getByText('The pot fills as you type')).toBeVisible()
    await page.getByRole('button', { name: 'Make a batch' }).click()
    await expect(page.getByText('A formula needs at least one fat.')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Make it' })).toBeDisabled()
  })

  test('a first line in grams makes a formula by weight', async ({ page }) => {
    await page.goto('/formulas')
    await page.getByRole('button', { name: 'Write the first formula' }).click()
    await typeLine(page, '300 g olive oil')
    await typeLine(page, '100 g coconut')
    await expect(page.getByLabel('Olive oil, weight')).toHaveValue('300')
    await page.getByRole('button', { name: 'by share' }).click()
    await expect(page.getByLabel('Olive oil, share of oils')).toHaveValue('75')
    await expect(page.getByLabel('Weight of all oils')).toHaveValue('400')
  })
})

test('the sheet prints on one page, a long one too', async ({ page }) => {
  await page.goto('/')
  const pagesOf = async () => {
    const pdf = await page.pdf({ format: 'A4', preferCSSPageSize: true })
    return pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length
  }
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Pour Hostel Bar' })
    .getByRole('link', { name: 'Bench' })
    .click()
  await page.getByRole('link', { name: 'Its sheet' }).click()
  await expect(page.getByTestId('weigh-naoh')).toBeVisible()
  expect(await pagesOf()).toBe(1)

  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Hostel Bar' }).click()
  for (const line of [
    'shea 4%',
    'lard 3%',
    'palm 2%',
    'sunflower 2%',
    'hemp 1%',
    'avocado 1%',
    'rose clay 1%',
  ])
    await typeLine(page, line)
  await page.getByRole('button', { name: 'Spread to 100 %' }).click()
  await saved(page)
  await page.getByRole('button', { name: 'Make a batch' }).click()
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByTestId('weigh-hemp')).toBeVisible()
  expect(await pagesOf()).toBe(1)
})
