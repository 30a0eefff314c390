import { expect, type Page } from '@playwright/test'
import { space } from './quiet'

const heading = (page: Page, says: string | RegExp) =>
  expect(page.getByRole('heading', { level: 1, name: says })).toBeVisible()

/** From the first step of the bench to where everything is laid out. */
export async function dress(page: Page): Promise<void> {
  for (const digit of ['1', '2', '3', '4', '5']) await page.keyboard.press(digit)
  await expect(page.getByText('Dressed, room is clear')).toBeVisible()
  await space(page)
  await heading(page, 'Line or grease the mould')
  await space(page)
  await heading(page, 'Lay everything out')
  await space(page)
}

/** A rehearsal from there to its end by keyboard: every weighing is 500 g, right or not; time runs sixty times as fast. */
export async function rehearse(page: Page): Promise<void> {
  await page.getByRole('button', { name: '60×' }).click()
  for (;;) {
    const title = (await page.getByRole('heading', { level: 1 }).textContent()) ?? ''
    if (/rehearsal is over/.test(title)) return
    if (/^Weigh/.test(title)) {
      await page.keyboard.type('500')
      await page.keyboard.press('k')
      // Too much of it is asked about, also when it is called enough; this one goes on as it is.
      const asked = page.getByRole('group', { name: 'Too much', exact: true })
      const gone = page.getByRole('heading', { level: 1 }).filter({ hasNotText: title })
      await asked.or(gone).first().waitFor()
      if (await asked.isVisible()) await page.keyboard.press('3')
    } else if (/emulsion|trace$/.test(title)) {
      await page.keyboard.press('3')
      await space(page)
    } else {
      await space(page)
      if (/^Let the/.test(title)) await space(page)
    }
    await expect(page.getByRole('heading', { level: 1, name: title, exact: true })).toBeHidden()
  }
}
