import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
const [, , path, out, w = '1280', h = '800', script = '', extra = ''] = process.argv
const url = readFileSync('/tmp/up.txt', 'utf8').trim()
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu'] })
const page = await browser.newPage({ viewport: { width: +w, height: +h }, locale: 'en-GB', timezoneId: 'Europe/London', serviceWorkers: 'block', colorScheme: extra.includes('dark') ? 'dark' : 'light' })
page.on('pageerror', (e) => console.log('ERR', e.message))
page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()))
await page.clock.setFixedTime(new Date('2026-11-23T09:30:00Z'))
await page.goto(url + path!)
await page.waitForTimeout(2500)
if (script) await (new Function('page', `return (async () => { ${script} })()`))(page)
await page.waitForTimeout(600)
const sw = await page.evaluate(() => document.documentElement.scrollWidth)
if (sw > +w) console.log('WIDE', sw)
await page.screenshot({ path: out!, fullPage: extra.includes('full') })
await browser.close()
