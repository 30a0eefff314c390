import { chromium } from '@playwright/test'
import { demoTemplate, TestServer } from './support/server'

/* One current picture of each main view, from the demo workshop on a fixed day, into docs/screenshots. */

const server = await TestServer.start(demoTemplate())
const formulas = (await (await fetch(`${server.url}/api/formulas`)).json()) as {
  id: string
  document: { name: string }
}[]
const batches = (await (await fetch(`${server.url}/api/batches`)).json()) as { id: string }[]
const idOf = (name: string) => formulas.find(({ document }) => document.name === name)!.id

const views: [file: string, path: string, width?: number, height?: number][] = [
  ['shelf', '/'],
  ['formulas', '/formulas'],
  ['formula', `/formulas/${idOf('Hostel Bar')}`, 1280, 840],
  ['formula-in-pots', `/formulas/${idOf('Tide Pool')}`, 1280, 1100],
  ['materials', '/formulas/materials'],
  ['moulds', '/formulas/moulds'],
  ['versions-compared', '/formulas/compare', 1280, 960],
  ['find-a-formula', '/formulas/find', 1280, 1100],
  ['explained', '/explained'],
  ['check-a-recipe', '/formulas/check'],
  ['batch-sheet', `/batches/${batches[0]!.id}`],
  ['rack', '/rack'],
  ['formula-phone', `/formulas/${idOf('Hostel Bar')}`, 390, 844],
]
const browser = await chromium.launch({
  executablePath: process.env.MANTLE_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
for (const [file, path, width = 1280, height = 800] of views) {
  const page = await browser.newPage({
    viewport: { width, height },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
  })
  await page.goto(server.url + path)
  if (file === 'versions-compared') {
    const versions = (await (await fetch(`${server.url}/api/versions`)).json()) as {
      id: string
      name: string
    }[]
    const began = versions.find(({ name }) => name === 'As it began')!
    await page.goto(`${server.url}${path}?a=v:${began.id}&b=f:${idOf('Hostel Bar')}`)
  }
  if (file === 'check-a-recipe')
    await page.getByRole('button', { name: 'Show me with an example' }).click()
  if (file === 'find-a-formula') {
    await page.getByRole('button', { name: 'those of my formulas' }).click()
    await page.getByRole('button', { name: 'Find', exact: true }).click()
    await page.getByRole('region', { name: 'Price and character' }).waitFor()
  }
  if (path.startsWith('/formulas/0')) await page.getByText(/lye-heavy: .*\d/).waitFor()
  await page.waitForLoadState('networkidle')
  await page.screenshot({ path: `docs/screenshots/${file}.png` })
  await page.close()
}
await browser.close()
await server.stop()
