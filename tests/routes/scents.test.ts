import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Revealed, Sniffing } from '#contracts/sniffing'
import type { KnownScent } from '#contracts/scent'
import type { TrialSummary, WholeTrial } from '#contracts/trial'
import { blankFormula } from '#core/formula/blank'
import { addDays } from '#core/units/days'
import { drawnSamples } from '../../demo/pictures'
import { send as ask } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
/** By the clock of the server. */
let now: number
let today: string
beforeAll(async () => {
  server = await TestServer.start()
  const { body } = await send<{ now: string; today: string }>('GET', '/api/workshop')
  now = Date.parse(body.now)
  today = body.today
})
afterAll(() => server.stop())

const send = <T = { errors: { path: string; says: string }[] }>(
  method: string,
  path: string,
  body?: unknown,
) => ask<T>(server.url + path, method, body)
const document = { ...blankFormula('Hostel Bar'), fats: [{ id: 'olive', share: 1 }] }

async function scent(name: string, more: object = {}) {
  const id = v7()
  return {
    id,
    ...(await send('PUT', `/api/scents/${id}`, { revision: 0, document: { name, ...more } })),
  }
}
/** A trial day some days ago with a plain pot and two scents, and its round behind it. */
async function trialDay(ago: number, codes: string[], scents: string[]) {
  const id = v7()
  const pots = [null, ...scents].map((scentId, nth) => ({
    code: codes[nth],
    scentId,
    name: scentId ? `Scent ${nth}` : 'Plain',
    grams: 60,
    rate: scentId ? 0.05 : 0,
    ratio: 2.14,
    oilShare: 0.7,
  }))
  const kept = await send('PUT', `/api/trials/${id}`, {
    revision: 0,
    document: { number: 1, day: addDays(today, -ago), formula: document, pots },
  })
  const start = now - ago * 86_400_000 - 2 * 3_600_000
  const at = (minute: number, event: object) => ({
    id: v7(),
    at: new Date(start + minute * 60_000).toISOString(),
    ...event,
  })
  const events = [
    at(0, { kind: 'began' }),
    ...scents.flatMap((_, nth) => [
      at(10, { kind: 'zeroed', pot: nth + 1 }),
      at(15 + nth * 10, { kind: 'marked', pot: nth + 1, saw: 'medium' }),
    ]),
    at(42, { kind: 'marked', pot: 0, saw: 'medium' }),
    at(60, { kind: 'ended' }),
  ]
  return { id, kept, events, tell: () => send('POST', `/api/trials/${id}/events`, { events }) }
}

describe('scents', () => {
  it('a name that means lye, a code or a place that is taken, a blend of blends: refused in words', async () => {
    const first = await scent('White lilac', { code: 'NA7', drawer: 'B6' })
    expect(first.status).toBe(200)
    expect((await scent('Caustic soda')).body.errors[0]!.says).toContain('never a scent')
    expect((await scent('Fir', { code: 'NA7' })).body.errors[0]).toEqual({
      path: 'document.code',
      says: 'NA7 is scratched into White lilac.',
    })
    expect((await scent('Fir', { drawer: 'B6' })).body.errors[0]!.says).toContain('lies in B6')
    expect((await scent('Fir', { code: 'NAB' })).status).toBe(422)
    const blend = await scent('Both', { kind: 'blend', parts: [{ scentId: first.id, parts: 1 }] })
    const twice = await scent('Again', { kind: 'blend', parts: [{ scentId: blend.id, parts: 1 }] })
    expect(twice.body.errors[0]!.says).toContain('is a blend itself')
    const gone = await send('DELETE', `/api/scents/${first.id}`)
    expect(gone.status).toBe(409)
    expect(gone.body.errors[0]!.says).toContain('It is in Both')
  })
  it('a supplier stays as long as a scent is from there', async () => {
    const id = v7()
    await send('PUT', `/api/suppliers/${id}`, { revision: 0, document: { name: 'Three Weirs' } })
    await scent('Wet slate', { supplierId: id })
    const { status, body } = await send('DELETE', `/api/suppliers/${id}`)
    expect(status).toBe(409)
    expect(body.errors[0]!.says).toContain('Wet slate')
  })
})

describe('a trial day', () => {
  it('is known of its scents as soon as it was told, and told twice is told once', async () => {
    const one = await scent('Racer', { claims: { pace: 'behaves' } })
    const day = await trialDay(0, ['KF4', 'AEF', 'HKL'], [one.id, v7()])
    expect(day.kept.status).toBe(200)
    await day.tell()
    const { status } = await day.tell()
    expect(status).toBe(200)
    const { body } = await send<WholeTrial>('GET', `/api/trials/${day.id}`)
    expect(body.events).toHaveLength(day.events.length)
    expect(body.state).toBe('done')
    const { body: all } = await send<KnownScent[]>('GET', '/api/scents/known')
    const known = all.find(({ id }) => id === one.id)!
    // 5 min where plain took 32: prior 0, one reading.
    expect(known.effect).toMatchObject({ pots: 1, rests: 'own' })
    expect(known.tried[0]!.medium).toBeCloseTo(5, 6)
    expect(known.judged).toEqual([{ claim: 'pace', held: false }])
  })
  it('keeps its plan once it has begun, and what it found once it is over', async () => {
    const day = await trialDay(0, ['LTX', 'NVY'], [v7()])
    await day.tell()
    const { body } = await send<WholeTrial>('GET', `/api/trials/${day.id}`)
    const changed = { ...body.document, note: 'later' }
    const again = await send('PUT', `/api/trials/${day.id}`, { revision: 1, document: changed })
    expect(again.status).toBe(409)
    expect((await send('DELETE', `/api/trials/${day.id}`)).status).toBe(409)
  })
  it('what cannot be is refused by its place, and nothing of it is written', async () => {
    const day = await trialDay(0, ['XZ4', 'Z7A'], [v7()])
    const at = new Date(now).toISOString()
    const events = [
      { id: v7(), at, kind: 'began' },
      { id: v7(), at, kind: 'zeroed', pot: 9 },
    ]
    const { status, body } = await send('POST', `/api/trials/${day.id}/events`, { events })
    expect(status).toBe(422)
    expect(body.errors[0]).toEqual({
      path: 'events[1]',
      says: 'There is no pot 10 on this trial day.',
    })
    expect((await send<WholeTrial>('GET', `/api/trials/${day.id}`)).body.events).toEqual([])
    const later = new Date(now + 3 * 86_400_000).toISOString()
    const early = await send('POST', `/api/trials/${day.id}/events`, {
      events: [{ id: v7(), at: later, kind: 'began' }],
    })
    expect(early.body.errors[0]!.says).toContain('has not come yet')
    const twin = { ...events[0]!, at: '2026-01-01T10:00:00.000Z' }
    await send('POST', `/api/trials/${day.id}/events`, { events: [events[0]] })
    expect((await send('POST', `/api/trials/${day.id}/events`, { events: [twin] })).status).toBe(
      409,
    )
    expect((await send('POST', `/api/trials/${v7()}/events`, { events: [events[0]] })).status).toBe(
      404,
    )
  })
  it('two pots of one code, no pots: refused', async () => {
    expect((await trialDay(0, ['KKK', 'KKK'], [v7()])).kept.status).toBe(422)
    const none = { number: 1, day: today, formula: document, pots: [] }
    const { status } = await send('PUT', `/api/trials/${v7()}`, { revision: 0, document: none })
    expect(status).toBe(422)
  })
})

describe('noses', () => {
  it('hear codes until the last one is through; then the names, and the scents know it', async () => {
    const one = await scent('Clear one')
    const day = await trialDay(2, ['FHA', 'FHE', 'TTK'], [one.id, v7()])
    await day.tell()
    const before = await send<{ open: Sniffing | null; due: number }>('GET', '/api/sniffing')
    expect(before.body.open).toBeNull()
    expect(before.body.due).toBe(3)
    const { body: round } = await send<Sniffing>('POST', '/api/sniffing', {})
    expect(round.jars).toEqual(['FHA', 'FHE', 'TTK'])
    // Whoever opens it anew, here or on another device, gets the same one, and never a name.
    const again = await send<Sniffing>('POST', '/api/sniffing', {})
    expect(again.body.id).toBe(round.id)
    expect(JSON.stringify(again.body)).not.toMatch(/Scent|trial|pot"|Clear/)
    const sniff = (nose: string, answers: object) =>
      send<Sniffing>('POST', `/api/sniffing/${round.id}/sniffs`, { nose, answers })
    expect((await send('POST', `/api/sniffing/${round.id}/names`, {})).status).toBe(422)
    expect((await sniff('Jo', { ZZZ: 1 })).status).toBe(422)
    const stray = { nose: 'Jo', answers: { FHE: 3 }, said: { TTK: { words: ['sweet'] } } }
    const refused = await send('POST', `/api/sniffing/${round.id}/sniffs`, stray)
    expect(refused.body.errors[0]!.path).toBe('said.TTK')
    await sniff('Jo', { FHA: 0, FHE: 3, TTK: 1 })
    await send('POST', `/api/sniffing/${round.id}/sniffs`, {
      nose: 'Jo',
      answers: { FHA: 0, FHE: 3, TTK: 1 },
      said: { FHE: { words: ['smoky'], unsure: true } },
    })
    const { body: both } = await sniff('Idris', { FHA: 2, FHE: 1, TTK: 1 })
    expect(both.noses).toEqual([
      { nose: 'Jo', jars: 3 },
      { nose: 'Idris', jars: 3 },
    ])
    const { body: told } = await send<Revealed>('POST', `/api/sniffing/${round.id}/names`, {})
    // Idris smelt something in plain soap: set apart.
    expect(told.apart).toEqual(['Idris'])
    expect(told.jars.find(({ code }) => code === 'FHE')).toMatchObject({
      name: 'Scent 1',
      strengths: [3, 1],
      said: [{ words: ['smoky'], unsure: true }, null],
      day: 1,
    })
    expect((await sniff('Maren', { FHA: 0 })).status).toBe(409)
    const { body: known } = await send<KnownScent[]>('GET', '/api/scents/known')
    expect(known.find(({ id }) => id === one.id)!.strength).toEqual([
      { day: 1, middle: 3, from: 3, to: 3, noses: 1 },
    ])
    const { body: trials } = await send<TrialSummary[]>('GET', '/api/trials')
    expect(trials.find(({ id }) => id === day.id)!.sniffed).toEqual([1])
    expect((await send('POST', '/api/sniffing', {})).status).toBe(422)
  })
})

describe('colours', () => {
  const put = (id: string, changes: object = {}, revision = 0) =>
    send('PUT', `/api/colours/${id}`, { revision, document: { rate: 0.02, ...changes } })
  it('are kept under the extra they are of, and refused in words', async () => {
    expect((await put('rose-clay')).status).toBe(200)
    expect((await put('olive')).body.errors[0]!.says).toBe('There is no such extra in the library.')
    expect((await put('no-such-thing')).status).toBe(422)
    const much = await put('indigo', { rate: 0.3 })
    expect(much.body.errors[0]).toEqual({
      path: 'document.rate',
      says: 'More than 20 % is no colour any more.',
    })
    const own = {
      id: 'own-mica',
      kind: 'additive',
      name: 'Heron mica',
      colour: '#8899aa',
      usualRate: 0.01,
      highRate: 0.03,
    }
    await send('PUT', '/api/materials/own-mica', { revision: 0, document: own })
    expect((await put('own-mica')).status).toBe(200)
    const { body } = await send<{ id: string }[]>('GET', '/api/colours')
    expect(body.map(({ id }) => id)).toContain('rose-clay')
    expect((await put('rose-clay', { bleeds: 'no' })).status).toBe(409)
  })
})

describe('photos of a trial day', () => {
  it('are pictures of a day that is there, and another than those of a batch', async () => {
    const one = await scent('Photographed')
    const day = await trialDay(40, ['LLT', 'LLV'], [one.id])
    const keep = (of: string, body: Uint8Array) =>
      fetch(`${server.url}/api/trials/${of}/photos/${v7()}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/octet-stream', origin: server.url },
        body: Buffer.from(body),
      })
    const png = drawnSamples('#e6dcc2', '#b08a58', 1)
    const kept = await keep(day.id, png)
    expect(kept.status).toBe(200)
    const { id } = (await kept.json()) as { id: string }
    const back = await fetch(`${server.url}/api/photos/${id}`)
    expect(back.headers.get('content-type')).toBe('image/png')
    expect(Buffer.from(await back.arrayBuffer()).equals(png)).toBe(true)
    expect((await keep(v7(), png)).status).toBe(404)
    expect((await keep(day.id, new TextEncoder().encode('no picture'))).status).toBe(422)
  })
})
