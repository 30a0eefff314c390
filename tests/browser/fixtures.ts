import { test as base, expect, type Page } from '@playwright/test'
import { TestServer } from '../support/server'

interface Fixtures {
  /** Whether the test starts in the demo workshop or in an empty one. */
  workshop: 'demo' | 'empty'
  server: TestServer
}

/** Each test has a server and a database of its own; pages that log an error fail it. */
export const test = base.extend<Fixtures>({
  workshop: ['demo', { option: true }],
  server: async ({ workshop }, use) => {
    const server = await TestServer.start(
      workshop === 'demo' ? process.env.MANTLE_TEMPLATE : undefined,
    )
    await use(server)
    await server.stop()
  },
  baseURL: async ({ server }, use) => use(server.url),
  page: async ({ page }, use) => {
    const problems: string[] = []
    page.on('pageerror', (error) => problems.push(error.message))
    await use(page)
    expect(problems).toEqual([])
  },
})
export { expect }

/** Waits until the server has acknowledged the formula on screen. */
export async function saved(page: Page): Promise<void> {
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
}

/** What the typed line may mean. */
export const suggestions = (page: Page) => page.locator('[role="listbox"] [role="option"]')

/** Types one line into the open formula with the keyboard. */
export async function typeLine(page: Page, line: string): Promise<void> {
  await page.getByLabel('Add a line by typing').focus()
  await page.keyboard.type(line)
  await expect(suggestions(page).first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Add a line by typing')).toHaveValue('')
}

/** Opens a formula of the demo workshop by its name. */
export async function openFormula(page: Page, name: string): Promise<void> {
  await page.goto('/formulas')
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue(name)
}
