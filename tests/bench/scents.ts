import { chromium } from '@playwright/test'
import Database from 'better-sqlite3'
import { performance } from 'node:perf_hooks'
import { setTimeout as sleep } from 'node:timers/promises'
import { v7 } from 'uuid'
import type { Scent } from '../../contracts/scent'
import type { Trial, TrialEvent } from '../../contracts/trial'
import { addDays } from '../../core/units/days'
import { median } from '../../core/statistics/quantile'
import { openDatabase } from '../../server/db/connection'
import { scents, trials } from '../../server/db/documents'
import { migrationFiles } from '../../server/db/migrationFiles'
import { addTrialEvents, trialEventsAfter } from '../../server/db/trials'
import { chromiumPath } from '../support/chromium'
import { demoTemplate, TestServer } from '../support/server'

/*
 * A drawer of 300 scents and 60 trial days: how long the lists of the station take at the server, against the bare SQL that reads the
 * same rows; and how soon the round shows what a key told.
 */
const [manyScents, manyDays] = [300, 60]
const today = '2026-11-23'
const file = demoTemplate()

/** The demo's scents and days over again, each under ids of its own. */
function load(): void {
  const db = openDatabase(file, migrationFiles())
  const drawer = scents.list(db)
  const like = trials.list(db)
  db.transaction(() => {
    const ids: string[] = drawer.map(({ id }) => id)
    for (let nth = drawer.length; nth < manyScents; nth++) {
      const id = v7()
      ids.push(id)
      const { document } = drawer[nth % drawer.length]!
      const one: Scent = {
        ...document,
        name: `${document.name} ${nth}`,
        code: null,
        drawer: null,
      }
      scents.save(db, id, 0, one, `${today}T08:00:00.000Z`)
    }
    for (let nth = like.length; nth < manyDays; nth++) {
      const { id: from, document } = like[nth % like.length]!
      const id = v7()
      const day: Trial = {
        ...document,
        number: nth + 1,
        day: addDays(today, -100 - nth * 7),
        pots: document.pots.map((pot, place) =>
          pot.scentId ? { ...pot, scentId: ids[(nth * 11 + place) % ids.length]! } : pot,
        ),
      }
      trials.save(db, id, 0, day, `${today}T08:00:00.000Z`)
      const renamed = new Map<string, string>()
      const events = trialEventsAfter(db, from).map(({ seq: _, ...event }): TrialEvent => {
        renamed.set(event.id, v7())
        return { ...event, id: renamed.get(event.id)! } as TrialEvent
      })
      addTrialEvents(db, id, events, `${today}T08:00:00.000Z`)
    }
  })()
  const told = db.prepare('SELECT count(*) FROM trial_events').pluck().get() as number
  console.log(`Scents: ${manyScents} scents, ${manyDays} trial days, ${told} entries`)
  db.close()
}
load()

async function timed(act: () => unknown, rounds = 30): Promise<number> {
  const times: number[] = []
  for (let round = 0; round < rounds; round++) {
    const since = performance.now()
    await act()
    times.push(performance.now() - since)
  }
  return median(times)
}
const server = await TestServer.start(file)
const db = new Database(file, { readonly: true })
const columns = 'id, revision, document, changed_at, changed_by'
const all = (table: string, more = '') =>
  `SELECT ${columns}${more} FROM ${table} WHERE deleted_at IS NULL ORDER BY changed_at DESC, id DESC`
const lists = [
  { name: 'scents', path: '/api/scents', sql: all('scents') },
  { name: 'suppliers', path: '/api/suppliers', sql: all('suppliers') },
  {
    name: 'what is known of all scents',
    path: '/api/scents/known',
    sql: all('trials', ', state, found, sniffed'),
  },
  {
    name: 'trial days with what was found',
    path: '/api/trials',
    sql: all('trials', ', state, found, sniffed'),
  },
]
for (const { name, path, sql } of lists) {
  const statement = db.prepare(sql)
  // Rows are read to be used: what stands in them as text is parsed.
  const bare = await timed(() =>
    (statement.all() as Record<string, unknown>[]).map((row) =>
      Object.fromEntries(
        Object.entries(row).map(([key, value]) => [
          key,
          typeof value === 'string' && /^[[{]/.test(value) ? (JSON.parse(value) as unknown) : value,
        ]),
      ),
    ),
  )
  const whole = await timed(async () => (await fetch(server.url + path)).text())
  console.log(
    `${name.padEnd(40)} SQL ${bare.toFixed(1)} ms, route ${whole.toFixed(1)} ms   (limit three times the SQL with 5 ms for the request)  ${whole < 3 * bare + 5 ? 'within' : 'OVER'}`,
  )
}
db.close()

/* A round of twelve pots: from a key to the frame that shows it. */
const [{ document }] = (await (await fetch(`${server.url}/api/trials`)).json()) as [
  { document: Trial },
]
const id = v7()
await fetch(`${server.url}/api/trials/${id}`, {
  method: 'PUT',
  body: JSON.stringify({ revision: 0, document: { ...document, day: today } }),
})
const tell = (events: object[]) =>
  fetch(`${server.url}/api/trials/${id}/events`, {
    method: 'POST',
    body: JSON.stringify({ events: events.map((event) => ({ id: v7(), ...event })) }),
  })
const { now } = (await (await fetch(`${server.url}/api/workshop`)).json()) as { now: string }
const at = new Date(Date.parse(now) - 60_000).toISOString()
await tell([
  { at, kind: 'began' },
  ...document.pots.map((_, pot) => ({
    at,
    kind: 'weighed',
    pot,
    what: 'batter',
    grams: 60,
    typed: true,
  })),
  ...document.pots.flatMap(({ scentId }, pot) => (scentId ? [{ at, kind: 'zeroed', pot }] : [])),
])
const browser = await chromium.launch({ executablePath: chromiumPath, args: ['--no-sandbox'] })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(`${server.url}/scents/trials/${id}/round`)
await page.getByText('Space, next pot').waitFor()
await page.evaluate(`
  window.waits = []
  document.addEventListener('keydown', ({ timeStamp }) => {
    requestAnimationFrame(() => waits.push(performance.now() - timeStamp))
  }, { capture: true })
`)
for (let nth = 0; nth < 60; nth++) {
  await page.keyboard.press(nth % 3 ? ' ' : '3')
  // As a hand does it: two a second and more.
  await sleep(60)
}
const waits = (await page.evaluate('window.waits')) as number[]
const frame = 1000 / 60
console.log(
  `a key in a round of ${document.pots.length} pots              median ${median(waits).toFixed(1)} ms, longest ${Math.max(...waits).toFixed(1)} ms to its frame   (limit one frame, ${frame.toFixed(1)} ms, in the middle)  ${median(waits) <= frame ? 'within' : 'OVER'}`,
)
await browser.close()
await server.stop()
