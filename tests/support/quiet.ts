import type { Page } from '@playwright/test'

/** ms without anything new to load after which a page has what it needs. */
const calm = 250

/** Waits until a page loads nothing more. The line that all windows share stays open, so the network as such is never idle. */
export async function quiet(page: Page): Promise<void> {
  const count = () => page.evaluate(() => performance.getEntriesByType('resource').length)
  for (let before = -1, now = await count(); now !== before; now = await count()) {
    before = now
    await page.waitForTimeout(calm)
  }
}
