import { quiet } from '../support/quiet'
import { send } from '../support/send'
import type { Batch } from '../../contracts/batch'
import { PNG } from 'pngjs'
import type { Page } from '@playwright/test'
import {
  confirm,
  expect,
  openBatch,
  openFormula,
  panel,
  plank,
  plannedBatch,
  test,
} from './fixtures'

const more = async (page: Page, says: string) => {
  await page.getByRole('button', { name: 'More to write down' }).click()
  await page.getByRole('menuitem', { name: says }).click()
}
const photo = {
  name: 'cut.png',
  mimeType: 'image/png',
  buffer: PNG.sync.write(new PNG({ width: 40, height: 30 })),
}

test('in the mould: its window, a look, too soft, then firm and cut with a photo', async ({
  page,
  server,
}) => {
  const batch = await plannedBatch(server.url, 'Slip', 42)
  const dialog = page.getByRole('dialog')
  await page.goto(`/batches/${batch.id}`)
  await page.getByRole('button', { name: 'Mark as poured' }).click()
  await dialog.getByLabel('Time of the pour').fill('06:00')
  await confirm(page, 'It is poured')
  await more(page, 'Look under the cover')
  await dialog.getByLabel('cracked, domed or rising').check()
  await expect(dialog.getByRole('status')).toContainText('Uncover it')
  await confirm(page, 'Keep it')
  await expect(
    page.getByText('Looked under the cover: cracked, domed or rising').first(),
  ).toBeVisible()

  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(dialog.getByText(/Its window: Tue 24 Nov/)).toBeVisible()
  await expect(dialog.getByRole('status')).toContainText('Too soft, and that is to be expected')
  // Three hours after the pour it is raw: no freezer is spoken of.
  await expect(dialog.getByRole('status')).toContainText('Not into the freezer yet')
  await expect(dialog.getByLabel('2 hours in the freezer')).toBeHidden()
  await confirm(page, 'Keep it')
  await expect(page.getByText('Tried: soft, takes a finger’s mark', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Try it' }).click()
  await dialog.getByLabel('firm, like cold cheese').check()
  await confirm(page, 'Keep it')
  await expect(dialog.getByRole('heading', { name: /^Cut: Slip/ })).toBeVisible()
  await dialog.getByLabel('Weight of a fresh bar').fill('121')
  await dialog.locator('input[type=file]').setInputFiles(photo)
  await expect(dialog.getByRole('img', { name: 'Photo 1' })).toBeVisible()
  await confirm(page, 'It is cut')
  await expect(page.getByRole('region', { name: 'Photos' }).getByRole('img')).toBeVisible()

  await more(page, 'Bevel, stamp, plane')
  await dialog.getByLabel('Taken off a bar').fill('2.4')
  await confirm(page, 'Keep it')
  await expect(page.getByText('Bevelled, 2.4 g off a bar', { exact: true })).toBeVisible()
  await page.getByText('Bevelled, 2.4 g off a bar', { exact: true }).hover()
  await page.getByRole('button', { name: 'Take back: Bevelled' }).click()
  await expect(page.getByText('Bevelled, 2.4 g off a bar', { exact: true })).toBeHidden()
})

test('a file that is no picture is refused in words, and what was typed stays', async ({
  page,
  server,
}) => {
  const batch = await plannedBatch(server.url, 'Slip', 42)
  await page.goto(`/batches/${batch.id}`)
  await page.getByRole('button', { name: 'Note or photo' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Note', { exact: true }).fill('Smells of rain')
  await dialog
    .locator('input[type=file]')
    .setInputFiles({ name: 'cut.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(dialog.getByRole('alert')).toHaveText('cut.png cannot be read as a picture.')
  await expect(dialog.getByLabel('Note', { exact: true })).toHaveValue('Smells of rain')
})

test('the room: bars are dragged to another place, its rules and readings are kept', async ({
  page,
}) => {
  await page.goto('/rack')
  await page.getByText('Room', { exact: true }).last().click()
  const place = (name: string) => page.getByRole('region', { name })
  const bars = place('Wire tray A').getByRole('button', { name: /^Ferry Shave/ })
  await expect(bars).toBeVisible()
  // What still loads would move the places under the hand.
  await quiet(page)
  await bars.hover()
  await page.mouse.down()
  // What is dragged lies under the pointer, above the place it goes to.
  await place('Roof beam, north').hover({ position: { x: 400, y: 60 }, force: true })
  await place('Roof beam, north').hover({ position: { x: 420, y: 66 }, force: true })
  await page.mouse.up()
  await expect(page.getByText('Ferry Shave 21: 3 bars on Roof beam, north')).toBeVisible()
  await page.reload()
  await expect(
    place('Roof beam, north').getByRole('button', { name: /^Ferry Shave 21, 3 bars/ }),
  ).toBeVisible()

  await page.getByRole('button', { name: 'Note the room' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Who reads it').selectOption({ label: 'nobody: typed by hand' })
  await dialog.getByLabel('Warmth of the room').fill('14.5')
  await dialog.getByLabel('Humidity of the room').fill('71')
  await confirm(page, 'Write it down')
  await expect(page.getByRole('complementary').getByText('71 %', { exact: true })).toBeVisible()
})

test('the room is arranged by keys and by hand, kept as it goes, with a way back', async ({
  page,
}) => {
  await page.goto('/rack')
  await page.getByText('Room', { exact: true }).last().click()
  await page.getByRole('button', { name: 'Arrange the room' }).click()
  const tray = page.getByRole('button', { name: /^Wire tray B:/ })
  const is = (left: number, floor: number, wide: number) =>
    expect(tray).toHaveAccessibleName(
      `Wire tray B: ${left} % from the left, ${floor} % from the floor, ${wide} % wide`,
    )
  await is(74, 8, 25)
  await tray.press('ArrowLeft')
  await is(73, 8, 25)
  await tray.press('Shift+ArrowUp')
  await is(73, 13, 25)
  await tray.press('Alt+ArrowRight')
  await is(73, 13, 26)
  // Never through the wall.
  await tray.press('Alt+Shift+ArrowRight')
  await is(69, 13, 31)
  await page.getByRole('button', { name: 'Take back' }).click()
  await is(73, 13, 26)
  const box = (await tray.boundingBox())!
  await page.mouse.move(box.x + 20, box.y + 20)
  await page.mouse.down()
  await page.mouse.move(box.x - 80, box.y + 20, { steps: 4 })
  await page.mouse.up()
  await expect(tray).not.toHaveAccessibleName(/: 73 %/)
  const name = page.getByRole('textbox', { name: 'Name' })
  await name.fill('')
  await name.blur()
  await expect(page.getByText('This must not be empty.')).toBeVisible()
  await expect(name).toHaveValue('')
  await name.fill('Sill tray')
  await name.blur()
  await page.getByRole('button', { name: 'a place for bars' }).click()
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Plank 8')
  await page.getByRole('button', { name: 'Done' }).click()
  await page.reload()
  await expect(page.getByRole('region', { name: 'Sill tray' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Plank 8' })).toBeVisible()
})

test('settings: each is kept at once, the last is taken back, what cannot be stays as typed', async ({
  page,
  context,
}) => {
  await page.goto('/workshop')
  const told = page.getByRole('status').first()
  const most = page.getByLabel('Days for Most bars')
  await most.fill('56')
  await expect(told).toContainText('most bars')
  await page.getByLabel('Superfat', { exact: true }).fill('7,5')
  await page.getByLabel('Days for Patient').fill('100')
  await expect(told).toContainText('patient')
  await page.getByLabel('Superfat', { exact: true }).fill('7,25')
  await expect(told).toContainText('superfat')
  // Another window changes something else meanwhile: both stay.
  const other = await context.newPage()
  await other.goto('/workshop')
  await other.getByLabel('Dates').selectOption('de')
  await expect(other.getByRole('status').first()).toContainText('dates')
  await page.getByLabel('Turn the bars every').fill('9')
  await expect(told).toContainText('turn the bars every')
  await told.getByRole('button', { name: 'Take back' }).click()
  await expect(page.getByLabel('Turn the bars every')).toHaveValue('5')
  await page.getByLabel('Name', { exact: true }).fill('')
  await expect(page.getByText('This must not be empty.')).toBeVisible()
  await page.getByLabel('Water to lye').fill('nine')
  await expect(page.getByLabel('Water to lye')).toHaveAttribute('aria-invalid', 'true')
  await page.reload()
  await expect(most).toHaveValue('56')
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Slate Shed')
  await expect(page.getByLabel('Water to lye')).toHaveValue('2.2')
  await expect(page.getByLabel('Dates')).toHaveValue('de')
  await page.getByLabel('Find a setting').fill('poison')
  await expect(page.getByLabel('Poison centre')).toBeVisible()
  await expect(page.getByLabel('Superfat', { exact: true })).toBeHidden()

  await page.goto('/formulas')
  await page.getByRole('button', { name: 'New formula' }).click()
  await expect(page.getByRole('textbox', { name: 'Superfat' }).first()).toHaveValue('7.25')
  await openFormula(page, 'Hostel Bar')
  await page.getByRole('button', { name: 'Make a batch' }).click()
  await expect(page.getByLabel(/^Most bars/)).toBeChecked()
  await expect(page.getByRole('dialog')).toContainText('56 days')
})

test('a trouble is held beside all batches, taken for another, and goes away again', async ({
  page,
}) => {
  await openBatch(page, 'Last weeks', /^Market Rose/)
  await page.getByRole('link', { name: 'Causes, and what to do' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Ash on Market Rose 26')
  await expect(
    page.getByText(/^no gel here\. Of your \d+ batches with no gel, 1 had it/),
  ).toBeVisible()
  await expect(page.getByRole('link', { name: /^Market Rose 26: no gel, day 9$/ })).toBeVisible()
  await page.getByRole('button', { name: 'As a table' }).click()
  await expect(page.getByRole('row', { name: /^Market Rose 26 no gel day 9$/ })).toBeVisible()

  await page.getByRole('link', { name: 'White crystals' }).click()
  await expect(page.getByText('not written down on this batch')).toBeVisible()
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByRole('button', { name: 'It went away' })).toBeVisible()
  await page.getByRole('button', { name: 'It went away' }).click()
  await expect(page.getByText(/gone again, seen 23 Nov/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).last().click()
  await expect(page.getByText(/plain, seen 23 Nov/)).toBeVisible()

  await page.getByRole('button', { name: 'Remind' }).click()
  await expect(page.getByText('Look again on 30 Nov')).toBeVisible()
  await page.reload()
  await expect(page.getByText('Look again on 30 Nov')).toBeVisible()
  await expect(page.getByText('Without them 16 fewer for Ferry market, Easter')).toBeVisible()

  // Its day has come: the same reminder, asked for a week ago.
  const id = page.url().split('/').at(-3)!
  const told = { kind: 'trouble', day: '2026-11-16', trouble: 'crystals', how: 2 }
  const answer = await page.request.post(`/api/batches/${id}/events`, {
    data: { ...told, id: '0198c67d-f400-7786-835d-00000000000a', lookOn: '2026-11-23' },
  })
  expect(answer.ok(), await answer.text()).toBe(true)
  await page.goto('/')
  const again = page.getByRole('listitem').filter({ hasText: 'Look again at Market Rose' })
  await expect(again).toContainText('white crystals. Worse, the same, or gone?')
  await again.getByRole('button', { name: 'Look' }).click()
  await expect(page.getByText(/^Look again: since/)).toBeVisible()
  await page.getByRole('button', { name: 'As it was' }).click()
  await expect(page.getByRole('button', { name: 'Remind' })).toBeVisible()

  await page.goto(page.url().replace('crystals', 'warts'))
  await expect(page.getByText('There is no such trouble.')).toBeVisible()
})

test('a trouble has causes with evidence, and one of them becomes the next version', async ({
  page,
}) => {
  await openBatch(page, 'Last weeks', /^Market Rose/)
  await more(page, 'Trouble')
  await page.getByLabel('What is it?').selectOption('orange-spots')
  await confirm(page, 'Write it down')
  await page.getByRole('link', { name: 'Causes, and what to do: Orange spots' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Orange spots on Market Rose 26')
  await expect(page.getByText('No citric acid, chelator or antioxidant')).toBeVisible()
  await page.getByRole('button', { name: 'Next version: Citric acid, 1 % of the oils' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Market Rose')
  await page.keyboard.press('v')
  await expect(page.getByLabel(/^What Version \d+ was for$/).first()).toHaveValue(
    /against orange spots as on batch 26/,
  )
})

test('lye doubled and found later: what it is, what can be done, and it is locked', async ({
  page,
  server,
}) => {
  const batch = await plannedBatch(
    server.url,
    'Wrong',
    42,
    { kind: 'poured', day: '2026-11-01' },
    { kind: 'cut', day: '2026-11-02', bars: 12 },
  )
  await page.goto(`/batches/${batch.id}`)
  await more(page, 'A weight was wrong')
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'doubled' }).click()
  await expect(dialog.getByRole('status')).toContainText('There is lye in it that finds no fat.')
  await expect(dialog.getByRole('status')).toContainText(/Superfat -\d+ % instead of 5 %/)
  await expect(dialog.getByRole('status')).toContainText(/\d+\.\d g of Olive oil:/)
  await expect(dialog.getByRole('status')).toContainText('No skin, no sale, no gift')
  await dialog.getByLabel('How it was found out').fill('The tub is empty')
  await dialog.getByRole('button', { name: 'That is what went in' }).click()
  // What becomes of it is asked at once, and may be left for later.
  await expect(dialog).toContainText('Salvage: Wrong')
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByText('Free lye by the weights: rework it')).toBeVisible()
  await expect(page.getByRole('button', { name: 'For sale' })).toBeHidden()

  await page.getByRole('button', { name: 'Salvage', exact: true }).click()
  await expect(dialog.getByLabel(/Grate it for the laundry/)).toBeDisabled()
  await expect(dialog.getByLabel(/Keep it and look again/)).toBeDisabled()
  await expect(dialog.getByRole('status')).toContainText(
    /[\d,]+\.\d g olive oil and [\d,]+\.\d g water/,
  )
  await expect(dialog.getByRole('status')).toContainText(
    /Then it has 5 % superfat, instead of -\d+ %/,
  )
  await dialog.getByLabel('What is left weighs').fill('1200')
  await expect(dialog.getByRole('status')).toContainText('1,200 g of it')
  await confirm(page, 'That is what was done')
  await expect(
    page.getByText(/^Melted again with [\d,]+\.\d g olive and [\d,]+\.\d g water$/),
  ).toBeVisible()
  await expect(page.getByText('Free lye by the weights: rework it')).toBeHidden()
  await expect(page.getByRole('button', { name: 'Trust the weights' })).toBeVisible()
})

test('weigh-ins come from a spreadsheet, row by row, and nothing odd slips in', async ({
  page,
}) => {
  await page.goto('/rack')
  await expect(page.getByRole('button', { name: /^Turn all due/ })).toBeVisible()
  await page.keyboard.press('w')
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'From a table' }).click()
  await dialog.getByLabel(/A table/).setInputFiles({
    name: 'weights.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'Batch;Day;Bar;Grams\n30;23.11.2026;1;117,9\n30;23.11.2026;2;12\n99;23.11.2026;1;120\n30;3/4/2026;3;118\n',
    ),
  })
  const rows = dialog.getByRole('list', { name: 'What the table says' }).getByRole('listitem')
  await expect(rows.nth(0)).toContainText('joins')
  await expect(rows.nth(1)).toContainText('Much lighter than last time')
  await expect(rows.nth(2)).toContainText('No batch 99 is on the rack.')
  await expect(rows.nth(3)).toContainText('Not a day')
  await dialog.getByRole('button', { name: 'Take 1 weight' }).click()
  await expect(dialog).toHaveCount(0)
  await plank(page, 'Drying', /^Hostel Bar 30/).click()
  await expect(panel(page).getByRole('img', { name: /4 weigh-ins/ })).toBeVisible()
})

test('a round at a scale that sends: Enter takes what lies still', async ({ page, server }) => {
  const post = (value: number) =>
    page.request.post(`${server.url}/api/devices/readings`, {
      data: JSON.stringify({ device: 'shed-scale', kind: 'grams', value, stable: true }),
    })
  await post(0)
  await page.goto('/rack')
  await expect(page.getByRole('button', { name: /^Turn all due/ })).toBeVisible()
  await page.keyboard.press('w')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Scale').selectOption('shed-scale')
  const bar = (number: number) => dialog.getByLabel(`Hostel Bar 30, bar ${number}`)
  await bar(1).focus()
  await expect(async () => {
    await post(118.2)
    await expect(dialog.getByRole('status')).toContainText('118.2 g steady', { timeout: 500 })
  }).toPass()
  await post(118.2)
  await bar(1).press('Enter')
  await expect(bar(1)).toHaveValue('118.2')
  await expect(bar(2)).toBeFocused()
  // What the scale filled in is not lost by a slip either.
  await page.keyboard.press('Escape')
  await dialog.getByRole('button', { name: 'Throw away' }).click()

  // Fresh bars go over the same scale, one after the other.
  await plank(page, 'First days', /^Fir & Smoke 35/).click()
  await panel(page).getByRole('button', { name: 'Mark as cut' }).click()
  for (const grams of [120, 123]) {
    await expect(async () => {
      await post(grams)
      await expect(dialog.getByRole('status')).toContainText(`${grams}.0 g steady`, {
        timeout: 500,
      })
    }).toPass()
    await dialog.getByRole('button', { name: /^Take it/ }).click()
  }
  await expect(dialog.getByLabel('Weight of a fresh bar')).toHaveValue('121.5')
})

test('bars tried in use speak up in their formula; two batches are compared; help is asked', async ({
  page,
  context,
  server,
}) => {
  await openBatch(page, 'Drying', /^Hostel Bar 30/)
  const id = page.url().split('/').at(-1)!
  await more(page, 'Try a bar in use')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('button', { name: 'Keep the scores' })).toBeDisabled()
  await dialog.getByRole('group', { name: 'Quick foam' }).getByRole('button', { name: '5' }).click()
  await confirm(page, 'Keep the scores')
  await expect(page.getByText('Tried once, on day 18.')).toBeVisible()

  await page.getByRole('link', { name: 'Compare' }).click()
  await expect(page.getByRole('row', { name: /^Gel .*full as it comes/ })).toBeVisible()
  await page.goBack()
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.getByRole('link', { name: 'Ask for help' }).click()
  await page.getByLabel('What you ask').fill('Why so soft?')
  await page.getByRole('button', { name: 'Copy as text' }).click()
  await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible()
  const text = await page.evaluate(() => navigator.clipboard.readText())
  const { body } = await send<Batch>(`${server.url}/api/batches/${id}`, 'GET')
  const poured = body.events.find((event) => event.kind === 'poured')
  const met = [poured!.bench!.lyeC, poured!.bench!.oilsC].map((read) => `${Math.round(read!)} °C`)
  for (const part of [
    'Why so soft?',
    'Superfat: 6 %',
    `Lye and oils met at: ${met.join(', ')}, planned 35 °C, 35 °C`,
    'Olive oil: 43 %',
  ])
    expect(text).toContain(part)
  await openFormula(page, 'Hostel Bar')
  await expect(page.getByText('By your own tests:')).toBeVisible()
})

test('what is promised says by when to pour, and what is late that it is too late', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByText(/^23 will be there\. Pour 37 by \d+ Jan 2027\.$/)).toBeVisible()
  await expect(page.getByRole('list', { name: 'The workshop at a glance' })).toBeVisible()
  await expect(page.getByText('12 Fir & Smoke promised')).toBeVisible()
  await page.getByRole('button', { name: 'Add a date' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What for').fill('Boatyard supper')
  await dialog.getByLabel('On', { exact: true }).fill('2026-12-01')
  await dialog.getByLabel('Bars', { exact: true }).fill('10')
  await dialog.getByLabel('Of which formula').selectOption({ label: 'Dish Slate' })
  await confirm(page, 'Keep')
  const goal = page.getByRole('listitem').filter({ hasText: 'Boatyard supper' })
  await expect(goal).toContainText(/10 are missing, and it is too late.*8 of the \d+ days/)
  await goal.getByRole('button', { name: /^More for/ }).click()
  await page.getByRole('menuitem', { name: 'Take it off' }).click()
  await expect(goal).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(goal).toBeVisible()
})

test('the browser tells what is due, once, when it is asked to', async ({ page, context }) => {
  await context.grantPermissions(['notifications'])
  await page.addInitScript(() => {
    const told: string[] = []
    class Quiet {
      static permission = 'granted'
      static requestPermission = () => Promise.resolve('granted')
      onclick = null
      constructor(says: string) {
        told.push(says)
      }
    }
    Object.assign(window, { Notification: Quiet, told })
  })
  const told = () => page.evaluate(() => (window as unknown as { told: string[] }).told)
  await page.goto('/')
  await page.getByRole('button', { name: 'Calendar' }).click()
  await page.getByLabel(/Tell me on this computer/).check()
  expect(await told()).toEqual([])
  await page.reload()
  await expect.poll(told).toEqual([expect.stringMatching(/^\d+ things are due$/)])
  await page.reload()
  await page.getByRole('heading', { level: 1 }).waitFor()
  expect(await told()).toEqual([])
})
