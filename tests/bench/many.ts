import { chromium } from '@playwright/test'
import Database from 'better-sqlite3'
import { performance } from 'node:perf_hooks'
import { v7 } from 'uuid'
import type { NewBatchEvent } from '../../contracts/batch'
import { quiet } from '../support/quiet'
import { demoTemplate, TestServer } from '../support/server'
import { addDays } from '../../core/units/days'
import { migrationFiles } from '../../server/db/migrationFiles'
import { openDatabase } from '../../server/db/connection'
import { refreshFacts } from '../../server/db/batches'
import { chromiumPath } from '../support/chromium'

/*
 * A workshop of many years: 5 000 batches and 200 000 weigh-ins. How long the lists take at the server, against the bare SQL that
 * reads the same rows, and whether each list is read by an index. Nine of ten batches are sold; the rest stands on the rack.
 */
/** `MANTLE_MANY=520` is enough for the pictures of a full rack alone. */
const batches = Number(process.env.MANTLE_MANY ?? 5000)
const onRack = 500
const weighIns = 40
const file = demoTemplate()
const today = '2026-11-23'

function load(): void {
  const db = openDatabase(file, migrationFiles())
  const alike = db
    .prepare<[], { formula_id: string; frozen: string; face: string }>(
      'SELECT formula_id, frozen, face FROM batches GROUP BY formula_id ORDER BY number',
    )
    .all()
  const first = db.prepare('SELECT max(number) FROM batches').pluck().get() as number
  const batch = db.prepare(
    `INSERT INTO batches (id, number, formula_id, made_at, bars, cure_rule, cure_days, frozen, face)
     VALUES (?, ?, ?, ?, 24, 'most', 42, ?, ?)`,
  )
  const event = db.prepare(
    'INSERT INTO batch_events (id, batch_id, kind, payload, at) VALUES (?, ?, ?, ?, ?)',
  )
  db.transaction(() => {
    for (let nth = 0; nth < batches; nth++) {
      const id = v7()
      const like = alike[nth % alike.length]!
      const here = nth >= batches - onRack
      const pouredOn = addDays(today, here ? -(nth % 60) - 3 : -(batches - nth) - 90)
      batch.run(
        id,
        first + 1 + nth,
        like.formula_id,
        `${pouredOn}T09:00:00.000Z`,
        like.frozen,
        like.face,
      )
      const tell = (told: NewBatchEvent & { id: string }) =>
        event.run(told.id, id, told.kind, JSON.stringify(told), `${pouredOn}T10:00:00.000Z`)
      tell({ id: v7(), kind: 'poured', day: pouredOn })
      const cutOn = addDays(pouredOn, 1)
      tell({
        id: v7(),
        kind: 'cut',
        day: cutOn,
        bars: 24,
        ends: 0,
        rejects: [],
        grams: 126,
        sidesMm: null,
      })
      for (let time = 0; time < weighIns; time++)
        tell({
          id: v7(),
          kind: 'weighed',
          day: addDays(cutOn, here ? Math.min(time, nth % 60) : time * 2),
          bars: [{ bar: 1 + (time % 3), grams: 126 - Math.min(18, time * 0.6) }],
        })
      if (!here) tell({ id: v7(), kind: 'left', day: addDays(pouredOn, 80), why: 'gone', note: '' })
    }
  })()
  const since = performance.now()
  refreshFacts(db)
  console.log(
    `Many: ${batches} batches, ${batches * weighIns} weigh-ins; what they come to is worked out in ${((performance.now() - since) / 1000).toFixed(0)} s, once`,
  )
  db.close()
}
load()

const median = (times: number[]) => [...times].sort((a, b) => a - b)[times.length >> 1]!
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
const columns =
  'id, number, formula_id, made_at, bars, cure_rule, cure_days, face, name, batter, facts'
const joined = 'batches JOIN batch_facts ON batch_id = batches.id'
const lists = [
  {
    name: 'Shelf and Rack: all that is here',
    path: '/api/batches',
    sql: `SELECT ${columns} FROM ${joined} WHERE here = 1 ORDER BY number DESC`,
  },
  {
    name: 'batches that are gone, a page of 100',
    path: '/api/batches/gone',
    sql: `SELECT ${columns} FROM ${joined} WHERE here = 0 AND number < 1e9 ORDER BY number DESC LIMIT 100`,
  },
]
/** Asked for once on a page, not with every list: they only have to answer quickly. */
const besides = [
  { name: 'bars that went in 90 days', path: '/api/batches/gone-since' },
  { name: 'every batch by its figures', path: '/api/learning' },
  { name: 'what was foretold and what came', path: '/api/learning/said' },
]
let over = false
for (const { name, path, sql } of lists) {
  const statement = db.prepare(sql)
  const bare = await timed(() => statement.all())
  const whole = await timed(async () => (await fetch(server.url + path)).text())
  const within = whole < 50 && whole < 3 * bare + 5
  over ||= !within
  console.log(
    `${name.padEnd(40)} SQL ${bare.toFixed(1)} ms, route ${whole.toFixed(1)} ms   (limit 50 ms, and three times the SQL with 5 ms for the request)  ${within ? 'within' : 'OVER'}`,
  )
  for (const { detail } of db.prepare<[], { detail: string }>(`EXPLAIN QUERY PLAN ${sql}`).all())
    console.log(`    ${detail}`)
}
db.close()
for (const { name, path } of besides) {
  const whole = await timed(async () => (await fetch(server.url + path)).text())
  over ||= whole >= 50
  console.log(
    `${name.padEnd(40)} route ${whole.toFixed(1)} ms   (limit 50 ms)  ${whole < 50 ? 'within' : 'OVER'}`,
  )
}

/** ms between two frames at which a hand on the wheel feels a jerk. */
const jerk = 50
const browser = await chromium.launch({
  executablePath: chromiumPath,
  args: ['--no-sandbox'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
// As text: what the runner does to functions does not run in the page.
await page.addInitScript(`
  window.tasks = []
  new PerformanceObserver((list) => {
    for (const { startTime, duration } of list.getEntries()) tasks.push([startTime, duration])
  }).observe({ type: 'longtask', buffered: true })
`)
const views: [name: string, path: string, view: string][] = [
  ['shelf', '/', 'stages'],
  ['stages', '/rack', 'stages'],
  ['room', '/rack', 'room'],
  ['list', '/rack', 'list'],
]
/** Longest task of a page coming up, ms: the middle one of seven times, each until nothing has moved for a second. */
const openings = 7
async function longestTask(url: string): Promise<number> {
  const longest: number[] = []
  for (let time = 0; time < openings; time++) {
    await page.goto(url)
    await page.getByRole('heading', { level: 1 }).waitFor()
    await quiet(page)
    await new Promise((done) => setTimeout(done, 1000))
    const tasks = await page.evaluate<[number, number][]>('tasks.splice(0)')
    longest.push(Math.max(0, ...tasks.map(([, ms]) => ms)))
  }
  return median(longest)
}
/** The same pages of a workshop with nothing in it: what the app itself takes to come up on this machine. */
const empty = await TestServer.start()
for (const [name, path, view] of views) {
  await page.addInitScript(`localStorage.setItem('mantle-rack-view', JSON.stringify('${view}'))`)
  const longest = await longestTask(server.url + path)
  const floor = Math.max(50, await longestTask(empty.url + path))
  over ||= longest > floor
  console.log(
    `${name.padEnd(8)} longest task coming up ${longest.toFixed(0)} ms, in an empty workshop ${floor.toFixed(0)} ms or less   (limit: no longer)  ${longest <= floor ? 'within' : 'OVER'}`,
  )
  await page.goto(server.url + path)
  await page.getByRole('heading', { level: 1 }).waitFor()
  await quiet(page)
  await page.evaluate('tasks.splice(0)')
  // As text: what the runner does to functions does not run in the page.
  await page.evaluate(`
    window.gaps = []
    let last = performance.now()
    const look = (now) => { gaps.push(now - last); last = now; requestAnimationFrame(look) }
    requestAnimationFrame(look)
  `)
  await page.mouse.move(500, 500)
  for (let turn = 0; turn < 60; turn++) {
    await page.mouse.wheel(0, 240)
    // The next turn two pictures later: about as fast as a hand turns a wheel.
    await page.evaluate(
      `new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))`,
    )
  }
  const frames = await page.evaluate<number[]>('gaps')
  const jerks = frames.filter((gap) => gap > jerk).length
  const height = await page.evaluate<number>('document.documentElement.scrollHeight')
  const smooth = jerks <= frames.length * 0.05
  over ||= !smooth
  const tasks = await page.evaluate<[number, number][]>('tasks.splice(0)')
  const nodes = await page.evaluate<number>('document.querySelectorAll("*").length')
  const told = (all: [number, number][]) =>
    all.map(([at, ms]) => `${ms.toFixed(0)} ms at ${(at / 1000).toFixed(1)} s`).join(', ') || 'none'
  console.log(
    `${name.padEnd(8)} ${nodes} nodes; tasks over 50 ms while it was scrolled: ${told(tasks)}`,
  )
  console.log(
    `scrolling ${name.padEnd(6)} ${height} px high, ${frames.length} frames, median ${median(frames).toFixed(1)} ms, ${jerks} over ${jerk} ms   (limit 5 %)  ${smooth ? 'within' : 'OVER'}`,
  )
}
await browser.close()
await empty.stop()
await server.stop()
if (over) process.exitCode = 1
