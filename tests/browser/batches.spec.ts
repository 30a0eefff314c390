import { confirm, expect, openFormula, saved, test, typeLine } from './fixtures'

test('the shelf says what is due, and it can be answered in place', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Monday 23 November' })).toBeVisible()
  const due = page.getByRole('region', { name: 'What is due' })
  await expect(due.getByText('Unmould and cut Fir & Smoke')).toBeVisible()
  await expect(due.getByText(/^Market Rose is ready about \w+ \d+ Nov$/)).toBeVisible()
  await due.getByRole('button', { name: 'Cut', exact: true }).click()
  await page.getByRole('dialog').getByLabel('Bars').last().fill('21')
  await page.getByRole('button', { name: 'It is cut' }).click()
  await expect(page.getByText('Fir & Smoke 35: cut, 21 bars.')).toBeVisible()
  await expect(due.getByText('Unmould and cut Fir & Smoke')).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(due.getByText('Unmould and cut Fir & Smoke')).toBeVisible()
})

test('bars climb from plank to plank and leave from the mantle', async ({ page }) => {
  await page.goto('/rack')
  await expect(page.getByText('248 bars on the racks, 25 ready')).toBeVisible()
  await page
    .getByRole('region', { name: 'Mantle' })
    .getByRole('button', { name: /Wardrobe Block 24/ })
    .click()
  const panel = page.getByRole('complementary', { name: 'The chosen batch' })
  await expect(panel.getByText(/^28 days, /)).toBeVisible()
  await panel.getByRole('button', { name: 'More to write down' }).click()
  await page.getByRole('menuitem', { name: 'Off the rack' }).click()
  await page.getByLabel('What was learned').fill('All to the wardrobe.')
  await page.getByRole('button', { name: 'Take it off' }).click()
  await expect(page.getByRole('button', { name: /Wardrobe Block 24/ })).toBeHidden()
})

test('a batch keeps its formula while the formula moves on', async ({ page }) => {
  await page.goto('/')
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Pour Hostel Bar' })
    .getByRole('link', { name: 'Bench' })
    .click()
  await page.getByRole('link', { name: 'Its sheet' }).click()
  const lye = await page.getByTestId('weigh-naoh').textContent()
  const sheet = page.url()
  await page.getByRole('link', { name: 'Its formula now' }).click()
  await page.getByRole('textbox', { name: 'Superfat', exact: true }).fill('15')
  await saved(page)
  await page.goto(sheet)
  await expect(page.getByTestId('weigh-naoh')).toHaveText(lye!)
  await page.getByRole('button', { name: 'Note or photo' }).click()
  await page.getByLabel('Note', { exact: true }).fill('Shed was 9 degrees.')
  await confirm(page, 'Keep it')
  await expect(page.getByRole('listitem').filter({ hasText: 'Shed was 9 degrees.' })).toBeVisible()
})

test('a scent over its maximum is made only with a reason, which the sheet shows', async ({
  page,
}) => {
  await openFormula(page, 'Fir & Smoke')
  await page.getByLabel('Fir & smoke, share of oils').fill('6')
  await saved(page)
  await page.getByRole('button', { name: 'Make a batch' }).click()
  await expect(page.getByRole('button', { name: 'Make it' })).toBeDisabled()
  await page.getByLabel(/To make it all the same, say why/).fill('Wash-off category allows seven.')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByText('Because: Wash-off category allows seven.')).toBeVisible()
})

test('a stop that is no matter of judgement cannot be made at all', async ({ page }) => {
  await openFormula(page, 'Plain Tallow')
  await typeLine(page, 'shea 5%')
  await page.getByRole('button', { name: 'Make a batch' }).click()
  await expect(page.getByText('It cannot be made like this:')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Make it' })).toBeDisabled()
})
