import Database from 'better-sqlite3'
import { performance } from 'node:perf_hooks'
import { v7 } from 'uuid'
import { noteSchema } from '../../contracts/journal'
import { matchOf, readSearch } from '../../core/journal/query'
import { richText } from '../../core/journal/plainText'
import { randomSource } from '../../core/statistics/randomSource'
import { median, quantile } from '../../core/statistics/quantile'
import { addDays } from '../../core/units/days'
import { formatter } from '../../core/units/formatter'
import { openDatabase } from '../../server/db/connection'
import { refreshEntries } from '../../server/db/journalEntries'
import { migrationFiles } from '../../server/db/migrationFiles'
import { demoTemplate, TestServer } from '../support/server'

/*
 * Twenty years of it: 5,000 batches, 20,000 notes and 10,000 photos. How long it takes to write the line down, and how long a search takes
 * at the server against the bare full-text query of the same words.
 */
const [allBatches, allNotes, allPhotos] = [5000, 20_000, 10_000]
const today = '2026-11-23'
const file = demoTemplate()
const random = randomSource(7)
const pick = <T>(list: readonly T[]): T => list[Math.floor(random.uniform() * list.length)]!
const seenWords =
  `trace soft pale cracked ash veil late early quay rain bright oats honey wire bevel stamp shelf cure smell salt pine rose ferry
  draught cold warm slow quick smooth grainy crumbled perfect market hostel boatyard blue green brown white swirl layer`
    .split(/\s+/)
    .filter(Boolean)
const sentence = () =>
  Array.from({ length: 8 + Math.floor(random.uniform() * 18) }, () => pick(seenWords)).join(' ')

function load(): void {
  const db = openDatabase(file, migrationFiles())
  const models = db
    .prepare<[], Record<string, unknown>>('SELECT * FROM batches WHERE number <= 30')
    .all()
  const facts = new Map(
    db
      .prepare<
        [],
        {
          batch_id: string
          made_by: number
          here: number
          name: string
          batter: number
          facts: string
        }
      >('SELECT * FROM batch_facts')
      .all()
      .map((row) => [row.batch_id, row]),
  )
  const batch = db.prepare(
    `INSERT INTO batches (id, number, formula_id, made_at, bars, cure_rule, cure_days, frozen, face)
     VALUES (@id, @number, @formula_id, @made_at, @bars, @cure_rule, @cure_days, @frozen, @face)`,
  )
  const fact = db.prepare(
    'INSERT INTO batch_facts (batch_id, made_by, here, name, batter, facts) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const event = db.prepare(
    'INSERT INTO batch_events (id, batch_id, kind, payload, at) VALUES (?, ?, ?, ?, ?)',
  )
  const note = db.prepare(
    'INSERT INTO notes (id, revision, document, created_at, changed_at) VALUES (?, 1, ?, ?, ?)',
  )
  const photo = db.prepare(
    "INSERT INTO photos (id, note_id, type, bytes, kept_at) VALUES (?, ?, 'image/jpeg', 90000, ?)",
  )
  const dayOf = (nth: number, all: number) => addDays(today, -1 - Math.floor((nth * 7300) / all))
  db.transaction(() => {
    for (let nth = 0; nth < allBatches; nth++) {
      const model = models[nth % models.length]!
      const id = v7()
      const day = dayOf(nth, allBatches)
      const known = facts.get(model.id as string)!
      batch.run({ ...model, id, number: 1000 + nth, made_at: `${day}T08:00:00.000Z` })
      const told = { ...(JSON.parse(known.facts) as object), pouredOn: day }
      fact.run(id, known.made_by, 0, known.name, known.batter, JSON.stringify(told))
      event.run(
        v7(),
        id,
        'poured',
        JSON.stringify({ id: v7(), kind: 'poured', day }),
        `${day}T10:00:00.000Z`,
      )
    }
    for (let nth = 0; nth < allNotes; nth++) {
      const id = v7()
      const day = dayOf(nth, allNotes)
      const photos = nth < allPhotos ? [v7()] : []
      const document = noteSchema.parse({
        title: nth % 3 ? '' : `${pick(seenWords)} ${pick(seenWords)} ${nth}`,
        when: { day, known: 'day' },
        text: richText(sentence()),
        who: pick(['Maren', 'Idris', 'Jo']),
        weather: nth % 5 ? '' : pick(['rain', 'bright, easterly', 'fog', 'frost']),
        photos,
      })
      const at = `${day}T12:00:00.000Z`
      note.run(id, JSON.stringify(document), at, at)
      for (const one of photos) photo.run(one, id, at)
    }
  })()
  const since = performance.now()
  refreshEntries(db)
  const count = (table: string) =>
    db.prepare<[], number>(`SELECT count(*) FROM ${table}`).pluck().get()!
  console.log(
    `Journal: ${count('batches')} batches, ${count('notes')} notes, ${count('photos')} photos; ${count('entries')} entries written in ${((performance.now() - since) / 1000).toFixed(1)} s`,
  )
  db.close()
}
load()

async function timed(act: () => unknown, rounds = 25): Promise<[number, number]> {
  const times: number[] = []
  for (let round = 0; round < rounds; round++) {
    const since = performance.now()
    await act()
    times.push(performance.now() - since)
  }
  times.sort((one, other) => one - other)
  return [median(times), quantile(times, 0.95)]
}
const server = await TestServer.start(file)
const db = new Database(file, { readonly: true })
const say = formatter()
const bareQuery = db
  .prepare('SELECT rowid FROM entry_words WHERE entry_words MATCH ? ORDER BY rowid DESC')
  .pluck()
for (const search of [
  'honey',
  'the blue one that cracked, spring',
  'draught quay 2014',
  'boat rain jo',
  'grainy hostel winter swirl',
  'zzz nothing',
]) {
  const match = matchOf(readSearch(search, 'Europe/London', say), {})
  const rows = bareQuery.all(match).length
  const [direct] = await timed(() => bareQuery.all(match))
  const [asked, worst] = await timed(async () =>
    (await fetch(`${server.url}/api/journal?search=${encodeURIComponent(search)}`)).text(),
  )
  console.log(
    `“${search}”: ${asked.toFixed(1)} ms (95 of 100 under ${worst.toFixed(1)}), bare full text ${direct.toFixed(1)} ms (${rows} found), ${(asked / direct).toFixed(1)} times`,
  )
}
for (const path of [
  '/api/journal',
  '/api/journal?kind=lesson',
  '/api/journal/edge',
  '/api/journal/nearly?search=blue%20cracked%20winter',
]) {
  const [asked, worst] = await timed(async () => (await fetch(server.url + path)).text())
  console.log(`${path}: ${asked.toFixed(1)} ms, 95 of 100 under ${worst.toFixed(1)}`)
}
/** What comes in while the workshop is that large: 5,000 rows in helpings of a hundred, as the app sends them. */
const id = v7()
const put = (path: string, method: string, body: object) =>
  fetch(server.url + path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
await put(`/api/imports/${id}`, 'PUT', {
  revision: 0,
  document: { kind: 'table', name: 'Old.csv', day: today },
})
const since = performance.now()
for (let from = 0; from < 5000; from += 100)
  await put(`/api/imports/${id}/notes`, 'POST', {
    notes: Array.from({ length: 100 }, (_, nth) => ({
      id: v7(),
      document: noteSchema.parse({
        what: 'batch',
        title: `Row ${from + nth}`,
        when: { day: dayOfRow(from + nth), known: 'day' },
        typed: 'olive oil 500 g\nlye 62 g\nwater 150 g',
        line: from + nth + 2,
      }),
    })),
  })
const sent = performance.now() - since
const first = performance.now()
await (await fetch(`${server.url}/api/journal?search=row`)).text()
console.log(
  `5,000 rows sent in ${(sent / 1000).toFixed(1)} s; the first search after them ${(performance.now() - first).toFixed(0)} ms`,
)
const out = performance.now()
await put(`/api/imports/${id}`, 'DELETE', {})
console.log(`all out again in ${(performance.now() - out).toFixed(0)} ms`)
db.close()
await server.stop()

function dayOfRow(nth: number): string {
  return addDays(today, -30 - nth)
}
