import type { ScoredForecast } from '#contracts/learning'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { PNG } from 'pngjs'
import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Batch } from '#contracts/batch'
import type { Room } from '#contracts/room'
import type { Stored } from '#contracts/document'
import type { Goal } from '#contracts/goal'
import type { Workshop, WorkshopNow } from '#contracts/workshop'
import { blankFormula } from '#core/formula/blank'
import { photosOf } from '../../server/db/files'
import { patchShop, send as ask, until } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
let formulaId: string
let batch: Batch
beforeAll(async () => {
  server = await TestServer.start()
  formulaId = v7()
  const document = { ...blankFormula('Slip'), fats: [{ id: 'olive', share: 1 }] }
  await send('PUT', `/api/formulas/${formulaId}`, { revision: 0, document })
  const made = await send<Batch>('POST', '/api/batches', {
    id: v7(),
    formulaId,
    revision: 1,
    bars: 10,
    cure: { rule: 'most', days: 42 },
  })
  await tell(made.body.id, { kind: 'poured', day: '2026-10-01' })
  batch = (await tell(made.body.id, { kind: 'cut', day: '2026-10-02', bars: 9, grams: 120 })).body
})
afterAll(() => server.stop())

const send = <T = unknown>(method: string, path: string, body?: unknown) =>
  ask<T>(server.url + path, method, body)
const tell = (id: string, event: object) =>
  send<Batch & { errors?: { path: string; says: string }[] }>('POST', `/api/batches/${id}/events`, {
    id: v7(),
    ...event,
  })
const put = (rack: Partial<Workshop['rack']>) => patchShop<WorkshopNow>(server.url, { rack })

describe('photos', () => {
  const picture = PNG.sync.write(new PNG({ width: 4, height: 4 }))
  const photo = (id: string, bytes: Uint8Array, name = 'image/jpeg', of = batch.id) =>
    fetch(`${server.url}/api/batches/${of}/photos/${id}`, {
      method: 'PUT',
      headers: { 'content-type': name },
      body: new Blob([Uint8Array.from(bytes)]),
    })

  it('are files beside the database, known by their content and not by what they are called', async () => {
    const id = v7()
    expect((await photo(id, picture)).status).toBe(200)
    expect((await photo(id, picture)).status).toBe(200)
    const back = await fetch(`${server.url}/api/photos/${id}`)
    expect(back.headers.get('content-type')).toBe('image/png')
    expect(back.headers.get('x-content-type-options')).toBe('nosniff')
    expect(Buffer.from(await back.arrayBuffer()).equals(picture)).toBe(true)
    expect(readFileSync(join(photosOf(server.database), id)).equals(picture)).toBe(true)
  })
  it('that are none are refused, and nothing of them is kept', async () => {
    const id = v7()
    const page = await photo(id, Buffer.from('<script>alert(1)</script>'))
    expect(page.status).toBe(422)
    expect(await page.json()).toEqual({
      errors: [{ path: '', says: 'This is not a JPEG, PNG or WebP picture.' }],
    })
    expect(existsSync(join(photosOf(server.database), id))).toBe(false)
    expect((await photo(id, Buffer.alloc(4 * 1024 * 1024 + 1))).status).toBe(413)
    expect((await photo('..%2Fmantle', picture)).status).toBe(404)
    expect((await photo(v7(), picture, 'image/png', v7())).status).toBe(404)
    expect((await fetch(`${server.url}/api/photos/${v7()}`)).status).toBe(404)
  })
  it('of an older Mantle come out of the database at the start', async () => {
    const [run, id] = [v7(), v7()]
    await server.kill()
    const db = new Database(server.database)
    db.prepare(
      `INSERT INTO runs (id, batch_id, setup, scale, paper, started_by, started_at)
       VALUES (?, ?, '{}', 1, 0, 'tablet', '2026-10-01T09:00:00Z')`,
    ).run(run, batch.id)
    db.prepare('INSERT INTO run_photos (id, run_id, bytes, kept_at) VALUES (?, ?, ?, ?)').run(
      id,
      run,
      picture,
      '2026-10-01T09:00:00Z',
    )
    db.close()
    await server.run()
    const back = await fetch(`${server.url}/api/photos/${id}`)
    expect(Buffer.from(await back.arrayBuffer()).equals(picture)).toBe(true)
    const after = new Database(server.database, { readonly: true })
    expect(after.prepare('SELECT count(*) FROM run_photos').pluck().get()).toBe(0)
    after.close()
  })
})

describe('the room', () => {
  it('is typed, and what bars dry in follows; nonsense is refused', async () => {
    expect((await send('POST', '/api/room', { celsius: 17, humidity: 62 })).status).toBe(422)
    const typed = await send<Room>('POST', '/api/room', { celsius: 15.5, humidity: 0.8 })
    expect(typed.body.now).toMatchObject({ celsius: 15.5, humidity: 0.8, by: 'hand' })
    expect(typed.body.days).toEqual([{ day: '2026-11-23', celsius: 15.5, humidity: 0.8 }])
    expect((await send<WorkshopNow>('GET', '/api/workshop')).body.humidity).toBe(0.8)
    // Worked out after the answer: nobody who reads a hygrometer waits for it.
    await until(
      () => send<Batch>('GET', `/api/batches/${batch.id}`),
      ({ body }) => body.facts.drying!.dryOn > batch.facts.drying!.dryOn,
    )
  })
  it('is read by the stand-in and streamed', async () => {
    expect((await put({ sensor: 'stand-in' })).status).toBe(200)
    const { body } = await send<Room>('GET', '/api/room')
    expect(body.now).toMatchObject({ by: 'sensor' })
    const stream = await fetch(`${server.url}/api/stream?room=1`)
    const reader = stream.body!.getReader()
    let first = ''
    while (!first.includes('"room"')) first += new TextDecoder().decode((await reader.read()).value)
    await reader.cancel()
    expect(first).toContain(`"humidity":${body.now!.humidity}`)
  })
  it('is read by a device that posts both, and silent until it does', async () => {
    await put({ sensor: 'shed' })
    const post = (kind: string, value: number) =>
      fetch(`${server.url}/api/devices/readings`, {
        method: 'POST',
        body: JSON.stringify({ device: 'shed', kind, value }),
      })
    await post('celsius', 12.5)
    await post('humidity', 0.71)
    const { body } = await send<Room>('GET', '/api/room')
    expect(body.now).toMatchObject({ celsius: 12.5, humidity: 0.71, by: 'sensor' })
  })
})

describe('what happens to a batch', () => {
  it('a weight found wrong locks it: not sold, and the way back frees it', async () => {
    await tell(batch.id, { kind: 'strip', day: '2026-10-04', ph: 9, where: 'lather' })
    const wrong = {
      id: v7(),
      kind: 'corrected',
      day: '2026-10-05',
      differences: [{ what: 'naoh', grams: 40 }],
    }
    const { body } = await send<Batch>('POST', `/api/batches/${batch.id}/events`, wrong)
    expect(body.facts.usable).toMatchObject({ state: 'locked', because: 'weights' })
    const sold = await tell(batch.id, { kind: 'out', day: '2026-11-20', bars: 1, how: 'sold' })
    expect(sold.status).toBe(422)
    expect(sold.body.errors![0]!.says).toMatch(/free lye/)
    const back = await tell(batch.id, { kind: 'undone', event: wrong.id })
    expect(back.body.facts.usable.state).toBe('usable')
  })
  it('what went of late is counted by formula, less what was taken back', async () => {
    const sold = { id: v7(), kind: 'out', day: '2026-11-20', bars: 2, how: 'sold', to: '' }
    await send('POST', `/api/batches/${batch.id}/events`, sold)
    await tell(batch.id, { kind: 'out', day: '2026-11-21', bars: 1, how: 'used' })
    await tell(batch.id, { kind: 'out', day: '2026-11-21', bars: 1, how: 'binned' })
    const gone = async () =>
      (await send<Record<string, number>>('GET', '/api/batches/gone-since')).body
    expect(await gone()).toEqual({ [formulaId]: 3 })
    await tell(batch.id, { kind: 'undone', event: sold.id })
    expect(await gone()).toEqual({ [formulaId]: 1 })
  })
  it('how bars felt goes to the formula; scores from 1 to 5 only', async () => {
    const felt = (scores: object) => tell(batch.id, { kind: 'felt', day: '2026-11-10', scores })
    expect((await felt({ quickFoam: 4 })).status).toBe(200)
    expect((await felt({ quickFoam: 6 })).status).toBe(422)
    expect((await felt({})).status).toBe(422)
    expect((await send('GET', `/api/formulas/${formulaId}/felt`)).body).toEqual([
      { day: 40, scores: { quickFoam: 4 } },
    ])
  })
  it('forecasts are held against what came once the bars were weighed until dry', async () => {
    const came = async () =>
      (await send<ScoredForecast[]>('GET', '/api/learning/said')).body.filter(
        ({ what }) => what === 'dry',
      )
    const foretold = async (on: string) => {
      const { body } = await send<Batch>('GET', `/api/batches/${batch.id}`)
      return body.events.some((event) => event.kind === 'foretold' && event.day === on)
    }
    expect(await came()).toEqual([])
    for (const [day, grams] of [
      ['2026-10-03', 119],
      ['2026-10-08', 113],
      ['2026-10-15', 109],
      ['2026-10-25', 106.6],
      ['2026-11-22', 105.5],
    ] as const) {
      await tell(batch.id, { kind: 'weighed', day, bars: [{ bar: 1, grams }] })
      // Each is foretold by a worker, in its own time: the next is weighed days later.
      await expect.poll(() => foretold(day), { timeout: 20_000 }).toBe(true)
    }
    await expect
      .poll(came, { timeout: 20_000 })
      .toMatchObject([{ batchId: batch.id, on: '2026-10-15' }])
  })
})

describe('goals', () => {
  const goal = (changes: object = {}) => ({
    revision: 0,
    document: { what: 'Market', on: '2026-12-12', formulaId, bars: 20, ...changes },
  })
  it('are kept, changed, taken off and brought back', async () => {
    const id = v7()
    expect((await send('PUT', `/api/goals/${id}`, goal())).status).toBe(200)
    expect((await send<Stored<Goal>[]>('GET', '/api/goals')).body).toHaveLength(1)
    expect((await send('DELETE', `/api/goals/${id}`)).status).toBe(200)
    expect((await send<Stored<Goal>>('POST', `/api/goals/${id}/restore`)).body.document.bars).toBe(
      20,
    )
  })
  it.each([
    ['document.formulaId', { formulaId: v7() }],
    ['document.on', { on: '31/12/2026' }],
    ['document.bars', { bars: 0 }],
    ['document.what', { what: ' ' }],
  ])('say what is wrong with %s', async (path, changes) => {
    const { status, body } = await send<{ errors: { path: string }[] }>(
      'PUT',
      `/api/goals/${v7()}`,
      goal(changes),
    )
    expect(status).toBe(422)
    expect(body.errors[0]!.path).toBe(path)
  })
})

describe('the rules of the rack', () => {
  it('are kept, and what cannot be is named', async () => {
    const place = { id: v7(), name: 'Beam', kind: 'plank' as const, bars: 40, spot: null }
    expect(
      (await put({ places: [place], cures: [{ id: 'most', label: 'Most', days: 56 }] })).body.rack
        .places,
    ).toEqual([place])
    const wrong = await put({ places: [{ ...place, name: '' }] })
    expect(wrong.status).toBe(422)
    expect(wrong.body).toEqual({
      errors: [{ path: 'rack.places[0].name', says: 'This must not be empty.' }],
    })
  })
})
