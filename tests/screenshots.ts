import { chromium, type Page } from '@playwright/test'
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
const scents = (await (await fetch(`${server.url}/api/scents`)).json()) as {
  id: string
  document: { name: string }
}[]
const lots = (await (await fetch(`${server.url}/api/lots`)).json()) as {
  id: string
  document: { code: string }
}[]
const idOf = (name: string) => formulas.find(({ document }) => document.name === name)!.id

const views: [file: string, path: string, width?: number, height?: number][] = [
  ['shelf', '/'],
  ['formulas', '/formulas'],
  ['formula', `/formulas/${idOf('Hostel Bar')}`, 1280, 840],
  ['formula-in-pots', `/formulas/${idOf('Tide Pool')}`, 1280, 1100],
  ['find-a-formula', '/formulas/find', 1280, 1100],
  ['size', `/formulas/${idOf('Hostel Bar')}`],
  ['check-a-recipe', '/formulas/check'],
  ['batch-sheet', `/batches/${batches.find(({ name }) => name === 'Hostel Bar')!.id}`],
  [
    'bench-plan',
    `/bench/${batches.find(({ facts, name }) => name === 'Hostel Bar' && !facts.pouredOn)!.id}`,
    1280,
    900,
  ],
  ['bench', '/bench'],
  ['rack', '/rack'],
  ['batch-life', `/batches/${batches.find(({ name }) => name === 'Market Rose')!.id}`, 1280, 1000],
  ['formula-phone', `/formulas/${idOf('Hostel Bar')}`, 390, 844],
  ['workshop', '/workshop', 1280, 1120],
  ['scents', '/scents'],
  ['scent', `/scents/${scents.find(({ document }) => document.name === 'White lilac')!.id}`],
  ['stores', '/stores'],
  [
    'stores-trace',
    `/stores/lots/${lots.find(({ document }) => document.code === 'R118')!.id}/trace`,
  ],
  [
    'batch-cost',
    `/batches/${batches.find(({ name, facts }) => name === 'Hostel Bar' && facts.cutOn)!.id}/cost`,
    1280,
    1000,
  ],
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
  if (file === 'size') {
    await page.getByRole('button', { name: /^Size:/ }).click()
    await page.getByRole('button', { name: /^Eight pebbles/ }).click()
  }
  await quiet(page)
  // The odds are drawn once more when the workshop's settings have come.
  if (path.startsWith('/formulas/0')) await page.getByText(/lye left over: .*\d/).waitFor()
  await page.screenshot({ path: `docs/screenshots/${file}.png` })
  await page.close()
}
await browser.close()
await server.stop()
