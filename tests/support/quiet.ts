import type { Page } from '@playwright/test'

/** ms without anything new to load after which a page has what it needs. */
const calm = 250

/** Waits until a page loads nothing more. The line that all windows share stays open, so the network as such is never idle. */
export const quiet = (page: Page): Promise<unknown> =>
  // As text: what the runner of a script does to functions does not run in the page.
  page.evaluate(`new Promise((done) => {
    const end = () => {
      watch.disconnect()
      done()
    }
    const watch = new PerformanceObserver(() => {
      clearTimeout(timer)
      timer = setTimeout(end, ${calm})
    })
    let timer = setTimeout(end, ${calm})
    watch.observe({ type: 'resource' })
  })`)

/** The main key of the bench: a step that has just come up takes it only after a moment, since keys bounce. */
export async function space(page: Page): Promise<void> {
  await page.waitForFunction(() => !document.querySelector('button[aria-busy="true"]'))
  await page.keyboard.press('Space')
}
