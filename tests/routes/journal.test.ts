import { unzipSync } from 'fflate'
import Papa from 'papaparse'
import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Backups } from '#contracts/backup'
import type { Batch } from '#contracts/batch'
import type { Stored } from '#contracts/document'
import type { JournalEdge, JournalPage, Note } from '#contracts/journal'
import { noteSchema } from '#contracts/journal'
import { blankFormula } from '#core/formula/blank'
import { richText } from '#core/journal/plainText'
import { pagePicture } from '../support/notebook'
import { send as ask } from '../support/send'
import { TestServer } from '../support/server'

/* The journal over HTTP: the line follows whatever is told, searches take any words, and everything can leave and come back. */

let server: TestServer
let batch: Batch
beforeAll(async () => {
  server = await TestServer.start()
  const formulaId = v7()
  const document = { ...blankFormula('Salt Flat'), fats: [{ id: 'olive', share: 1 }] }
  await send('PUT', `/api/formulas/${formulaId}`, { revision: 0, document })
  batch = (
    await send<Batch>('POST', '/api/batches', {
      id: v7(),
      formulaId,
      revision: 1,
      bars: 10,
      cure: { rule: 'most', days: 42 },
    })
  ).body
})
afterAll(() => server.stop())

type Faults = { errors: { path: string; says: string }[] }
const send = <T = Faults>(method: string, path: string, body?: unknown) =>
  ask<T>(server.url + path, method, body)
const found = async (search: string, more = '') =>
  (await send<JournalPage>('GET', `/api/journal?search=${encodeURIComponent(search)}${more}`)).body
const titles = async (search: string, more = '') =>
  (await found(search, more)).entries.map(({ title, says }) => title || says)
const noteOf = (changes: Partial<Note> = {}): Note =>
  noteSchema.parse({ when: { day: '2026-04-10', known: 'day' }, ...changes })
async function put(document: Note, id = v7(), revision = 0) {
  const { status, body } = await send<Stored<Note>>('PUT', `/api/notes/${id}`, {
    revision,
    document,
  })
  expect(status).toBe(200)
  return body
}

describe('the time line', () => {
  it('follows a note that is written, changed, deleted and brought back', async () => {
    const first = await put(noteOf({ title: 'Zephyr', text: richText('It rained on the quay.') }))
    expect(await titles('zephyr')).toEqual(['Zephyr'])
    await put({ ...first.document, title: 'Mistral' }, first.id, first.revision)
    expect(await titles('zephyr')).toEqual([])
    expect(await titles('mistral quay rain spring')).toEqual(['Mistral'])
    await send('DELETE', `/api/notes/${first.id}`)
    expect(await titles('mistral')).toEqual([])
    await send('POST', `/api/notes/${first.id}/restore`)
    expect(await titles('mistral')).toEqual(['Mistral'])
  })
  it('follows what is told of a batch, and what is taken back', async () => {
    const told = {
      id: v7(),
      kind: 'noted',
      day: '2026-11-20',
      note: 'Like driftwood',
      lesson: true,
    }
    await send('POST', `/api/batches/${batch.id}/events`, told)
    const [entry] = (await found('driftwood')).entries
    expect(entry).toMatchObject({ kind: 'lesson', number: batch.number, ref: told.id })
    expect(entry!.lesson).toMatchObject({ state: 'suspected', held: 1, of: 1 })
    // Followed: looked for in the same batch only it is as it was.
    await send('PUT', `/api/lessons/${told.id}`, {
      revision: 0,
      document: {
        says: 'Like driftwood',
        on: '2026-11-20',
        batchId: batch.id,
        dropped: { on: '2026-11-22' },
      },
    })
    expect((await found('driftwood')).entries[0]!.lesson!.state).toBe('dropped')
    expect((await found('driftwood')).entries).toHaveLength(1)
    await send('POST', `/api/batches/${batch.id}/events`, {
      id: v7(),
      kind: 'undone',
      event: told.id,
    })
    // What was said at the batch is taken back; what is followed still stands in the journal.
    expect((await found('driftwood')).entries.map(({ kind }) => kind)).toEqual(['lesson'])
  })
  it('narrows by kind, by who and by weather, and turns its pages', async () => {
    for (let nth = 0; nth < 90; nth++)
      await put(
        noteOf({
          title: `Pebble ${nth}`,
          who: nth % 2 ? 'Idris V.' : 'Jo',
          weather: nth % 3 ? '' : 'fog',
          when: { day: `2025-0${1 + (nth % 9)}-11`, known: 'day', guessed: false },
        }),
      )
    const first = await found('pebble')
    expect(first.found).toBe(90)
    expect(first.entries).toHaveLength(40)
    const seen = new Set(first.entries.map(({ ref }) => ref))
    let { next } = first
    let last = first.entries.at(-1)!.when.day!
    while (next) {
      const page: JournalPage = await found('pebble', `&before=${next}`)
      for (const { ref, when } of page.entries) {
        expect(seen.has(ref)).toBe(false)
        seen.add(ref)
        expect(when.day! <= last).toBe(true)
        last = when.day!
      }
      next = page.next
    }
    expect(seen.size).toBe(90)
    expect((await found('pebble', '&who=Idris%20V.')).found).toBe(45)
    expect((await found('pebble', '&weather=fog')).found).toBe(30)
    expect((await found('pebble', '&weather=fog&who=Jo')).found).toBe(15)
    expect((await found('', '&kind=note&weather=fog')).found).toBe(30)
    const { body: edge } = await send<JournalEdge>('GET', '/api/journal/edge')
    expect(edge.who).toEqual(expect.arrayContaining(['Idris V.', 'Jo']))
    expect(edge.years.find(({ year }) => year === 2025)?.entries).toBe(90)
  })
  it.each([
    '"',
    '*',
    'a"b',
    'NEAR(',
    'words:',
    'xqkbatch',
    '((((',
    "';--",
    '\\',
    '😀',
    'ß',
    '%00',
    '-',
    'AND OR NOT',
  ])('takes whatever is typed: %s', async (typed) => {
    const { status } = await send('GET', `/api/journal?search=${encodeURIComponent(typed)}`)
    expect(status).toBe(200)
    expect(
      (await send('GET', `/api/journal/nearly?search=${encodeURIComponent(`${typed} ${typed}x`)}`))
        .status,
    ).toBe(200)
  })
  it('refuses what no note is, with what is wrong', async () => {
    const bad = await send('PUT', `/api/notes/${v7()}`, {
      revision: 0,
      document: {
        when: { day: '31/2/2013', known: 'day' },
        text: { type: 'doc', content: [{ type: 'script' }] },
      },
    })
    expect(bad.status).toBe(422)
    expect(bad.body.errors.map(({ path }) => path)).toContain('document.when.day')
    const linked = await send('PUT', `/api/notes/${v7()}`, {
      revision: 0,
      document: {
        ...noteOf(),
        text: {
          type: 'doc',
          content: [
            {
              type: 'paragraph',
              content: [
                {
                  type: 'text',
                  text: 'x',
                  marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }],
                },
              ],
            },
          ],
        },
      },
    })
    expect(linked.status).toBe(422)
    const lost = await send('PUT', `/api/notes/${v7()}`, {
      revision: 0,
      document: noteOf({ batchId: v7() }),
    })
    expect(lost.body.errors[0]).toEqual({
      path: 'document.batchId',
      says: 'There is no such batch.',
    })
  })
})

describe('what came in together', () => {
  it('is kept once however often it is sent, goes out at once and comes back as it was', async () => {
    const id = v7()
    const document = { kind: 'table', name: 'Old.csv', day: '2026-11-23' }
    await send('PUT', `/api/imports/${id}`, { revision: 0, document })
    const notes = Array.from({ length: 300 }, (_, nth) => ({
      id: v7(),
      document: noteOf({ what: 'batch', title: `Barnacle ${nth}`, line: nth + 2 }),
    }))
    expect((await send('POST', `/api/imports/${id}/notes`, { notes })).body).toEqual({ count: 300 })
    expect((await send('POST', `/api/imports/${id}/notes`, { notes })).body).toEqual({ count: 300 })
    expect((await found('barnacle')).found).toBe(300)
    // One of them is deleted by hand, and stays so.
    await send('DELETE', `/api/notes/${notes[7]!.id}`)
    await send('DELETE', `/api/imports/${id}`)
    expect((await found('barnacle')).found).toBe(0)
    expect((await send('POST', `/api/imports/${id}/notes`, { notes })).status).toBe(404)
    await send('POST', `/api/imports/${id}/restore`)
    expect((await found('barnacle')).found).toBe(299)
    const { body: list } = await send<Stored<Note>[]>('GET', `/api/imports/${id}/notes`)
    expect(list.slice(0, 3).map(({ document: { line } }) => line)).toEqual([2, 3, 4])
  })
})

describe('everything out', () => {
  it('leaves as JSON and CSV too, and after all is wiped comes back record by record and photo by photo', async () => {
    const noteId = v7()
    const photo = v7()
    await put(noteOf({ title: '=SUM(A1)', photos: [photo] }), noteId)
    const picture = pagePicture(11)
    const kept = await fetch(`${server.url}/api/notes/${noteId}/photos/${photo}`, {
      method: 'PUT',
      headers: { 'content-type': 'image/png' },
      body: Uint8Array.from(picture),
    })
    expect(kept.status).toBe(200)
    const before = (await send<JournalPage>('GET', '/api/journal')).body
    expect((await send('POST', '/api/backups')).status).toBe(200)
    const { name } = (await send<Backups>('GET', '/api/backups')).body.archives[0]!
    const bytes = new Uint8Array(
      await (await fetch(`${server.url}/api/backups/${name}`)).arrayBuffer(),
    )
    const files = unzipSync(bytes)
    const text = (path: string) => new TextDecoder().decode(files[path])
    const json = JSON.parse(text('readable/json/notes.json')) as { id: string; document: Note }[]
    const csv = Papa.parse<Record<string, string>>(
      text('readable/csv/notes.csv').replace(/^\uFEFF/, ''),
      {
        header: true,
        skipEmptyLines: true,
      },
    )
    expect(csv.errors).toEqual([])
    expect(csv.data.map(({ id }) => id)).toEqual(json.map(({ id }) => id))
    expect(json.find(({ id }) => id === noteId)!.document.title).toBe('=SUM(A1)')
    // A spreadsheet would run it: it has a mark before it.
    expect(csv.data.find(({ id }) => id === noteId)!.title).toBe("'=SUM(A1)")
    const batches = JSON.parse(text('readable/json/batches.json')) as {
      id: string
      frozen: { document: { name: string } }
    }[]
    expect(batches.map(({ frozen }) => frozen.document.name)).toEqual(['Salt Flat'])
    expect(text('readable/README.txt')).toContain('notes and old pages')
    // Nothing of this machine leaves it.
    expect(Object.keys(files).filter((path) => /paired|reach|calendar|entries/.test(path))).toEqual(
      [],
    )
    for (const { id } of json) await send('DELETE', `/api/notes/${id}`)
    expect((await found('pebble')).found).toBe(0)
    expect((await send('POST', `/api/backups/${name}/restore`)).status).toBe(200)
    const after = (await send<JournalPage>('GET', '/api/journal')).body
    const plain = ({ entries }: JournalPage) =>
      entries.map(({ id: _, ...entry }) => JSON.stringify(entry)).sort()
    expect(after.found).toBe(before.found)
    expect(plain(after)).toEqual(plain(before))
    const back = Buffer.from(await (await fetch(`${server.url}/api/photos/${photo}`)).arrayBuffer())
    expect(back.equals(picture)).toBe(true)
  })
})
