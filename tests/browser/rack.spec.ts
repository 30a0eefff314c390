import ICAL from 'ical.js'
import { v7 } from 'uuid'
import { send } from '../support/send'
import { confirm, expect, panel, plank, plannedBatch, test } from './fixtures'

test('one batch from the pour to the last bar', async ({ page, server }) => {
  const batch = await plannedBatch(server.url, 'Slip', 42)
  await page.goto(`/batches/${batch.id}`)
  await page.getByRole('button', { name: 'Mark as poured' }).click()
  await page.getByRole('dialog').getByLabel('On', { exact: true }).fill('2026-10-01')
  await confirm(page, 'It is poured')

  // Cut: weights and rejects make the yield.
  await page.getByRole('button', { name: 'Mark as cut' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('On', { exact: true }).fill('2026-10-02')
  await dialog.getByLabel('Bars', { exact: true }).fill('11')
  await dialog.getByLabel('Weight of a fresh bar').fill('125')
  await expect(dialog.getByText(/In good bars: \d\d % of the batter/)).toBeVisible()
  await dialog.getByText('Rejects and sides').click()
  await dialog.getByRole('button', { name: 'Add rejects' }).click()
  await confirm(page, 'It is cut')
  await expect(page.getByText(/^Cut, 11 bars of 125\.0 g, 1 crumbled edge$/)).toBeVisible()
  await expect(page.getByText('not known')).toBeVisible()

  // A strip of soap is enough: nobody is led on to the tongue.
  await page.getByRole('button', { name: 'Strip', exact: true }).click()
  await page.getByLabel('Reading of the strip').fill('9')
  await confirm(page, 'Keep the reading')
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText('Strip 9: 8 to 10 is soap.')).toBeVisible()
  await page.getByRole('button', { name: 'For sale', exact: true }).click()
  await page.getByLabel('On what it rests').fill('Strip on 23 November')
  await confirm(page, 'It may be sold')
  await expect(page.getByText('Strip on 23 November').first()).toBeVisible()

  // Weighed in a round, and what is odd is asked about.
  await page.goto('/rack')
  await plank(page, 'Mantle', /^Slip/).click()
  const day = (grams: number[], on: string) =>
    send(`${server.url}/api/batches/${batch.id}/events`, 'POST', {
      id: v7(),
      kind: 'weighed',
      day: on,
      bars: grams.map((one, place) => ({ bar: place + 1, grams: one })),
    })
  await day([124, 125, 126], '2026-10-02')
  await day([110, 111, 112], '2026-10-20')
  await page.reload()
  await plank(page, 'Mantle', /^Slip/).click()
  await expect(panel(page).getByText('Last, mean of 3 bars')).toBeVisible()
  await expect(panel(page).getByText('111.0 g')).toBeVisible()

  // Out in two goes; more than there are is refused in words.
  await panel(page).getByRole('button', { name: 'Take bars out' }).click()
  await dialog.getByLabel('Bars', { exact: true }).fill('7')
  await dialog.getByLabel('To whom').fill('Saturday ferry market')
  await confirm(page, 'Take them out')
  await expect(plank(page, 'Mantle', /Slip \d+, 4 bars/)).toBeVisible()
  await panel(page).getByRole('button', { name: 'Take bars out' }).click()
  await dialog.getByLabel('Bars', { exact: true }).fill('9')
  await expect(dialog.getByRole('alert')).toContainText('At most 4')
  await dialog.getByLabel('Bars', { exact: true }).fill('4')
  await confirm(page, 'Take them out')
  await expect(plank(page, 'Mantle', /^Slip/)).toBeHidden()
  await page.goto(`/batches/${batch.id}`)
  await expect(page.getByText('7 bars sold: Saturday ferry market')).toBeVisible()
  await expect(page.getByText('All gone', { exact: true })).toBeVisible()
})

test('a batch over 11 is locked: it says what to do and does not go out', async ({
  page,
  server,
}) => {
  const batch = await plannedBatch(
    server.url,
    'Sharp',
    28,
    { kind: 'poured', day: '2026-10-01' },
    { kind: 'cut', day: '2026-10-02', bars: 10 },
  )
  await page.goto('/rack')
  await plank(page, 'Last weeks', /^Sharp/).click()
  await panel(page).getByRole('button', { name: 'Strip', exact: true }).click()
  await page.getByLabel('Reading of the strip').fill('11.5')
  await expect(page.getByText('there may be free lye')).toBeVisible()
  await confirm(page, 'Keep the reading')
  await expect(panel(page).getByRole('status')).toContainText('locked: strip 11.5')
  await panel(page).getByRole('button', { name: 'Take bars out' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('It cannot be sold or given.')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Take them out' })).toBeDisabled()
  await dialog.getByLabel('To whom').fill('Nobody')
  await page.keyboard.press('Escape')
  // Tested again after three days, clean: it is free again.
  await send(`${server.url}/api/batches/${batch.id}/events`, 'POST', {
    id: v7(),
    kind: 'strip',
    day: '2026-11-23',
    ph: 9,
    where: 'lather',
    bar: 1,
  })
  await page.reload()
  await plank(page, 'Mantle', /^Sharp/).click()
  await expect(panel(page).getByText('strip 9, passed')).toBeVisible()
})

test('a year on the rack is drawn to its end', async ({ page, server }) => {
  await plannedBatch(
    server.url,
    'Long',
    365,
    { kind: 'poured', day: '2026-01-10' },
    { kind: 'cut', day: '2026-01-11', bars: 10 },
    { kind: 'weighed', day: '2026-01-11', bars: [{ bar: 1, grams: 120 }] },
    { kind: 'weighed', day: '2026-06-11', bars: [{ bar: 1, grams: 99 }] },
  )
  await page.goto('/rack')
  await plank(page, 'Drying', /^Long/).click()
  await expect(panel(page).getByText('365 days, 10 Jan 2027')).toBeVisible()
  await expect(panel(page).getByRole('img', { name: /Mass of the marked bars/ })).toBeVisible()
  await page.goto('/')
  await expect(page.getByRole('link', { name: /^10 Long \d+$/ })).toBeVisible()
})

test('a round at the scale: Enter goes on, an odd weight is asked about, all of it is kept', async ({
  page,
}) => {
  await page.goto('/rack')
  await expect(page.getByRole('button', { name: /^Turn all due/ })).toBeVisible()
  await page.keyboard.press('w')
  const dialog = page.getByRole('dialog')
  const bar = (number: number) => dialog.getByLabel(`Hostel Bar 30, bar ${number}`)
  await bar(1).fill('119.1')
  await bar(1).press('Enter')
  await expect(bar(2)).toBeFocused()
  await page.keyboard.type('131')
  await expect(dialog.getByText(/Heavier than last time/)).toBeVisible()
  await expect(dialog.getByRole('button', { name: /^Keep/ })).toBeDisabled()
  await bar(2).fill('122.4')
  await bar(3).fill('118.6')
  await dialog.getByRole('button', { name: 'Keep 3 weights' }).click()
  await expect(dialog).toHaveCount(0)
  await plank(page, 'Drying', /^Hostel Bar 30/).click()
  await expect(panel(page).getByText('120.0 g')).toBeVisible()
  await page.getByRole('button', { name: /^Turn all due/ }).click()
  await expect(page.getByRole('button', { name: /^Turn all due/ })).toBeHidden()
})

test('by keyboard alone: three bars in few keys, a strip in fewer, a formula from nothing', async ({
  page,
}) => {
  let keys = 0
  const press = (key: string) => {
    keys++
    return page.keyboard.press(key)
  }
  const dialog = page.getByRole('dialog')
  await page.goto('/rack')
  await plank(page, 'Drying', /^Hostel Bar 30/).waitFor()
  // Nothing is due to be weighed today: all that dries is in the round, newest first.
  await press('w')
  await expect(dialog.getByLabel('Plain Tallow 34, bar 1')).toBeFocused()
  await page.keyboard.type('121.1')
  await press('Enter')
  await page.keyboard.type('125.0')
  await press('Enter')
  await page.keyboard.type('122.9')
  await press('Control+Enter')
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText('Plain Tallow 34 is weighed.')).toBeVisible()
  expect(keys).toBeLessThanOrEqual(12)

  keys = 0
  await press('s')
  await expect(dialog.getByLabel(/^Strip of/).first()).toBeFocused()
  await page.keyboard.type('9')
  await press('Enter')
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText(/: strip 9\./)).toBeVisible()
  expect(keys).toBeLessThanOrEqual(4)

  await press('/')
  await page.keyboard.type('new formula')
  await press('Enter')
  await expect(page).toHaveURL(/\/formulas\/[0-9a-f-]{36}$/)
  await expect(page.getByLabel('Add a line by typing')).toBeFocused()
  for (const line of ['olive 70%', 'coconut 30%']) {
    await page.keyboard.type(line)
    await press('Enter')
    await expect(page.getByLabel('Add a line by typing')).toHaveValue('')
  }
  await expect(page.getByTestId('lye')).toContainText('g')
})

test('the calendar opens in a parser, by a private address that can be changed', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Calendar' }).click()
  await expect(page.getByLabel('Private address')).toHaveValue(/\.ics$/)
  const address = await page.getByLabel('Private address').inputValue()
  const text = await (await page.request.get(address)).text()
  const calendar = new ICAL.Component(ICAL.parse(text) as never)
  const entries = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))
  const summaries = entries.map(({ summary }) => summary)
  expect(summaries).toContain('Unmould and cut Fir & Smoke 35')
  expect(summaries).toContain('Ready: Market Rose 26')
  expect(entries.every(({ startDate, endDate }) => endDate.compare(startDate) > 0)).toBe(true)
  expect(new Set(entries.map(({ uid }) => uid)).size).toBe(entries.length)
  await page.getByRole('button', { name: 'Another address' }).click()
  await expect(page.getByLabel('Private address')).not.toHaveValue(address)
  expect((await page.request.get(address)).status()).toBe(404)
})
