import { chromium, type Page } from '@playwright/test'
import { dayStep } from './support/makingDay'
import { quiet, space } from './support/quiet'
import { demoTemplate, TestServer } from './support/server'
import { chromiumPath } from './support/chromium'

/* One current picture of each main view, from the demo workshop on a fixed day, into docs/screenshots. */

const server = await TestServer.start(demoTemplate())
const formulas = (await (await fetch(`${server.url}/api/formulas`)).json()) as {
  id: string
  document: { name: string }
}[]
const batches = (await (await fetch(`${server.url}/api/batches`)).json()) as {
  id: string
  name: string
  facts: { pouredOn: string | null; cutOn: string | null }
}[]
const days = (await (await fetch(`${server.url}/api/days`)).json()) as { id: string }[]
const idOf = (name: string) => formulas.find(({ document }) => document.name === name)!.id

/** One that is poured, of which labels are made. */
const hostel = batches.find(({ facts, name }) => name === 'Hostel Bar' && facts.cutOn)!

const views: [file: string, path: string, width?: number, height?: number][] = [
  ['labels', `/batches/${hostel.id}/labels`, 1280, 900],
  ['shelf', '/'],
  ['formulas', '/formulas'],
  ['formula', `/formulas/${idOf('Hostel Bar')}`, 1280, 840],
  ['find-a-formula', '/formulas/find', 1280, 1100],
  ['check-a-recipe', '/formulas/check'],
  [
    'bench-plan',
    `/bench/${batches.find(({ facts, name }) => name === 'Hostel Bar' && !facts.pouredOn)!.id}`,
    1280,
    900,
  ],
  ['bench', '/bench'],
  ['day', `/bench/day/${days[0]!.id}`],
  ['day-bench', `/bench/day/${days[0]!.id}`],
  ['rack', '/rack'],
  ['batch-life', `/batches/${batches.find(({ name }) => name === 'Market Rose')!.id}`, 1280, 1000],
  ['formula-phone', `/formulas/${idOf('Hostel Bar')}`, 390, 844],
  ['workshop', '/workshop', 1280, 1120],
  ['scents', '/scents'],
  ['stores', '/stores'],
  ['journal', '/journal?find=veil+green+spring'],
  ['answer', '/journal/ask?q=does+citric+keep+a+loaf+longer+in+the+mould'],
  ['first-soap', '/journal/first'],
]

interface Document {
  superfat: number
}
/** Another window changes a formula. */
async function changeElsewhere(id: string, change: (document: Document) => object) {
  const address = `${server.url}/api/formulas/${id}`
  const { revision, document } = (await (await fetch(address)).json()) as {
    revision: number
    document: Document
  }
  await fetch(address, {
    method: 'PUT',
    body: JSON.stringify({ revision, document: change(document) }),
  })
}

/** A rehearsal, as far as the lye that is being weighed. */
async function toTheLye(page: Page) {
  await page.getByLabel('Formula').selectOption({ label: 'Hostel Bar' })
  await page.getByRole('button', { name: 'Alone' }).click()
  await page.getByRole('heading', { name: 'Clear the room, dress' }).waitFor()
  for (const key of ['1', '2', '3', '4', '5', ' ', ' ', ' '])
    await (key === ' ' ? space(page) : page.keyboard.press(key))
  for (const step of [/^Weigh the water/, /^Weigh the citric acid/]) {
    await page.getByRole('heading', { name: step }).waitFor()
    await page.getByRole('button', { name: /^Weigh \d/ }).waitFor()
    await page.keyboard.press('d')
    await page.getByRole('button', { name: /^Take it/ }).waitFor()
    await page.keyboard.press('Space')
  }
  await page.getByRole('heading', { name: /^Weigh the lye/ }).waitFor()
  await page.getByRole('button', { name: /^Weigh \d/ }).waitFor()
  await page.keyboard.press('p')
  await page.getByRole('button', { name: /^[89]\.\d g short/ }).waitFor()
}

/** A day as far as the first batter is being blended: by both screens, with time let pass. */
async function toABatter(page: Page) {
  await page.getByRole('button', { name: /^Start the day/ }).click()
  await page.getByRole('button', { name: 'Idris', exact: true }).click()
  const other = await page.context().browser()!.newPage()
  await other.goto(`${page.url().split('?')[0]}?who=Maren`)
  await other.getByRole('heading', { level: 1 }).first().waitFor()
  for (let round = 0; round < 60; round++) {
    const title = await page.getByRole('heading', { level: 1 }).first().textContent()
    if (/^Blend to emulsion/.test(title ?? '')) break
    await dayStep(page)
    await dayStep(other)
  }
  await other.close()
}

const browser = await chromium.launch({
  executablePath: chromiumPath,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
for (const [file, path, width = 1280, height = 800] of views) {
  const page = await browser.newPage({
    viewport: { width, height },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
  })
  await page.goto(server.url + path)
  if (file === 'workshop') {
    await page.getByRole('button', { name: 'Back up now' }).click()
    await page.getByText('Under an hour old, whole').waitFor()
    await changeElsewhere(idOf('Market Rose'), (document) => ({ ...document, superfat: 0.06 }))
    await page.getByRole('button', { name: /^Look at the backup/ }).click()
    await page.getByText('Would be gone from here').waitFor()
    await page.getByText('Backed up, and every entry checked.').waitFor({ state: 'hidden' })
    await page.evaluate(() => window.scrollTo(0, 0))
  }
  if (file === 'check-a-recipe') {
    await page.getByRole('button', { name: 'Show me with an example' }).click()
    await page.getByRole('button', { name: 'Read it' }).click()
  }
  if (file === 'find-a-formula') {
    await page.getByRole('button', { name: 'those of my formulas' }).click()
    await page.getByRole('button', { name: 'Find', exact: true }).click()
    await page.getByRole('region', { name: 'Price and character' }).waitFor()
  }
  if (path === '/bench') await toTheLye(page)
  if (path === '/rack') await page.getByRole('img', { name: /Mass of the marked bars/ }).waitFor()
  if (file === 'day')
    await page.getByRole('radio', { name: /^Earliest home/ }).waitFor({ timeout: 40_000 })
  if (file === 'day-bench') await toABatter(page)
  if (file === 'first-soap') {
    const plank = page.getByRole('region', { name: 'This plank' })
    await plank.getByLabel('Who makes it').fill('Nell')
    await plank.getByLabel(/Something of aluminium/).check()
    await plank.getByRole('button', { name: 'That is my kitchen' }).click()
    await plank.getByRole('button', { name: 'Write it down as mine' }).click()
    await plank.getByRole('button', { name: 'I have read it' }).click()
    const worries = page.getByRole('region', { name: 'Worries and lye' })
    await worries.getByLabel('What worries you').fill('What if it gets in my eyes?')
    await worries.getByRole('button', { name: 'Ask' }).click()
    await worries.getByText(/then a doctor/).waitFor()
    for (const move of [2, 3, 4])
      await plank.getByRole('button', { name: `Done, go on to move ${move}` }).click()
    await plank.getByRole('button', { name: 'Done, go on to move 5' }).waitFor()
  }
  await quiet(page)
  // The odds are drawn once more when the workshop's settings have come.
  if (path.startsWith('/formulas/0')) await page.getByText(/lye left over: .*\d/).waitFor()
  await page.screenshot({ path: `docs/screenshots/${file}.png` })
  await page.close()
}
await browser.close()
await server.stop()
