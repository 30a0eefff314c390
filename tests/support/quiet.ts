import type { Page } from '@playwright/test'

/** ms without anything new to load after which a page has what it needs. */
const calm = 250

/** Waits until a page loads nothing more. The line that all windows share stays open, so the network as such is never idle. */
export const quiet = (page: Page): Promise<void> =>
  page.evaluate(
    (ms) =>
      new Promise<void>((done) => {
        const watch = new PerformanceObserver(() => {
          clearTimeout(timer)
          timer = setTimeout(end, ms)
        })
        const end = () => {
          watch.disconnect()
          done()
        }
        let timer = setTimeout(end, ms)
        watch.observe({ type: 'resource' })
      }),
    calm,
  )

/** The main key of the bench: a step that has just come up takes it only after a moment, since keys bounce. */
export async function space(page: Page): Promise<void> {
  await page.waitForFunction(() => !document.querySelector('button[aria-busy="true"]'))
  await page.keyboard.press('Space')
}
