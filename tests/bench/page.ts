import { chromium } from '@playwright/test'
import { demoTemplate, TestServer } from '../support/server'

/*
 * First load of the formula page in Chromium with an empty cache: compressed bytes of every script that the page runs
 * (prefetched ones not counted), and how long a keystroke takes to the next painted frame.
 */

const server = await TestServer.start(demoTemplate())
const browser = await chromium.launch({
  executablePath: process.env.MANTLE_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
const list = (await (await fetch(`${server.url}/api/formulas`)).json()) as { id: string }[]
const session = await page.context().newCDPSession(page)
await session.send('Network.enable')
const scripts = new Map<string, { url: string; bytes: number; prefetch: boolean }>()
session.on('Network.requestWillBeSent', ({ requestId, request, type }) => {
  const purpose = request.headers['Purpose'] ?? request.headers['Sec-Purpose'] ?? ''
  if (request.url.endsWith('.js'))
    scripts.set(requestId, {
      url: request.url,
      bytes: 0,
      prefetch: /prefetch/.test(purpose) || type === 'Other',
    })
})
session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
  const script = scripts.get(requestId)
  if (script) script.bytes = encodedDataLength
})
await page.goto(`${server.url}/formulas/${list[0]!.id}`)
await page.getByTestId('lye').waitFor()
await page.waitForLoadState('networkidle')
const run = [...scripts.values()].filter(({ prefetch }) => !prefetch)
const kilobytes = run.reduce((sum, { bytes }) => sum + bytes, 0) / 1000
console.log(
  `${'formula page, scripts of the first load, compressed'.padEnd(52)} ${kilobytes.toFixed(1)} kB in ${run.length} files   (limit 200 kB)  ${kilobytes < 200 ? 'within' : 'OVER'}`,
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
