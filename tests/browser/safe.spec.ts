import type { BrowserContext, Page } from '@playwright/test'
import { v7 } from 'uuid'
import type { Backups } from '../../contracts/backup'
import type { Batch } from '../../contracts/batch'
import type { Run } from '../../contracts/run'
import type { FormulaVersion } from '../../contracts/version'
import type { StoredFormula } from '../../contracts/workshop'
import { blankFormula } from '../../core/formula/blank'
import { send } from '../support/send'
import { expect, openFormula, saved, test } from './fixtures'

const superfat = (page: Page) => page.getByRole('textbox', { name: 'Superfat', exact: true })
const batches = async (url: string) => (await send<Batch[]>(`${url}/api/batches`, 'GET')).body
const batchOf = async (url: string, id: string) =>
  (await send<Batch>(`${url}/api/batches/${id}`, 'GET')).body

test('a lost answer and a second press keep one event', async ({ page, server }) => {
  const { id } = (await batches(server.url)).find(({ number }) => number === 30)!
  await page.goto(`/batches/${id}`)
  const before = (await batchOf(server.url, id)).events.length
  await page.getByRole('button', { name: 'Note or photo' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Note', { exact: true }).fill('Smells of smoke still')
  // The server takes it, and its answer is lost on the way.
  let lost = 0
  await page.route('**/api/batches/*/events', async (route) => {
    if (lost++ < 2) {
      await route.fetch()
      await route.abort()
    } else await route.continue()
  })
  await dialog.getByRole('button', { name: 'Keep it' }).dblclick()
  await expect(page.getByText('1 not sent yet')).toBeVisible()
  await page.reload()
  await expect(page.getByText('1 not sent yet')).toBeHidden()
  const { events } = await batchOf(server.url, id)
  expect(events.length).toBe(before + 1)
  expect(events.at(-1)).toMatchObject({ kind: 'noted', note: 'Smells of smoke still' })
})

test('what is told while Mantle is away waits through a reload and is sent by itself', async ({
  page,
  server,
}) => {
  const { id } = (await batches(server.url)).find(({ number }) => number === 30)!
  await page.goto(`/batches/${id}`)
  await page.route('**/api/batches/*/events', (route) => route.abort())
  await page.getByRole('button', { name: 'Note or photo' }).click()
  await page.getByRole('dialog').getByLabel('Note', { exact: true }).fill('Told in a dead spot')
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('It is kept on this device and sent by itself')).toBeVisible()
  await page.reload()
  await expect(page.getByText('1 not sent yet')).toBeVisible()
  await page.unroute('**/api/batches/*/events')
  await expect(page.getByText('1 not sent yet')).toBeHidden()
  expect((await batchOf(server.url, id)).events.at(-1)).toMatchObject({
    note: 'Told in a dead spot',
  })
})

/** Two windows of one formula that both changed it. */
async function clash(page: Page, context: BrowserContext, name: string): Promise<Page> {
  await openFormula(page, name)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(superfat(other)).toBeVisible()
  await superfat(other).fill('9')
  await saved(other)
  await superfat(page).fill('3')
  await expect(page.getByText('Changed elsewhere too')).toBeVisible()
  return other
}

test('two windows clash: both drafts survive a reload, what is left stands under Versions', async ({
  page,
  context,
  server,
}) => {
  const other = await clash(page, context, 'Plain Tallow')
  // A second clash in the other window, with a draft of its own.
  const id = page.url().split('/').pop()!
  const { body: now } = await send<StoredFormula>(`${server.url}/api/formulas/${id}`, 'GET')
  await send(`${server.url}/api/formulas/${id}`, 'PUT', {
    revision: now.revision,
    document: { ...now.document, superfat: 0.07 },
  })
  await superfat(other).fill('10')
  await expect(other.getByText('Changed elsewhere too')).toBeVisible()
  for (const window of [page, other]) await window.reload()
  await expect(superfat(page)).toHaveValue('3')
  await expect(superfat(other)).toHaveValue('10')
  await expect(page.getByText('Changed elsewhere too')).toBeVisible()
  await page.getByRole('link', { name: 'See both' }).click()
  await expect(
    page.getByRole('heading', { name: 'Two windows changed Plain Tallow' }),
  ).toBeVisible()
  await expect(page.getByRole('button', { name: 'Choose the superfat first' })).toBeDisabled()
  await page.keyboard.press('3')
  await page.getByRole('button', { name: 'Keep them together' }).click()
  await saved(page)
  await expect(superfat(page)).toHaveValue('3')
  const { body: versions } = await send<FormulaVersion[]>(
    `${server.url}/api/formulas/${id}/versions`,
    'GET',
  )
  expect(versions.slice(0, 1).map(({ document }) => document.superfat)).toEqual([0.07])
  // The other window's draft is untouched by that.
  await other.reload()
  await expect(superfat(other)).toHaveValue('10')
  await other.getByRole('link', { name: 'See both' }).click()
  await other.getByRole('button', { name: 'Keep both as two' }).click()
  await expect(other.getByLabel('Name of the formula')).toHaveValue('Plain Tallow, mine')
  await expect(superfat(other)).toHaveValue('10')
})

test('what two windows changed apart goes together', async ({ page, context }) => {
  await openFormula(page, 'Hostel Bar')
  const other = await context.newPage()
  await other.goto(page.url())
  await other.getByLabel('Olive oil, share of oils').fill('40')
  await other.getByLabel('Coconut oil, melts at 24 °C, share of oils').fill('28')
  await saved(other)
  await superfat(page).fill('5')
  await page.getByRole('link', { name: 'See both' }).click()
  await expect(page.getByText('3 were changed on one side only and go together.')).toBeVisible()
  await page.getByRole('button', { name: 'Keep them together' }).click()
  await saved(page)
  await expect(superfat(page)).toHaveValue('5')
  await expect(page.getByLabel('Olive oil, share of oils')).toHaveValue('40')
})

test('a formula of 70 kB saves', async ({ page, server }) => {
  await openFormula(page, 'Plain Tallow')
  const id = page.url().split('/').pop()!
  const { body } = await send<StoredFormula>(`${server.url}/api/formulas/${id}`, 'GET')
  const names = Array.from({ length: 30 }, (_, n) => `Scent ${n} `.padEnd(110, 'of smoke and fir '))
  const document = {
    ...body.document,
    additives: Array.from({ length: 60 }, (_, line) => ({
      id: `own-clay-of-a-very-long-name-that-only-a-machine-would-ever-write-${line}`,
      amount: { value: 1, unit: 'tsp', per: 'kg' },
    })),
    fats: [
      ...body.document.fats,
      ...Array.from({ length: 50 }, (_, n) => ({
        id: 'olive',
        name: `Olive ${n} `.padEnd(115, 'of the old grove '),
        share: 0,
      })),
    ],
    notes: 'Ash and lye. '.repeat(1500).slice(0, 19_900),
    scents: names.map((name, n) => ({ id: `scent-${n}`, name, rate: 0.0001 })),
    parts: Array.from({ length: 12 }, (_, n) => ({
      name: `Pot ${n} `.padEnd(110, 'x'),
      share: 1 / 12,
      additives: Array.from({ length: 20 }, (_, line) => ({
        id: `own-charcoal-of-a-very-long-name-that-only-a-machine-would-write-${line}`,
        amount: { value: 1, unit: 'tsp', per: 'kg' },
      })),
    })),
  }
  await send(`${server.url}/api/formulas/${id}`, 'PUT', { revision: body.revision, document })
  await page.reload()
  await superfat(page).fill('9')
  await saved(page)
  const { body: kept } = await send<StoredFormula>(`${server.url}/api/formulas/${id}`, 'GET')
  expect(JSON.stringify(kept.document).length).toBeGreaterThan(70_000)
  expect(kept.document.superfat).toBe(0.09)
})

test('blocked storage breaks nothing, and is told where it matters', async ({ page, server }) => {
  await page.addInitScript(() => {
    for (const name of ['localStorage', 'sessionStorage'])
      Object.defineProperty(window, name, {
        get() {
          throw new DOMException('denied', 'SecurityError')
        },
      })
  })
  for (const [path, heading] of [
    ['/rack', /Rack|racks/],
    ['/formulas/find', 'Find a formula'],
    ['/bench', 'At the bench'],
    ['/', /November/],
  ] as const) {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible()
  }
  await openFormula(page, 'Plain Tallow')
  await superfat(page).fill('9')
  await saved(page)
  await server.kill()
  await superfat(page).fill('8')
  await expect(page.getByText('this browser keeps nothing: leave this window open')).toBeVisible()
  await server.run()
  await saved(page)
})

const slip = {
  ...blankFormula('Slip'),
  fats: [
    { id: 'coconut', share: 0.3 },
    { id: 'olive', share: 0.7 },
  ],
}
async function planned(url: string): Promise<Batch> {
  const formulaId = v7()
  await send(`${url}/api/formulas/${formulaId}`, 'PUT', { revision: 0, document: slip })
  const order = {
    id: v7(),
    formulaId,
    revision: 1,
    bars: 12,
    cure: { rule: 'most', days: 42 },
  }
  return (await send<Batch>(`${url}/api/batches`, 'POST', order)).body
}
async function begin(page: Page, batch: Batch) {
  await page.goto(`/bench/${batch.id}`)
  await page.getByRole('button', { name: 'Start at the bench' }).press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: /^Clear the room/ })).toBeVisible()
}
const runOf = async (url: string, batch: Batch) =>
  (await send<Run>(`${url}/api/batches/${batch.id}/run`, 'GET')).body
const backedUp = async (url: string) => {
  const { body } = await send<{ backups: Backups }>(`${url}/api/backups`, 'POST')
  return body.backups.archives[0]!.name
}

test('a workshop put back to yesterday during a run gets what it lacks from the tablet', async ({
  page,
  server,
}) => {
  const batch = await planned(server.url)
  const archive = await backedUp(server.url)
  await begin(page, batch)
  for (const digit of ['1', '2', '3']) await page.keyboard.press(digit)
  await expect(page.getByText('kept', { exact: true })).toBeVisible()
  const before = await runOf(server.url, batch)
  expect(before.events).toHaveLength(3)
  await send(`${server.url}/api/backups/${archive}/restore`, 'POST')
  // The run had not begun then: the tablet begins it again and sends all of it.
  await expect
    .poll(async () => (await runOf(server.url, batch)).events?.map(({ id }) => id))
    .toEqual(before.events.map(({ id }) => id))
  await page.keyboard.press('4')
  await expect.poll(async () => (await runOf(server.url, batch)).events.length).toBe(4)
  await expect(page.getByText('kept', { exact: true })).toBeVisible()
})

test('put back to before the batch itself, the tablet says that nobody else has it', async ({
  page,
  server,
}) => {
  const archive = await backedUp(server.url)
  const batch = await planned(server.url)
  await begin(page, batch)
  for (const digit of ['1', '2']) await page.keyboard.press(digit)
  await expect(page.getByText('kept', { exact: true })).toBeVisible()
  await send(`${server.url}/api/backups/${archive}/restore`, 'POST')
  await expect(page.getByText('2 only on this device')).toBeVisible()
  await expect(page.getByText('a state in which this batch does not exist')).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save them as a file' }).click()
  expect((await download).suggestedFilename()).toBe('slip-bench.json')
  await page.reload()
  await expect(page.getByText('2 only on this device')).toBeVisible()
})

test('what was told of a batch since is offered to be sent again', async ({ page, server }) => {
  const { id } = (await batches(server.url)).find(({ number }) => number === 30)!
  const archive = await backedUp(server.url)
  await page.goto(`/batches/${id}`)
  await page.getByRole('button', { name: 'Note or photo' }).click()
  await page.getByRole('dialog').getByLabel('Note', { exact: true }).fill('Told after the backup')
  // The dialog is gone at once; what it told is on its way. Put back before it is answered, it would be sent again by itself.
  const answered = page.waitForResponse((answer) => answer.url().endsWith(`/${id}/events`))
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  expect((await answered).status()).toBe(200)
  await send(`${server.url}/api/backups/${archive}/restore`, 'POST')
  await expect(page.getByText('1 thing told here since is not in it.')).toBeVisible()
  await page.getByRole('button', { name: 'Send it again' }).click()
  await expect
    .poll(async () => (await batchOf(server.url, id)).events.at(-1))
    .toMatchObject({ kind: 'noted', note: 'Told after the backup' })
})

test('seven windows at the bench all listen, and an eighth still opens', async ({
  page,
  context,
  server,
}) => {
  const batch = await planned(server.url)
  await begin(page, batch)
  const others: Page[] = []
  for (let n = 0; n < 6; n++) {
    const other = await context.newPage()
    await other.goto(`/bench/${batch.id}/make`)
    await expect(other.getByRole('heading', { level: 1, name: /^Clear the room/ })).toBeVisible()
    others.push(other)
  }
  for (const digit of ['1', '2', '3', '4', '5']) await page.keyboard.press(digit)
  await expect(page.getByText('Dressed, room is clear')).toBeVisible()
  for (const other of others) await expect(other.getByText('Dressed, room is clear')).toBeVisible()
  const eighth = await context.newPage()
  await eighth.goto('/rack')
  await expect(eighth.getByRole('heading', { level: 1 })).toBeVisible()
})

test('backup in the app: made, looked at, gone back to, and today brought back', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByText('Nothing of this is backed up yet.')).toBeVisible()
  await page.getByRole('link', { name: 'Backup' }).click()
  const card = page.getByRole('region', { name: 'Backup' })
  await expect(card.getByText('No backup yet')).toBeVisible()
  await card.getByRole('button', { name: 'Back up now' }).click()
  await expect(card.getByText('Under an hour old, whole')).toBeVisible()
  await openFormula(page, 'Plain Tallow')
  await superfat(page).fill('9')
  await saved(page)
  await page.goto('/workshop')
  await card.getByRole('button', { name: /^Look at the backup/ }).click()
  await expect(card.getByText('Formula Plain Tallow, as it is now')).toBeVisible()
  await card.getByRole('button', { name: 'Go back to it' }).click()
  await page.getByRole('button', { name: 'Go back', exact: true }).click()
  await expect(page.getByText('The workshop is as it was then.')).toBeVisible()
  await openFormula(page, 'Plain Tallow')
  await expect(superfat(page)).not.toHaveValue('9')
  await page.goto('/workshop')
  await card.getByRole('button', { name: /^Bring back what was set aside/ }).click()
  await expect(page.getByText('The workshop is as it was before.')).toBeVisible()
  await openFormula(page, 'Plain Tallow')
  await expect(superfat(page)).toHaveValue('9')
})

test('a folder that cannot be, for the backups of every day, is told and what was typed stays', async ({
  page,
}) => {
  await page.goto('/workshop')
  await page.getByRole('button', { name: 'by hand only' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Into the folder').fill('/proc/nowhere')
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await expect(dialog.getByRole('alert')).toContainText('/proc/nowhere')
  await expect(dialog.getByLabel('Into the folder')).toHaveValue('/proc/nowhere')
})

test('devices: opened with a warning, a key for a scale, rights as words, locked out', async ({
  page,
  server,
}) => {
  await page.goto('/workshop')
  const card = page.getByRole('region', { name: 'Devices, and what each may do' })
  await card.getByLabel('Open to the local network').check()
  await expect(card.getByText('nothing is encrypted on the way')).toBeVisible()
  await card.getByRole('button', { name: 'A key for a scale' }).click()
  await expect(card.getByText('sends its readings to the bench, no more')).toHaveCount(2)
  await card.getByRole('button', { name: 'Pair one' }).click()
  const code = (await card.getByText(/^\d{3} \d{3}$/).textContent())!.replace(' ', '')
  await fetch(`http://127.0.0.1:${server.networkPort}/pair`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ code, name: 'Idris’s tablet' }),
  })
  await page.reload()
  const tablet = card.getByRole('group', { name: 'What Idris’s tablet may do' })
  await expect(tablet.getByRole('button', { name: 'settings' })).toHaveAttribute(
    'aria-pressed',
    'false',
  )
  await tablet.getByRole('button', { name: 'settings' }).click()
  await expect(tablet.getByRole('button', { name: 'settings' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await card
    .getByRole('listitem')
    .filter({ hasText: 'Idris’s tablet' })
    .getByRole('button', { name: 'Lock out' })
    .click()
  await expect(card.getByText('Idris’s tablet')).toBeHidden()
})

test('stations can be read while Mantle is away, and say so', async ({ page, server }) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Hostel Bar' }).click()
  await page.getByTestId('lye').waitFor()
  const lye = await page.getByTestId('lye').textContent()
  const { pathname } = new URL(page.url())
  const isKept = (path: string) => page.evaluate((url) => caches.match(url).then(Boolean), path)
  await expect.poll(() => isKept(`/api${pathname}`)).toBe(true)
  await expect.poll(() => isKept('/api/batches')).toBe(true)
  await expect.poll(() => isKept('/api/versions')).toBe(true)
  await server.kill()
  const away = page.getByText(/^Mantle is away: as of \d\d:\d\d$/)
  // A formula that was looked at, and stations nobody has been to in this window.
  await page.reload()
  await expect(page.getByTestId('lye')).toHaveText(lye!)
  await expect(away).toBeVisible()
  await page.goto('/rack')
  await expect(
    page.getByRole('region', { name: 'Drying' }).getByText('Hostel Bar 30'),
  ).toBeVisible()
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Bars ready in the next 12 weeks' })).toBeVisible()
  await expect(away).toBeVisible()
  await server.run()
  await page.goto('/rack')
  await expect(
    page.getByRole('region', { name: 'Drying' }).getByText('Hostel Bar 30'),
  ).toBeVisible()
  await expect(away).toHaveCount(0)
})

test('a newer Mantle is announced to a page that is open', async ({ browser, server }) => {
  // A worker would answer in place of the route below.
  const context = await browser.newContext({ serviceWorkers: 'block' })
  const page = await context.newPage()
  await page.route('**/api/batches', async (route) => {
    const answer = await route.fetch()
    const headers = { ...answer.headers(), 'x-mantle-build': 'another' }
    await route.fulfill({ response: answer, headers })
  })
  await page.goto(`${server.url}/formulas`)
  await page.getByRole('link', { name: 'Hostel Bar' }).waitFor()
  const reload = page.getByRole('button', { name: 'Reload' })
  await expect(reload).toBeVisible()
  await page.unroute('**/api/batches')
  await reload.click()
  await page.getByRole('link', { name: 'Hostel Bar' }).waitFor()
  await expect(reload).toBeHidden()
  await context.close()
})
