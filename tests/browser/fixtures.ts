import { test as base, expect, type Page } from '@playwright/test'
import { v7 } from 'uuid'
import type { Batch, NewBatchEvent } from '../../contracts/batch'
import { blankFormula } from '../../core/formula/blank'
import { send } from '../support/send'
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

/** Types one line into the open formula with the keyboard. */
export async function typeLine(page: Page, line: string): Promise<void> {
  await page.getByLabel('Add a line by typing').focus()
  await page.keyboard.type(line)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Add a line by typing')).toHaveValue('')
}

/** Opens a formula of the demo workshop by its name. */
export async function openFormula(page: Page, name: string): Promise<void> {
  await page.goto('/formulas')
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue(name)
}

/** A batch of a formula, planned, with what happened to it. */
export async function plannedBatch(
  url: string,
  name: string,
  days: number,
  ...events: NewBatchEvent[]
) {
  const formulaId = v7()
  await send(`${url}/api/formulas/${formulaId}`, 'PUT', {
    revision: 0,
    document: {
      ...blankFormula(name),
      fats: [
        { id: 'olive', share: 0.7 },
        { id: 'coconut', share: 0.3 },
      ],
    },
  })
  const { body } = await send<Batch>(`${url}/api/batches`, 'POST', {
    id: v7(),
    formulaId,
    revision: 1,
    bars: 12,
    cure: { rule: 'most', days },
  })
  for (const event of events)
    await send(`${url}/api/batches/${body.id}/events`, 'POST', { id: v7(), ...event })
  return body
}
/** Answers the typed line offers. */
export const answers = (page: Page) => page.getByRole('listbox', { name: 'Answers' })

/** Sizes the open formula by the weight of all its oils. */
export async function sizeOils(page: Page, weight: string): Promise<void> {
  await page.getByRole('button', { name: /^Size:/ }).click()
  await page.getByRole('dialog').getByLabel('Weight of all oils').fill(weight)
  await page.getByRole('button', { name: /^Use it/ }).click()
}

/** Bars on a plank of the rack. */
export const plank = (page: Page, name: string, bar: RegExp) =>
  page.getByRole('region', { name }).getByRole('button', { name: bar })
/** What is told of the chosen batch beside the rack. */
export const panel = (page: Page) => page.getByRole('complementary', { name: 'The chosen batch' })
/** Presses a button of the open dialog. */
export const confirm = (page: Page, says: string) =>
  page.getByRole('dialog').getByRole('button', { name: says }).click()

/** Goes from the rack to the page of a batch; both have the same menu, so it waits for the page. */
export async function openBatch(page: Page, name: string, bar: RegExp) {
  await page.goto('/rack')
  await plank(page, name, bar).click()
  await panel(page)
    .getByRole('link', { name: /^Open batch/ })
    .click()
  await expect(page.getByRole('heading', { level: 1, name: bar })).toBeVisible()
}
