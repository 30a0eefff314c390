import { PNG } from 'pngjs'
import { expect, panel, plank, test } from './fixtures'
import { quiet } from '../support/quiet'

/* What the eye meets: colours of the reader's own, the dark, twice the size, many ticked at once. */

test('in forced colours the main key differs from its ground, and ticks are told by more than a colour', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' })
  await page.goto('/rack')
  const key = panel(page).getByRole('link', { name: /^Open batch/ })
  await quiet(page)
  const colours = await key.evaluate((element) => {
    const at = getComputedStyle(element)
    return {
      ground: getComputedStyle(element.parentElement!).backgroundColor,
      fill: at.backgroundColor,
      text: at.color,
      border: at.borderTopWidth,
    }
  })
  expect(colours.fill).not.toBe(colours.ground)
  expect(colours.text).not.toBe(colours.fill)
  expect(parseFloat(colours.border)).toBeGreaterThanOrEqual(1)
  // As it is painted: a pixel inside the key against one of the sheet beside it.
  const box = (await key.boundingBox())!
  const clip = { x: box.x - 6, y: box.y + box.height / 2, width: 16, height: 1 }
  const painted = PNG.sync.read(await page.screenshot({ clip }))
  const pixel = (x: number) => [...painted.data.subarray(x * 4, x * 4 + 3)]
  expect(pixel(14)).not.toEqual(pixel(1))
  await page.getByRole('button', { name: 'Tick several' }).click()
  await plank(page, 'Mantle', /^Ferry Shave/).click()
  await expect(plank(page, 'Mantle', /^Ferry Shave/)).toHaveAttribute('aria-pressed', 'true')
  await expect(plank(page, 'Mantle', /^Ferry Shave/)).toContainText('✓')
})

test('dark by choice, kept on this device; paper stays light', async ({ page }) => {
  await page.goto('/workshop')
  const theme = page.getByRole('radiogroup', { name: 'Light or dark, on this device' })
  await theme.getByText('dark').click()
  const ground = () =>
    page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor)
  const light = 'rgb(238, 241, 238)'
  await expect.poll(ground).not.toBe(light)
  await page.reload()
  await expect(theme.getByLabel('dark')).toBeChecked()
  await expect.poll(ground).toBe('rgb(23, 29, 31)')
  await page.emulateMedia({ media: 'print' })
  await expect.poll(() => page.evaluate(() => document.documentElement.dataset.theme)).toBe('light')
  await page.emulateMedia({ media: 'screen' })
  await theme.getByText('as the device').click()
  await expect.poll(ground).toBe(light)
  await page.emulateMedia({ colorScheme: 'dark' })
  await expect.poll(ground).toBe('rgb(23, 29, 31)')
})

test('the rack is found, filtered and sorted; several ticked are turned by a key, with one way back', async ({
  page,
}) => {
  await page.goto('/rack')
  await page.getByLabel('Find on the rack').fill('quiet')
  await expect(page.getByText('3 batches of 20')).toBeVisible()
  await expect(page).toHaveURL(/find=quiet/)
  await page.reload()
  await expect(page.getByText('3 batches of 20')).toBeVisible()
  await page.getByRole('button', { name: 'Clear' }).click()
  await page.getByRole('button', { name: /^Due/ }).click()
  await expect(page.getByText('8 batches of 20')).toBeVisible()
  await page.getByText('List', { exact: true }).click()
  const names = page.locator('tbody tr a')
  await page.getByRole('button', { name: 'Batch', exact: true }).click()
  await expect(names.first()).toHaveText(/^Estuary Hands/)
  await page.getByRole('button', { name: /^Batch/ }).click()
  await expect(names.first()).toHaveText(/^Quiet Olive/)
  // Two are ticked, one of them is filtered away: it stays ticked.
  await page.getByLabel(/^Tick Quiet Olive 12/).check()
  await page.getByLabel(/^Tick Hostel Bar 30/).check()
  await page.getByLabel('Find on the rack').fill('hostel')
  const bar = page.getByRole('region', { name: 'Ticked batches' })
  await expect(bar).toContainText('2 ticked, 40 bars')
  await page.getByRole('heading', { name: 'Rack' }).click()
  await page.keyboard.press('t')
  await expect(page.getByText('2 batches turned.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Taken back.')).toBeVisible()
  // A strip each, of which one is left empty.
  await page.keyboard.press('s')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Strip of Hostel Bar 30').fill('9')
  await dialog.getByRole('button', { name: 'Keep 1' }).click()
  await expect(page.getByText('Hostel Bar 30: strip 9.')).toBeVisible()
  // And a place for both.
  await page.keyboard.press('m')
  await dialog.getByRole('button', { name: /^Wall rack, top/ }).click()
  await expect(page.getByText('2 batches stand on Wall rack, top.')).toBeVisible()
  await bar.getByRole('button', { name: 'Untick' }).click()
  await expect(bar).toBeHidden()
})

test('on a phone bars are weighed one a screen; an odd weight waits for an answer; Ctrl Enter keeps all', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/rack')
  await page.getByRole('button', { name: /^Weigh in/ }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('button', { name: /^Next/ })).toBeDisabled()
  await dialog.getByRole('textbox', { name: /bar 1$/ }).fill('119.1')
  await dialog.getByRole('button', { name: 'Keep 119.1 g next, bar 2' }).click()
  await expect(dialog.getByText(/^2 of \d+$/)).toBeVisible()
  const second = dialog.getByRole('textbox', { name: /bar 2$/ })
  await expect(second).toBeFocused()
  await page.keyboard.type('190')
  // Half a number is odd as well: nobody is asked before it is told.
  await expect(dialog.getByRole('alert')).toBeHidden()
  await page.keyboard.press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('Heavier than last time')
  await expect(dialog.getByRole('button', { name: /^Which is it\?/ })).toBeDisabled()
  await dialog.getByRole('button', { name: 'Weigh it again' }).click()
  // Its own keys: the keyboard of the phone would cover what is looked for.
  for (const key of ['1', '2', '1', '.', '9', '1'])
    await dialog.getByRole('button', { name: key, exact: true }).click()
  await dialog.getByRole('button', { name: 'Take back a digit' }).click()
  await expect(second).toHaveValue('121.9')
  await expect(second).toHaveAttribute('inputmode', 'none')
  await page.keyboard.press('Enter')
  await expect(dialog.getByText(/^3 of \d+$/)).toBeVisible()
  await dialog.getByRole('button', { name: 'Back', exact: true }).click()
  await expect(dialog.getByRole('textbox', { name: /bar 2$/ })).toHaveValue('121.9')
  await page.keyboard.press('Enter')
  await expect(dialog.getByRole('button', { name: 'Keep 2 weights now' })).toBeVisible()
  await page.keyboard.press('Control+Enter')
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText(/is weighed\.$/)).toBeVisible()
})

test('a picture is changed for one batch or all of its formula, and taken back', async ({
  page,
}) => {
  await page.goto('/rack')
  await plank(page, 'Drying', /^Hostel Bar 30/).click()
  await panel(page)
    .getByRole('link', { name: /^Open batch/ })
    .click()
  const face = page.getByRole('button', { name: /^Change the picture of Hostel Bar 30/ })
  const drawn = () => face.locator('img').getAttribute('src')
  await expect(face).toBeVisible()
  const before = await drawn()
  await face.click()
  const dialog = page.getByRole('dialog')
  await dialog.getByText('split', { exact: true }).click()
  await dialog.getByLabel(/all 2 batches of/).check()
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('Another picture for 2 batches.')).toBeVisible()
  expect(await drawn()).not.toBe(before)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(drawn).toBe(before)
})

test('formulas are filed by words behind a #, filtered by use and sorted; a wrong address says so', async ({
  page,
}) => {
  await page.goto('/formulas')
  const names = page.getByRole('main').getByRole('listitem').getByRole('link')
  await page.getByRole('button', { name: '#market' }).click()
  await expect(names).toHaveCount(2)
  await page.getByRole('button', { name: 'Clear' }).click()
  await page.getByLabel('What it is for').selectOption({ label: 'Laundry' })
  await expect(names).toHaveText(['Wardrobe Block'])
  await page.getByLabel('What it is for').selectOption('')
  await page.getByLabel('Sorted by').selectOption('name')
  await expect(names.first()).toHaveText('Boatyard Scrub')
  await page.reload()
  await expect(names.first()).toHaveText('Boatyard Scrub')
  await page.goto('/no/such/shelf')
  await expect(page.getByRole('heading', { name: 'There is nothing on this shelf' })).toBeVisible()
  await page.getByRole('button', { name: 'To the Shelf' }).click()
  await expect(page.getByRole('heading', { name: 'Monday 23 November' })).toBeVisible()
})

test('what is due is found among many by its words', async ({ page }) => {
  await page.goto('/')
  const due = page.getByRole('region', { name: 'What is due' })
  const jobs = due.getByRole('listitem')
  await expect(due.getByText(/^Turn \d+ bars$/).first()).toBeVisible()
  const all = await jobs.count()
  await page.keyboard.press('f')
  await page.keyboard.type('hostel TURN')
  await expect.poll(() => jobs.count()).toBeLessThan(all)
  for (const job of await jobs.all()) await expect(job).toContainText(/turn/i)
  await page.getByLabel('Find what is due').fill('anvil')
  await expect(due.getByText('Nothing like that.').first()).toBeVisible()
})

test('under a finger keys and fields are 44 px high, elsewhere all is 24', async ({ page }) => {
  const small = (least: number) =>
    page.evaluate((px) => {
      const seen = (one: Element) =>
        one.getBoundingClientRect().width > 0 && !one.closest('.sr-only')
      const kinds = 'button, select, summary, input:not([type=checkbox], [type=radio])'
      return [...document.querySelectorAll(kinds)]
        .filter((one) => seen(one) && (px < 44 || !one.classList.contains('link')))
        .filter(
          (one) => (one.closest('label.field') ?? one).getBoundingClientRect().height < px - 1,
        )
        .map((one) => one.outerHTML.slice(0, 160))
    }, least)
  for (const path of ['/', '/formulas', '/rack', '/workshop', '/formulas/check', '/formulas/find'])
    for (const [width, least] of [
      [390, 44],
      [1280, 24],
    ] as const) {
      await page.setViewportSize({ width, height: 844 })
      await page.goto(path)
      await page.getByRole('heading', { level: 1 }).waitFor()
      await quiet(page)
      expect(await small(least), `${path} at ${width}`).toEqual([])
    }
})

test('behind a chart stands a table with what it shows', async ({ page }) => {
  await page.goto('/rack')
  await page.getByText('Room', { exact: true }).last().click()
  const room = page.getByRole('complementary', { name: 'The room' })
  await room.getByRole('button', { name: 'As a table' }).click()
  const rows = room.getByRole('row')
  await expect(rows.first()).toContainText('humidity, %')
  await expect(rows.nth(1)).toContainText(/\d+.*\d+/)
  await room.getByRole('button', { name: 'As a picture' }).click()
  await expect(room.getByRole('table')).toHaveCount(0)
  await expect(room.getByRole('img', { name: /^The room over \d+ days/ })).toBeVisible()
})
