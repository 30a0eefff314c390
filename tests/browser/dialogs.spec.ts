import type { Page } from '@playwright/test'
import { expect, openFormula, panel, plank, test } from './fixtures'

/* What is typed into a dialog is not lost by a slip, and the focus is never on nothing. */

const dialog = (page: Page) => page.getByRole('dialog')
/** The dialog itself has no extent; its way out has. */
const shut = (page: Page) => dialog(page).getByRole('button', { name: 'Close' })
const focused = (page: Page) => page.evaluate(() => document.activeElement?.tagName)

test('weights that are typed outlive a click outside, Escape and a reload', async ({ page }) => {
  await page.goto('/rack')
  await expect(page.getByRole('button', { name: /^Turn all due/ })).toBeVisible()
  await page.keyboard.press('w')
  const bar = (number: number) => dialog(page).getByLabel(`Hostel Bar 30, bar ${number}`)
  await bar(1).fill('119.1')
  await bar(2).fill('122.4')
  await page.mouse.click(8, 400)
  await expect(bar(2)).toHaveValue('122.4')
  // Escape asks; once more goes on as if nothing had been.
  await page.keyboard.press('Escape')
  const asks = dialog(page).getByRole('group', { name: 'Not kept yet' })
  await expect(asks).toContainText('Keep 2 weights?')
  await expect(asks.getByRole('button', { name: 'Go on typing' })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(asks).toBeHidden()
  await expect(bar(1)).toHaveValue('119.1')
  await page.reload()
  await expect(page.getByRole('button', { name: /^Turn all due/ })).toBeVisible()
  await page.keyboard.press('w')
  await expect(bar(1)).toHaveValue('119.1')
  await bar(3).fill('118.6')
  await page.keyboard.press('Escape')
  await asks.getByRole('button', { name: 'Keep 3 weights' }).click()
  await expect(dialog(page)).toHaveCount(0)
  await expect(page.getByText('Hostel Bar 30 is weighed.')).toBeVisible()
  expect(await focused(page)).not.toBe('BODY')
  // Kept is kept: the next round begins empty.
  await page.keyboard.press('w')
  await expect(bar(1)).toHaveValue('')
})

test('what is thrown away is thrown away by a word, and what holds at once is not asked about', async ({
  page,
}) => {
  await page.goto('/formulas/moulds')
  const opener = page.getByRole('button', { name: 'New mould' })
  await opener.press('Enter')
  await dialog(page).getByRole('textbox', { name: 'Name' }).fill('Plank of driftwood')
  await page.mouse.click(8, 400)
  await expect(shut(page)).toBeVisible()
  await shut(page).click()
  await expect(dialog(page)).toContainText('1 field is not kept.')
  await dialog(page).getByRole('button', { name: 'Throw away' }).click()
  await expect(dialog(page)).toHaveCount(0)
  await expect(opener).toBeFocused()
  await opener.press('Enter')
  await expect(dialog(page).getByRole('textbox', { name: 'Name' })).not.toHaveValue(
    'Plank of driftwood',
  )
})

test('focus goes back to what opened a dialog, and to a neighbour of what was deleted', async ({
  page,
}) => {
  await openFormula(page, 'Estuary Hands')
  const openers = [
    page.getByRole('button', { name: /^Size:/ }),
    page.getByRole('button', { name: 'Make a batch' }),
    page.getByRole('button', { name: 'as a discount' }),
    page.getByRole('button', { name: 'Regions' }),
    page.getByRole('button', { name: 'Why this much lye?' }),
  ]
  for (const opener of openers) {
    await opener.press('Enter')
    await expect(shut(page)).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(dialog(page)).toHaveCount(0)
    await expect(opener).toBeFocused()
  }
  const more = page.getByRole('button', { name: 'More for Lard' })
  await more.press('Enter')
  await page.getByRole('menuitem', { name: 'Swap this fat for…' }).press('Enter')
  await expect(shut(page)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(dialog(page)).toHaveCount(0)
  await expect(more).toBeFocused()

  await page.goto('/rack')
  await plank(page, 'Drying', /^Hostel Bar 30/).press('Enter')
  const strip = panel(page).getByRole('button', { name: 'Strip' })
  await strip.press('Enter')
  await expect(shut(page)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(strip).toBeFocused()

  await page.goto('/formulas')
  await page.getByRole('button', { name: 'More for Dish Slate' }).press('Enter')
  await page.getByRole('menuitem', { name: 'Delete' }).press('Enter')
  await expect(page.getByRole('link', { name: 'Dish Slate' })).toBeHidden()
  await expect.poll(() => focused(page)).not.toBe('BODY')
})

test('the way back waits while somebody is at it', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('button', { name: 'More for Dish Slate' }).click()
  await page.clock.install()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  const undo = page.getByRole('button', { name: 'Undo' })
  await undo.focus()
  await page.clock.runFor(20_000)
  await undo.press('Enter')
  await expect(page.getByRole('link', { name: 'Dish Slate' })).toBeVisible()
})
