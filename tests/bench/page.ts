import { get } from 'node:http'
import { chromium } from '@playwright/test'
import { demoTemplate, TestServer } from '../support/server'

/*
 * First load of the formula page in Chromium with an empty cache: compressed bytes of every script that the page runs
 * (what is prefetched but not run is not counted), and how long a keystroke takes to the next painted frame.
 */

const server = await TestServer.start(demoTemplate())
const browser = await chromium.launch({
  executablePath: process.env.MANTLE_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
const list = (await (await fetch(`${server.url}/api/formulas`)).json()) as { id: string }[]
const session = await page.context().newCDPSession(page)
await session.send('Debugger.enable')
const run = new Set<string>()
session.on('Debugger.scriptParsed', ({ url }) => {
  if (url.startsWith(`${server.url}/_nuxt/`)) run.add(url)
})
await page.goto(`${server.url}/formulas/${list[0]!.id}`)
await page.getByTestId('lye').waitFor()
await page.waitForLoadState('networkidle')
/** Scripts that were really run, whether they came as preload, prefetch or import; sizes as the server sends them. */
const sizes = await Promise.all(
  [...run].map(
    (url) =>
      new Promise<number>((done) =>
        get(url, { headers: { 'accept-encoding': 'gzip' } }, (answer) => {
          let bytes = 0
          answer.on('data', (part: Buffer) => (bytes += part.length))
          answer.on('end', () => done(bytes))
        }),
      ),
  ),
)
const kilobytes = sizes.reduce((sum, bytes) => sum + bytes, 0) / 1000
console.log(
  `${'formula page, scripts of the first load, compressed'.padEnd(52)} ${kilobytes.toFixed(1)} kB in ${run.size} files   (limit 200 kB)  ${kilobytes < 200 ? 'within' : 'OVER'}`,
)

const field = page.getByRole('textbox', { name: 'Superfat', exact: true })
await field.focus()
const times: number[] = []
for (let round = 0; round < 40; round++) {
  times.push(
    await field.evaluate(
      async (input: HTMLInputElement, value) => {
        const since = performance.now()
        input.value = value
        input.dispatchEvent(new InputEvent('input', { bubbles: true }))
        await new Promise((done) => requestAnimationFrame(() => setTimeout(done)))
        return performance.now() - since
      },
      String(5 + (round % 7)),
    ),
  )
}
times.sort((a, b) => a - b)
console.log(
  `${'keystroke to painted frame, with remarks and pot'.padEnd(52)} median ${times[20]!.toFixed(1)} ms, slowest ${times.at(-1)!.toFixed(1)} ms`,
)
await browser.close()
await server.stop()
