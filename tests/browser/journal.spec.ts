import AxeBuilder from '@axe-core/playwright'
import jsQR from 'jsqr'
import { readFile } from 'node:fs/promises'
import type { Stored } from '../../contracts/document'
import type { Entry, FollowedLesson, Import, JournalPage, Note } from '../../contracts/journal'
import type { FormulaDocument } from '../../contracts/formula'
import { messySheet, pagePicture } from '../support/notebook'
import { quiet, space } from '../support/quiet'
import { dress, rehearse } from '../support/rehearse'
import { send } from '../support/send'
import { expect, test } from './fixtures'

/* The journal as it is used: old pages in, out and in again; what was written found by what somebody still knows of it. */

const get = async <T>(url: string) => (await send<T>(url, 'GET')).body
const found = async (url: string, search: string): Promise<Entry[]> =>
  (await get<JournalPage>(`${url}/api/journal?search=${encodeURIComponent(search)}`)).entries

test('forty photos come in, a line each; shorthand is learned at the first correction; all of it goes out and comes back', async ({
  page,
  server,
}) => {
  test.slow()
  await page.goto('/journal/import')
  await page.getByLabel('What the notebook is called').fill('Blue notebook')
  await page.getByLabel('Photos of pages').setInputFiles(
    Array.from({ length: 40 }, (_, nth) => ({
      name: `page ${nth + 1}.png`,
      mimeType: 'image/png',
      buffer: pagePicture(nth),
    })),
  )
  await expect(page.getByRole('heading', { name: 'Blue notebook, 40 pages' })).toBeVisible({
    timeout: 30_000,
  })
  await expect(page.getByRole('img', { name: 'The page as photographed' })).toBeVisible()
  // The demo knows Maren's words; here somebody else begins.
  for (const { id } of await get<{ id: string }[]>(`${server.url}/api/short-words`))
    await send(`${server.url}/api/short-words/${id}`, 'DELETE')
  await page.reload()
  const keep = page.getByRole('button', { name: /^Keep it/ })
  await page.getByLabel('Title').fill('Rosemary lard, no 2')
  await page.getByLabel('When, as far as known').fill('11 June 2009')
  await page
    .getByLabel('What is legible, a line each')
    .fill('OO 500\nCO 250\nlard 250\nlye 146\nw 300\nrosem. eo 30\n1 wk 3')
  const asked = page.getByRole('region', { name: 'The page' })
  await asked.getByRole('button', { name: /^olive oil/ }).click()
  await asked
    .getByRole('button', { name: /as all bare figures of this notebook/ })
    .first()
    .click()
  await asked.getByRole('button', { name: /^coconut oil/ }).click()
  await asked.getByRole('button', { name: /^water/ }).click()
  // 500 g olive, 250 g coconut, 250 g lard take 149.5 g of lye: 146 g leave 1.8 % by the core's own values.
  await expect(page.getByText('1.8 %', { exact: true })).toBeVisible()
  await expect(page.getByText('scent strong after 1 week')).toBeVisible()
  await keep.click()
  await expect(page.getByText('1 in, this is page 2')).toBeVisible()
  // What was learned is known on the next page, and its month is taken from the page before.
  await expect(page.getByLabel('When, as far as known')).toHaveValue('June 2009 ?')
  await page.getByLabel('Title').fill('Olive, plain')
  await page.getByLabel('What is legible, a line each').fill('OO 700\nlye 89\nw 220')
  await expect(page.getByRole('button', { name: /^olive oil/ })).toHaveCount(0)
  await page.getByLabel('Title').press('Enter')
  await expect(page.getByText('2 in, this is page 3')).toBeVisible()
  await page.getByRole('button', { name: 'Leave as a gap' }).click()
  await expect(page.getByText('3 in, this is page 4')).toBeVisible()
  await expect(page.getByText(/1 under 2 % superfat/)).toBeVisible()
  // Left in the middle of a page, it is there when somebody comes back.
  await page.getByLabel('Title').fill('Half a pa')
  await expect
    .poll(async () => {
      const [{ id }] = (await get<Stored<Import>[]>(`${server.url}/api/imports`)).filter(
        ({ document }) => document.name === 'Blue notebook',
      ) as [Stored<Import>]
      const notes = await get<Stored<Note>[]>(`${server.url}/api/imports/${id}/notes`)
      return notes[3]!.document.title
    })
    .toBe('Half a pa')
  await page.reload()
  await expect(page.getByLabel('Title')).toHaveValue('Half a pa')
  for (let nth = 4; nth <= 40; nth++) {
    await page.getByLabel('Title').fill(`Page ${nth}`)
    await page.getByLabel('Title').press('Enter')
    await expect(page.getByText(`${nth} in`)).toBeVisible()
  }
  expect(await found(server.url, 'rosemary lard 2009')).toHaveLength(1)
  // By a material that stands there as two letters.
  expect(await found(server.url, 'rosemary coconut 2009')).toHaveLength(1)
  expect((await found(server.url, 'olive plain june 2009')).map(({ title }) => title)).toContain(
    'Olive, plain',
  )
  await page.getByRole('button', { name: 'Take all out again' }).click()
  await expect(page).toHaveURL(/\/journal\/import$/)
  expect(await found(server.url, 'rosemary lard 2009')).toHaveLength(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Blue notebook')).toBeVisible()
  const [back] = await found(server.url, 'rosemary lard 2009')
  const photo = await fetch(`${server.url}/api/photos/${back!.photos[0]}`)
  expect(photo.headers.get('content-type')).toBe('image/jpeg')
})

test.describe('on a slow line', () => {
  test.use({ serviceWorkers: 'block' })
  test('a page stays kept while its draft waits to be sent, and a page left in a hurry keeps what was typed', async ({
    page,
    server,
  }) => {
    await page.route('**/api/notes/*', async (route) => {
      await new Promise((done) => setTimeout(done, 1500))
      await route.continue()
    })
    await page.goto('/journal/import')
    await page.getByLabel('What the notebook is called').fill('Slow notebook')
    await page.getByLabel('Photos of pages').setInputFiles(
      Array.from({ length: 3 }, (_, nth) => ({
        name: `page ${nth + 1}.png`,
        mimeType: 'image/png',
        buffer: pagePicture(nth),
      })),
    )
    await expect(page.getByRole('heading', { name: 'Slow notebook, 3 pages' })).toBeVisible()
    await page.getByLabel('Title').fill('Olive, plain')
    // The draft is sent 700 ms after the last letter: here the page is being kept just then.
    await page.getByLabel('Title').press('Enter')
    await expect(page.getByText('1 in, this is page 2')).toBeVisible()
    await page.getByLabel('Title').fill('Half a pa')
    await page.getByRole('button', { name: /^Page 3/ }).click()
    const [{ id }] = (await get<Stored<Import>[]>(`${server.url}/api/imports`)).filter(
      ({ document }) => document.name === 'Slow notebook',
    ) as [Stored<Import>]
    await expect
      .poll(async () =>
        (await get<Stored<Note>[]>(`${server.url}/api/imports/${id}/notes`)).map(
          ({ document: { what, title } }) => `${what}: ${title}`,
        ),
      )
      .toEqual(['batch: Olive, plain', 'unread: Half a pa', 'unread: '])
    await expect(page.getByText('1 in, this is page 3')).toBeVisible()
  })
})

test('a messy sheet: faults by their line, two rows mended, brought in, taken out at once, in again with the same columns', async ({
  page,
  server,
}) => {
  test.slow()
  await page.goto('/journal/import/table')
  const sheet = {
    name: 'Old batches.xlsx',
    mimeType: 'application/octet-stream',
    buffer: await messySheet(),
  }
  await page.getByLabel('Spreadsheet file').setInputFiles(sheet)
  await expect(page.getByText('2 rows have a fault and stay outside')).toBeVisible()
  await expect(page.getByRole('combobox', { name: 'What Olive oil (g) is' })).toHaveValue(
    'ingredient',
  )
  await expect(page.getByRole('combobox', { name: 'What NaOH is' })).toHaveValue('lye')
  // What is not understood is kept as a note.
  await expect(page.getByRole('combobox', { name: 'What Mood is' })).toHaveValue('note')
  await expect(page.getByText('“31/2/2013” is no day up to today.')).toBeVisible()
  await expect(page.getByText('“a cup” is not an amount.')).toBeVisible()
  await page.getByLabel('Line 14, Date').fill('28/2/2013')
  await page.getByLabel('Line 14, Date').press('Tab')
  await page.getByLabel('Line 40, Coconut oil (g)').fill('250')
  await page.getByLabel('Line 40, Coconut oil (g)').press('Tab')
  await page.getByRole('button', { name: 'Bring in 60 rows' }).click()
  await expect(page.getByText('60 rows are in the journal.')).toBeVisible({ timeout: 30_000 })
  // Every tenth has next to no superfat, every twelfth no water.
  await expect(
    page.getByText(/6 of these are under 2 % superfat, 5 never say their water/),
  ).toBeVisible()
  const tar = await found(server.url, 'sheet tar')
  expect(tar.map(({ title }) => title)).toEqual(['Sheet soap 9'])
  expect(await found(server.url, 'mood cross')).toHaveLength(1)
  await page.getByRole('button', { name: 'Take all out again' }).click()
  await expect(page.getByRole('button', { name: 'Bring in 60 rows' })).toBeVisible()
  expect(await found(server.url, 'sheet tar')).toHaveLength(0)
  await page.getByRole('button', { name: 'Another table' }).click()
  await page.getByLabel('Spreadsheet file').setInputFiles(sheet)
  await page.getByRole('combobox', { name: 'What Mood is' }).selectOption('ignore')
  await page.getByRole('button', { name: 'Bring in 58 rows' }).click()
  await expect(page.getByText('58 rows are in the journal.')).toBeVisible({ timeout: 30_000 })
  expect(await found(server.url, 'mood cross')).toHaveLength(0)
  // The same heads again: the columns are as they were set the last time.
  await page.goto('/journal/import/table')
  await page.getByLabel('Spreadsheet file').setInputFiles(sheet)
  await expect(page.getByText('Columns as you set them the last time.')).toBeVisible()
  await expect(page.getByRole('combobox', { name: 'What Mood is' })).toHaveValue('ignore')
})

test('five thousand rows come in with their count, and can be stopped half way', async ({
  page,
  server,
}) => {
  test.slow()
  await page.goto('/journal/import/table')
  const rows = Array.from({ length: 5000 }, (_, nth) => `Mussel ${nth},3/4/12,500,62,150`)
  await page.getByLabel('Spreadsheet file').setInputFiles({
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['Name,Date,Olive oil (g),Lye,Water', ...rows].join('\n')),
  })
  await page.getByRole('button', { name: 'Bring in 5,000 rows' }).click()
  await expect(page.getByText(/^[1-9][\d,]* of 5,000 rows$/)).toBeVisible()
  await page.getByRole('button', { name: 'Stop, and take them out' }).click()
  await expect(page.getByRole('button', { name: 'Bring in 5,000 rows' })).toBeVisible()
  const { body } = await send<JournalPage>(`${server.url}/api/journal?search=mussel`, 'GET')
  expect(body.found).toBe(0)
})

test('a table that is pasted; what is no table says so, and what was typed stays', async ({
  page,
}) => {
  await page.goto('/journal/import/table')
  const box = page.getByLabel('Or paste rows, heads first')
  await box.fill('only one line')
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText(/^There is no table in it/)).toBeVisible()
  await expect(box).toHaveValue('only one line')
  await box.fill('Name;When;Olive;Lye\nPasted one;3 May 2011;500;66\n\nPasted two;May 2099;500;66')
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText('“May 2099” is no day up to today.')).toBeVisible()
  await expect(page.getByRole('row', { name: /^4 / })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Bring in 1 row' })).toBeEnabled()
})

test('a batch is found by a word of its lesson and by three vague words; the search is kept as a ribbon', async ({
  page,
}) => {
  await page.goto('/journal')
  const search = page.getByLabel('Search the journal')
  const line = page.getByRole('region', { name: 'Time line' })
  const open = page.getByRole('region', { name: 'What lies open' })
  await search.fill('draught')
  await expect(line.getByText(/^2 found/)).toBeVisible()
  await line.getByRole('button', { name: /Draught on the mould/ }).click()
  await expect(open.getByRole('heading', { name: 'Market Rose 11' })).toBeVisible()
  await expect(open.getByText('Held up 3 of 4.')).toBeVisible()
  await expect(
    open.getByRole('img', { name: /It held in batch 11, 16 and 26. It did not in batch 20/ }),
  ).toBeVisible()
  await search.fill('the green one with a veil, spring')
  await expect(page.getByText('green the bar’s colour or the word')).toBeVisible()
  await expect(page.getByText('spring poured March to May')).toBeVisible()
  await expect(line.getByRole('button', { name: /^Market Rose 11/ })).toBeVisible()
  await expect(open.getByRole('heading', { name: 'Market Rose 11' })).toBeVisible()
  // The other batches of the colour with a veil were poured in other seasons.
  await expect(line.getByRole('button', { name: /^Market Rose 26/ })).toHaveCount(0)
  await line.getByRole('button', { name: 'Make it a ribbon' }).click()
  await line.getByLabel('Name of the ribbon').fill('Veils')
  await line.getByRole('button', { name: 'Keep it' }).click()
  await search.fill('')
  await expect(line.getByText(/entries in 17 years/)).toBeVisible()
  await page.getByRole('button', { name: 'Veils', exact: true }).click()
  await expect(search).toHaveValue('the green one with a veil, spring')
  // An old page by what it says of itself; a word too many is told apart.
  await search.fill('the blue one that cracked, spring')
  await expect(open.getByRole('heading', { name: 'Dark blue w. ultramarine' })).toBeVisible()
  await search.fill('blue cracked winter')
  await expect(line.getByText('Nothing has all of that.')).toBeVisible()
  await expect(line.getByText(/2 of your 3 words: /)).toBeVisible()
  await line.getByRole('button', { name: 'Show them' }).click()
  await expect(line.getByRole('button', { name: /Dark blue w. ultramarine/ })).toBeVisible()
})

test('a line in passing, from anywhere and on the line itself; of a batch, with people and words; taken back', async ({
  page,
  server,
}) => {
  await page.goto('/rack')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('/')
  await page
    .getByLabel('Find a formula or batch, or do something')
    .fill('note 28: @Jo saw a hairline in the middle #wire')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Noted in the journal, of Quiet Olive 28.')).toBeVisible()
  const [entry] = await found(server.url, 'hairline')
  expect(entry).toMatchObject({
    number: 28,
    batchName: 'Quiet Olive',
    says: 'Jo saw a hairline in the middle',
  })
  // Found by the batch it is about, and by its word.
  expect((await found(server.url, 'quiet olive hairline')).map(({ ref }) => ref)).toEqual([
    entry!.ref,
  ])
  expect((await found(server.url, 'wire hairline')).map(({ ref }) => ref)).toEqual([entry!.ref])
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => found(server.url, 'hairline')).toHaveLength(0)
  await page.goto('/journal')
  await page.getByLabel('Next line of the journal').fill('Swept the shed. Évora tiles are in.')
  await page.keyboard.press('Enter')
  await expect(
    page
      .getByRole('region', { name: 'Time line' })
      .getByText('Swept the shed. Évora tiles are in.')
      .first(),
  ).toBeVisible()
  // Found without its accent and by a beginning.
  expect(await found(server.url, 'evor til')).toHaveLength(1)
})

test('a formatted note with a photo, changed by two windows, kept with its day as far as known', async ({
  page,
  server,
}) => {
  await page.goto('/journal')
  await expect(page.getByText(/entries in 17 years/)).toBeVisible()
  await page.keyboard.press('n')
  const dialog = page.getByRole('dialog', { name: 'Write in the journal' })
  await dialog.getByLabel('Title, if it has one').fill('Gran’s lye')
  await dialog.getByRole('textbox', { name: 'The note' }).click()
  await page.keyboard.type('- ash from beech\n')
  await page.keyboard.press('Control+b')
  await page.keyboard.type('never pine')
  await dialog.getByLabel('When, as far as known').fill('summr 1987')
  await expect(dialog.getByRole('button', { name: /Keep it/ })).toBeDisabled()
  await dialog.getByLabel('When, as far as known').fill('summer 2007')
  await dialog.getByLabel('Words to find it by').fill('family, ash lye')
  await dialog.locator('input[type=file]').setInputFiles({
    name: 'gran.png',
    mimeType: 'image/png',
    buffer: pagePicture(3),
  })
  await dialog.getByRole('button', { name: /Keep it/ }).click()
  await expect(dialog).toHaveCount(0)
  const [entry] = await found(server.url, 'beech pine')
  expect(entry).toMatchObject({ title: 'Gran’s lye', when: { day: '2007-06-01', known: 'year' } })
  expect(entry!.photos).toHaveLength(1)
  await page.goto(`/journal?find=beech&open=${entry!.ref}`)
  const open = page.getByRole('region', { name: 'What lies open' })
  await expect(open.getByRole('listitem').filter({ hasText: 'ash from beech' })).toBeVisible()
  await expect(open.locator('strong', { hasText: 'never pine' })).toBeVisible()
  // Somebody else changes it meanwhile: what is typed here is not lost.
  await open.getByRole('button', { name: 'Change it' }).click()
  const stored = await get<Stored<Note>>(`${server.url}/api/notes/${entry!.ref}`)
  await send(`${server.url}/api/notes/${entry!.ref}`, 'PUT', {
    revision: stored.revision,
    document: { ...stored.document, weather: 'fog' },
  })
  const change = page.getByRole('dialog', { name: 'Change the note' })
  await change.getByLabel('Title, if it has one').fill('Gran’s own lye')
  await change.getByRole('button', { name: /Keep it/ }).click()
  await expect(change.getByRole('alert')).toContainText('was changed elsewhere')
  await expect(change.getByLabel('Title, if it has one')).toHaveValue('Gran’s own lye')
  await change.getByRole('button', { name: /Keep it/ }).click()
  await expect(change).toHaveCount(0)
  await expect.poll(async () => (await found(server.url, 'own lye beech')).length).toBe(1)
})

test('a lesson is looked for in a batch, says when it speaks up, and does so in the formula', async ({
  page,
  server,
}) => {
  await page.goto('/journal?kind=lesson&find=draught')
  const open = page.getByRole('region', { name: 'What lies open' })
  await open.getByLabel('Looked for it in').selectOption({ label: 'Oat & Buttermilk 32' })
  await open.getByLabel('What was otherwise, if anything').fill('no draught at all')
  await open.getByRole('button', { name: 'It did not' }).click()
  await expect(open.getByText('Held up 3 of 5.')).toBeVisible()
  await expect(open.getByText('no draught at all')).toBeVisible()
  await open.getByRole('button', { name: 'Edit' }).click()
  const when = page.getByRole('dialog', { name: 'When it speaks up' })
  await when.getByLabel('One of these is in it').fill('Castor oil')
  await when.getByRole('button', { name: 'Add' }).click()
  await when.getByRole('button', { name: 'Keep it' }).click()
  await expect(open.getByText(/Speaks up when .*castor oil.* is in it/i)).toBeVisible()
  const [lesson] = await get<Stored<FollowedLesson>[]>(`${server.url}/api/lessons`)
  expect(lesson!.document.speaksUp?.anyOf).toContain('castor')
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Hostel Bar', exact: true }).click()
  const says = page.getByRole('region', { name: 'From the journal' })
  await expect(says.getByText('Draught on the mould? Ash, every time. Cover it.')).toBeVisible()
  await expect(says.getByRole('link', { name: 'Held up 3 of 5.' })).toBeVisible()
})

for (const [name, path] of [
  ['the journal', '/journal'],
  ['a search', '/journal?find=ash'],
  ['old pages', '/journal/import'],
  ['a table', '/journal/import/table'],
  ['the first soap', '/journal/first'],
] as const)
  test(`${name}: axe finds nothing, nothing wider than a phone`, async ({ page }) => {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached()
    await quiet(page)
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([])
    await page.setViewportSize({ width: 390, height: 844 })
    await quiet(page)
    const wide = await page.evaluate(
      () => globalThis.document.documentElement.scrollWidth - globalThis.innerWidth,
    )
    expect(wide).toBeLessThanOrEqual(0)
  })

test.describe('an empty workshop', () => {
  test.use({ workshop: 'empty' })
  test('begins with a line', async ({ page }) => {
    await page.goto('/journal')
    await expect(page.getByText('Nothing is written yet.')).toBeVisible()
    await page.getByLabel('Next line of the journal').fill('First line')
    await page.keyboard.press('Enter')
    await expect(page.getByText('1 entry in 1 year')).toBeVisible()
  })

  test('the first soap: a kitchen without a blender, a dry run, a rehearsed first batch; left and gone on with', async ({
    page,
    server,
  }) => {
    test.slow()
    await page.goto('/')
    await page.getByRole('link', { name: 'Your first one, in nine steps' }).click()
    const plank = page.getByRole('region', { name: 'This plank' })
    await plank.getByLabel('Who makes it').fill('Nell')
    await plank.getByLabel('What the tub holds, ml').fill('80')
    await expect(plank.getByText(/fill it with water and weigh that/)).toBeVisible()
    await plank.getByLabel('What the tub holds, ml').fill('800')
    await plank.getByLabel('What the tub holds, ml').press('Tab')
    await plank.getByLabel(/Goggles that close/).uncheck()
    await plank.getByLabel(/Something of aluminium/).check()
    await plank.getByRole('button', { name: 'That is my kitchen' }).click()
    await expect(page.getByRole('heading', { name: 'Nell’s first soap' })).toBeVisible()
    const kitchen = page.getByRole('region', { name: 'What this kitchen has' })
    await expect(kitchen.getByText('a whisk: stir and rest, 40 to 90 minutes')).toBeVisible()
    await expect(kitchen.getByText('no lye without them: get them first')).toBeVisible()
    // Its scale and its lack of a thermometer are those of the workshop now.
    await expect
      .poll(() => get<object>(`${server.url}/api/workshop`))
      .toMatchObject({ scale: 1, bench: { thermometer: false } })
    await plank.getByRole('button', { name: 'Write it down as mine' }).click()
    await plank.getByRole('button', { name: 'I have read it' }).click()
    const worries = page.getByRole('region', { name: 'Worries and lye' })
    await worries.getByLabel('What worries you').fill('What if it gets in my eyes?')
    await worries.getByRole('button', { name: 'Ask' }).click()
    await expect(worries.getByText(/tap, 15 minutes, then a doctor/)).toBeVisible()
    await expect(
      worries.getByText(/they use up all of it. A test strip on day 2 says so/),
    ).toBeVisible()
    for (let move = 2; move <= 4; move++)
      await plank.getByRole('button', { name: `Done, go on to move ${move}` }).click()
    // Left in the middle; the shelf says where it waits.
    await page.goto('/')
    await expect(page.getByText('3 of 9 planks done')).toBeVisible()
    await page.getByRole('link', { name: 'Go on' }).click()
    for (let move = 5; move <= 7; move++)
      await plank.getByRole('button', { name: `Done, go on to move ${move}` }).click()
    await plank.getByRole('button', { name: 'Done, go on to move 7' }).click()
    await plank.getByLabel('Blue drops').fill('5')
    await plank.getByRole('button', { name: 'Write it down' }).click()
    await expect(plank.getByText(/5 drops/)).toBeVisible()
    await expect(
      plank.getByText('Stand the cup and the jug closer together, rim to rim.'),
    ).toBeVisible()
    await plank.getByRole('button', { name: 'On to the rehearsal' }).click()
    await plank.getByRole('link', { name: 'Rehearse' }).click()
    await expect(
      page.getByRole('heading', { level: 1, name: 'Clear the room, dress' }),
    ).toBeVisible()
    await dress(page)
    await rehearse(page)
    await space(page)
    await expect(
      plank.getByText('You are back from the bench. Did you come to the end?'),
    ).toBeVisible()
    await plank.getByRole('button', { name: 'I came to the end' }).click()
    // No lye without goggles, however far one has come.
    await expect(plank.getByRole('alert')).toContainText('No lye without goggles.')
    await expect(plank.getByRole('link', { name: 'Plan it' })).toHaveCount(0)
    await kitchen.getByRole('button', { name: 'Change' }).click()
    await plank.getByLabel(/Goggles that close/).check()
    await plank.getByRole('button', { name: 'That is my kitchen' }).click()
    await plank.getByRole('link', { name: 'Plan it' }).click()
    const dialog = page.getByRole('dialog')
    await expect(dialog.getByText(/Make a batch of Nell’s first soap/)).toBeVisible()
    await dialog.getByRole('button', { name: /^Make/ }).click()
    await expect(page).toHaveURL(/\/batches\//)
    await page.goto('/journal/first')
    await expect(plank.getByRole('link', { name: 'To the bench' })).toBeVisible()
  })
})

test('a formula and a batch are given away as one page, and read from the page and from the code', async ({
  page,
  server,
}) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Hostel Bar', exact: true }).click()
  await page
    .getByRole('button', { name: /More|actions/i })
    .first()
    .click()
  await page.getByRole('menuitem', { name: 'Give it away' }).click()
  const dialog = page.getByRole('dialog', { name: 'Give it away' })
  const code = dialog.getByRole('img', { name: 'The formula as a square code' })
  await expect(code.locator('svg')).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Save the page' }).click(),
  ])
  const html = await readFile(await file.path(), 'utf8')
  expect(html).toContain('Water to lye 2.2 : 1')
  expect(html).toMatch(/Lye at 35 °C, oils at 35 °C/)
  // Nothing in it runs, nothing is fetched.
  expect(html).not.toMatch(/<script(?! type="application\/json")|https?:\/\/(?!www\.w3\.org)/)
  // The code, read by a decoder, is the formula in the open format.
  const picture = await page.evaluate(
    async (svg) => {
      const image = new Image()
      image.src = `data:image/svg+xml;base64,${btoa(svg)}`
      await image.decode()
      const canvas = globalThis.document.createElement('canvas')
      canvas.width = canvas.height = 900
      const ink = canvas.getContext('2d')!
      ink.fillStyle = '#fff'
      ink.fillRect(0, 0, 900, 900)
      ink.imageSmoothingEnabled = false
      ink.drawImage(image, 0, 0, 900, 900)
      return [...ink.getImageData(0, 0, 900, 900).data]
    },
    await code.locator('svg').evaluate((svg) => svg.outerHTML),
  )
  const read = jsQR(Uint8ClampedArray.from(picture), 900, 900)!.data
  expect(Buffer.byteLength(read)).toBeLessThanOrEqual(2900)
  await page.keyboard.press('Escape')
  await page.goto('/formulas')
  await page.getByRole('button', { name: 'More for all formulas' }).click()
  await page.getByRole('menuitem', { name: 'Import…' }).click()
  const take = page.getByRole('dialog', { name: 'Import formulas' })
  await take.getByLabel('Or the text of a square code').fill(read)
  await take.getByLabel('Or the text of a square code').press('Tab')
  await take.getByRole('button', { name: 'Take 1' }).click()
  await expect(page.getByText('1 formula joined.')).toBeVisible()
  const list = await get<Stored<FormulaDocument>[]>(`${server.url}/api/formulas`)
  const [copy] = list
  const original = list.find(({ document }) => document.name === 'Hostel Bar')!
  expect({ ...copy!.document, name: '', notes: '' }).toEqual({
    ...original.document,
    name: '',
    notes: '',
  })
  // And from the page itself.
  await page.getByRole('button', { name: 'More for all formulas' }).click()
  await page.getByRole('menuitem', { name: 'Import…' }).click()
  await take.getByLabel(/Files ending in/).setInputFiles({
    name: 'given.html',
    mimeType: 'text/html',
    buffer: Buffer.from(html),
  })
  await expect(take.getByText(/joins as a copy/)).toBeVisible()
})
