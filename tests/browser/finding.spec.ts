import type { Page } from '@playwright/test'
import { expect, test } from './fixtures'

/* The one line that finds and does, by keyboard. */

const line = (page: Page) => page.getByRole('combobox', { name: /Find a formula or batch/ })
const hits = (page: Page) => page.getByRole('option')
async function type(page: Page, text: string) {
  await page.keyboard.press('/')
  await expect(line(page)).toBeFocused()
  await page.keyboard.type(text)
}

test('with nothing typed it shows what is due, and does it', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Hostel Bar' }).waitFor()
  await type(page, '')
  await expect(page.getByText('Before the day ends')).toBeVisible()
  await page.getByRole('option', { name: /^Test: Plain Tallow/ }).click()
  await expect(page.getByRole('dialog')).toContainText('Plain Tallow 34')
})

test('verbs: weigh a batch, make a formula, print, and why not', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Hostel Bar' }).waitFor()
  await type(page, 'weigh hostel')
  await expect(hits(page).first()).toContainText('Weigh Hostel Bar 30')
  // The planned batch says why it cannot be weighed.
  await expect(hits(page).filter({ hasText: 'not poured yet' })).toContainText('Hostel Bar')
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByLabel('Hostel Bar 30, bar 1')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)

  // Tab goes through what can be done with it.
  await type(page, 'hostel bar 30')
  await page.keyboard.press('Tab')
  await expect(hits(page).first()).toContainText('Weigh Hostel Bar 30')
  await page.keyboard.press('Tab')
  await expect(hits(page).first()).toContainText('Turn Hostel Bar 30')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Hostel Bar 30 is turned.')).toBeVisible()

  await type(page, 'make hostel bar')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Make a batch of Hostel Bar' })).toContainText(
    'bars',
  )
  await page.keyboard.press('Escape')

  await type(page, 'print fir')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/sheet$/)
})

test('materials, moulds, places, the network and the backup are found', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Hostel Bar' }).waitFor()
  for (const [typed, found] of [
    ['honey', 'Honey'],
    ['backup', 'Backup'],
    ['network', 'Network and devices'],
    ['ounces', 'Workshop settings'],
    ['drying room', 'Drying room'],
  ] as const) {
    await type(page, typed)
    await expect(hits(page).first()).toContainText(found)
    await page.keyboard.press('Escape')
  }
  await type(page, 'honey')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/materials\?find=Honey/)
  await expect(page.getByRole('searchbox').first()).toHaveValue('Honey')
})

test('many bars turned are one message with one way back', async ({ page }) => {
  await page.goto('/rack')
  const turn = page.getByRole('button', { name: /^Turn all due/ })
  await turn.click()
  const told = page.getByRole('status').filter({ hasText: /\d+ batches turned\./ })
  await expect(told).toHaveCount(1)
  await expect(turn).toBeHidden()
  await told.getByRole('button', { name: 'Undo' }).click()
  await expect(turn).toBeVisible()
})
