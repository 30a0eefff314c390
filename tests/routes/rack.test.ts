import Database from 'better-sqlite3'
import ICAL from 'ical.js'
import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Batch, BatchFacts, BatchSummary } from '#contracts/batch'
import { blankFormula } from '#core/formula/blank'
import { patchShop, send as ask, until } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const send = <T = unknown>(method: string, path: string, body?: unknown) =>
  ask<T>(server.url + path, method, body)
const tell = (id: string, event: object) =>
  send<Batch>('POST', `/api/batches/${id}/events`, { id: v7(), ...event })

async function cutBatch(name: string): Promise<Batch> {
  const formulaId = v7()
  const document = { ...blankFormula(name), fats: [{ id: 'olive', share: 1 }] }
  await send('PUT', `/api/formulas/${formulaId}`, { revision: 0, document })
  const { body } = await send<Batch>('POST', '/api/batches', {
    id: v7(),
    formulaId,
    revision: 1,
    bars: 10,
    cure: { rule: 'most', days: 42 },
  })
  await tell(body.id, { kind: 'poured', day: '2026-10-01' })
  return (await tell(body.id, { kind: 'cut', day: '2026-10-02', bars: 9, grams: 120 })).body
}
const here = async () => (await send<BatchSummary[]>('GET', '/api/batches')).body

/** Facts as lists have them: without the curve of the drying. */
function inLists({ drying, ...facts }: BatchFacts): BatchFacts {
  if (!drying) return { ...facts, drying }
  const { curve: _, ...rest } = drying
  return { ...facts, drying: rest }
}

describe('the picture of a batch', () => {
  it('is changed for those that are there; what is no picture is refused in words', async () => {
    const batch = await cutBatch('Pictured')
    const put = (thumbnail: object, id = batch.id) =>
      send<Batch[]>('PUT', '/api/batches/thumbnails', { pictures: [{ id, thumbnail }] })
    const split = { pattern: 'split', colours: ['#112233', '#445566'] }
    const { status, body } = await put(split)
    expect([status, body.map(({ thumbnail }) => thumbnail)]).toEqual([200, [split]])
    expect((await here()).find(({ id }) => id === batch.id)!.thumbnail).toEqual(split)
    expect((await put(split, v7())).body).toEqual([])
    expect(await put({ pattern: 'split', colours: ['red'] })).toMatchObject({
      status: 422,
      body: { errors: [{ path: 'pictures[0].thumbnail.colours[0]' }] },
    })
    expect((await put({ pattern: 'marble', colours: ['#112233'] })).status).toBe(422)
    expect((await send('PUT', '/api/batches/thumbnails', { pictures: [] })).status).toBe(422)
  })

  it('chosen for a formula goes to the batches made of it from then on', async () => {
    const formulaId = v7()
    const thumbnail = { pattern: 'flecks', colours: ['#ddccbb', '#334455'] }
    const document = { ...blankFormula('Chosen'), fats: [{ id: 'olive', share: 1 }], thumbnail }
    await send('PUT', `/api/formulas/${formulaId}`, { revision: 0, document })
    const order = { id: v7(), formulaId, revision: 1, bars: 10, cure: { rule: 'most', days: 42 } }
    expect((await send<Batch>('POST', '/api/batches', order)).body.thumbnail).toEqual(thumbnail)
  })
})

describe('a batch on the rack', () => {
  it('weigh-ins move its dry date; facts stand in the list without its events', async () => {
    const batch = await cutBatch('Dryer')
    const before = batch.facts.drying!
    const { body } = await tell(batch.id, {
      kind: 'weighed',
      day: '2026-10-20',
      bars: [
        { bar: 1, grams: 104 },
        { bar: 2, grams: 105.5 },
      ],
    })
    expect(body.facts.drying!.dryOn).not.toBe(before.dryOn)
    expect(body.facts.weighed).toEqual([
      { bar: 1, grams: 104 },
      { bar: 2, grams: 105.5 },
    ])
    const listed = (await here()).find(({ id }) => id === batch.id)!
    // The curve comes with a batch by itself only.
    expect(body.facts.drying!.curve).toHaveLength(31)
    expect(listed).toEqual(expect.objectContaining({ facts: inLists(body.facts), name: 'Dryer' }))
    expect(listed).not.toHaveProperty('events')
  })

  it('held or locked it is not sold, but may be reworked; counted out it is gone', async () => {
    const batch = await cutBatch('Sharp')
    const out = (bars: number, how = 'sold') =>
      tell(batch.id, { kind: 'out', day: '2026-11-20', bars, how })
    const strip = (ph: number) =>
      tell(batch.id, { kind: 'strip', day: '2026-11-19', ph, where: 'lather' })
    await strip(10.5)
    expect((await out(1)).body.errors![0]!.says).toMatch(/held/)
    await strip(12)
    expect((await out(1, 'given')).body.errors![0]!.says).toMatch(/locked/)
    expect((await out(2, 'reworked')).status).toBe(200)
    await strip(9)
    expect((await out(8)).body.errors![0]!.says).toBe('Only 7 bars are left.')
    expect((await out(7)).status).toBe(200)
    expect((await here()).some(({ id }) => id === batch.id)).toBe(false)
    const gone = await send<BatchSummary[]>('GET', '/api/batches/gone?find=sharp')
    expect(gone.body.map(({ id }) => id)).toEqual([batch.id])
    expect((await send('GET', '/api/batches/gone?most=many')).status).toBe(422)
    const counts = await send<Record<string, number>>('GET', '/api/batches/counts')
    expect(counts.body[batch.formulaId]).toBe(1)
  })

  it.each([
    [{ kind: 'strip', day: '2026-10-09', ph: 20, where: 'lather' }, 'ph'],
    [{ kind: 'weighed', day: '2026-10-09', bars: [{ bar: 1, grams: 'light' }] }, 'bars[0].grams'],
    [{ kind: 'out', day: '2026-10-09', bars: 1, how: 'eaten' }, 'how'],
    [{ kind: 'released', day: '2026-10-09', basis: '' }, 'basis'],
  ])('refuses %o with its place', async (event, path) => {
    const batch = await cutBatch('Plain')
    const { status, body } = await tell(batch.id, event)
    expect(status).toBe(422)
    expect(body.errors![0]!.path).toBe(path)
  })

  it('an older database gets its facts when it is opened', async () => {
    const batch = await cutBatch('Old')
    await server.kill('SIGTERM')
    const db = new Database(server.database)
    db.exec('DELETE FROM batch_facts')
    db.close()
    await server.run()
    // At once with all but its forecast, which follows after the server listens.
    const { drying: _, lyeHeavy: __, ...atOnce } = batch.facts
    expect((await here()).find(({ id }) => id === batch.id)!.facts).toMatchObject(atOnce)
    const all = await until(here, (now) => !!now.find(({ id }) => id === batch.id)!.facts.drying)
    expect(all.find(({ id }) => id === batch.id)!.facts).toEqual(inLists(batch.facts))
  })

  it('a damper room moves what is foretold of what is drying', async () => {
    const batch = await cutBatch('Damp')
    expect((await patchShop(server.url, { rack: { humidity: 0.8 } })).status).toBe(200)
    await until(here, (all) => {
      const after = all.find(({ id }) => id === batch.id)!
      return after.facts.drying!.dryOn > batch.facts.drying!.dryOn
    })
  })
})

describe('the calendar', () => {
  it('answers at its own address only, in a form that a parser reads', async () => {
    await cutBatch('Dated')
    const { body } = await send<{ path: string }>('GET', '/api/calendar')
    const answer = await fetch(server.url + body.path)
    expect(answer.headers.get('content-type')).toContain('text/calendar')
    const calendar = new ICAL.Component(ICAL.parse(await answer.text()) as never)
    const titles = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one).summary)
    expect(titles.some((title) => title.startsWith('Test with a strip: Dated'))).toBe(true)
    await send('POST', '/api/calendar', {})
    expect((await fetch(server.url + body.path)).status).toBe(404)
  })
})
