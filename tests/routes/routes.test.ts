import { get } from 'node:http'
import Database from 'better-sqlite3'
import type { Batch } from '#contracts/batch'
import type { StoredFormula } from '#contracts/workshop'
import { blankFormula } from '#core/formula/blank'
import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { patchShop, send as ask } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const send = <T = unknown>(method: string, path: string, body?: unknown, headers = {}) =>
  ask<T>(server.url + path, method, body, headers)
const olive = (name: string, changes = {}) => ({
  ...blankFormula(name),
  fats: [{ id: 'olive', share: 1 }],
  ...changes,
})
async function keep(document: object, id = v7(), revision = 0) {
  return send<StoredFormula>('PUT', `/api/formulas/${id}`, { revision, document })
}
const order = (formulaId: string, changes = {}) => ({
  id: v7(),
  formulaId,
  revision: 1,
  bars: 12,
  cure: { rule: 'most', days: 42 },
  ...changes,
})

describe('formulas', () => {
  it('are kept, changed, listed, deleted and restored', async () => {
    const { body: made } = await keep(olive('Route Bar'))
    expect(made).toMatchObject({ revision: 1, document: { name: 'Route Bar', superfat: 0.05 } })
    const { body: changed } = await keep(olive('Route Bar two'), made.id, 1)
    expect(changed.revision).toBe(2)
    const list = await send<StoredFormula[]>('GET', '/api/formulas')
    expect(list.body.map(({ id }) => id)).toContain(made.id)
    expect((await send('DELETE', `/api/formulas/${made.id}`)).status).toBe(200)
    expect((await send('GET', `/api/formulas/${made.id}`)).status).toBe(404)
    expect((await keep(olive('Ghost'), made.id, 2)).status).toBe(410)
    const { body: back } = await send<StoredFormula>('POST', `/api/formulas/${made.id}/restore`)
    expect(back.document.name).toBe('Route Bar two')
  })

  it('keep drafts that cannot be made yet', async () => {
    const { status } = await keep(olive('Draft', { fats: [{ id: 'olive', share: null }] }))
    expect(status).toBe(200)
  })

  it('answer a stale save with 409 and the newer document', async () => {
    const { body: made } = await keep(olive('Twice'))
    await keep(olive('Twice, theirs'), made.id, 1)
    const stale = await keep(olive('Twice, mine'), made.id, 1)
    expect(stale).toMatchObject({
      status: 409,
      body: { theirs: { revision: 2, document: { name: 'Twice, theirs' } } },
    })
  })

  it('take the same save twice as one', async () => {
    const { body: made } = await keep(olive('Lost answer'))
    expect(await keep(olive('Lost answer'), made.id, 0)).toMatchObject({
      status: 200,
      body: { revision: 1 },
    })
  })
})

describe('what is not right answers 4xx with a path and a sentence', () => {
  const id = v7()
  it.each([
    [
      'an unknown key',
      { revision: 0, document: olive('X', { colour: 1 }) },
      422,
      'document.colour',
    ],
    ['no revision', { document: olive('X') }, 422, 'revision'],
    ['no name', { revision: 0, document: olive('  ') }, 422, 'document.name'],
    [
      'a share that is text',
      { revision: 0, document: olive('X', { fats: [{ id: 'olive', share: 'x' }] }) },
      422,
      'document.fats[0].share',
    ],
    [
      'a part without a name',
      { revision: 0, document: olive('X', { parts: [{}] }) },
      422,
      'document.parts[0].name',
    ],
    ['no JSON', '{"revision":', 400, ''],
    ['a list', [], 422, ''],
  ])('%s', async (_, body, status, path) => {
    const answer = await send('PUT', `/api/formulas/${id}`, body)
    expect(answer.status).toBe(status)
    expect(answer.body.errors![0]).toEqual({ path, says: expect.stringMatching(/^["A-Z].*\.$/) })
  })

  it.each([
    ['GET', '/api/formulas/not-an-id', 404],
    ['GET', '/api/batches/0199a1b2-0000-7000-8000-000000000009', 404],
    ['GET', '/api/nothing/here', 404],
    ['POST', '/api/batches', 422],
    ['DELETE', '/api/formulas/0199a1b2-0000-7000-8000-000000000009', 404],
  ])('%s %s', async (method, path, status) => {
    const answer = await send(method, path, method === 'POST' ? {} : undefined)
    expect(answer.status).toBe(status)
    expect(answer.body.errors![0]!.says).toMatch(/\.$/)
    expect(JSON.stringify(answer.body)).not.toMatch(/at .*\.mjs|stack/)
  })

  it('a write from another page', async () => {
    const answer = await send(
      'PUT',
      `/api/formulas/${id}`,
      { revision: 0, document: olive('X') },
      { origin: 'http://elsewhere.example' },
    )
    expect(answer.status).toBe(403)
    expect((await send('GET', `/api/formulas/${id}`)).status).toBe(404)
  })
})

describe('a request made under another name', () => {
  it('is not answered, so that no page can read through its own name', async () => {
    const { port } = server
    const status = await new Promise((done) =>
      get(
        { host: '127.0.0.1', port, path: '/api/formulas', headers: { host: 'elsewhere.example' } },
        (answer) => done(answer.statusCode),
      ),
    )
    expect(status).toBe(403)
  })
})

describe('batches', () => {
  it('freeze the formula with its materials and number themselves', async () => {
    const { body: formula } = await keep(olive('Frozen'))
    const one = order(formula.id)
    const { body: batch } = await send<Batch>('POST', '/api/batches', one)
    expect(batch).toMatchObject({ number: 1, name: 'Frozen', bars: 12, events: [] })
    expect(batch.frozen.core).toMatch(/^\d+\.\d+\.\d+$/)
    expect(batch.frozen.materials[0]).toMatchObject({
      id: 'olive',
      values: { sap: { typical: 190 } },
    })
    await keep(olive('Thawed', { superfat: 0.2 }), formula.id, 1)
    const { body: later } = await send<Batch>('GET', `/api/batches/${batch.id}`)
    expect(later.frozen.document).toMatchObject({ name: 'Frozen', superfat: 0.05 })
    const { body: again } = await send<Batch>('POST', '/api/batches', one)
    expect(again.number).toBe(1)
    const { body: second } = await send<Batch>(
      'POST',
      '/api/batches',
      order(formula.id, { revision: 2 }),
    )
    expect(second.number).toBe(2)
  })

  it.each([
    ['a draft', { fats: [{ id: 'olive', share: 0.9 }] }, 'fats'],
    ['a lye-heavy formula', { superfat: -0.05 }, 'overruled.superfat-negative'],
    ['too little water', { water: { held: 'ratio', value: 0.8 } }, 'overruled.water-below-floor'],
  ])('are not made of %s, whatever the reason', async (_, changes, path) => {
    const { body: formula } = await keep(olive('Unsafe', changes))
    const overruled = { 'superfat-negative': 'because', 'water-below-floor': 'because' }
    const answer = await send('POST', '/api/batches', order(formula.id, { overruled }))
    expect(answer).toMatchObject({ status: 422, body: { errors: [{ path }] } })
  })

  it('overrule a scent maximum only with a reason, which they keep', async () => {
    const scents = [{ id: 'fir', name: 'Fir', rate: 0.05, maxOfBar: 0.02 }]
    const { body: formula } = await keep(olive('Strong', { scents }))
    expect((await send('POST', '/api/batches', order(formula.id))).status).toBe(422)
    const overruled = { 'scent-above-maximum': 'The sheet is for leave-on; wash-off allows 5 %.' }
    const { body } = await send<Batch>('POST', '/api/batches', order(formula.id, { overruled }))
    expect(body.frozen.overruled).toEqual(overruled)
  })

  it('are not made of a formula that has moved on', async () => {
    const { body: formula } = await keep(olive('Moved'))
    await keep(olive('Moved on'), formula.id, 1)
    expect((await send('POST', '/api/batches', order(formula.id))).status).toBe(409)
  })

  it('keep what happened once, in order, and only what can have happened', async () => {
    const { body: formula } = await keep(olive('Eventful'))
    const { body: batch } = await send<Batch>('POST', '/api/batches', order(formula.id))
    const tell = (event: object) => send<Batch>('POST', `/api/batches/${batch.id}/events`, event)
    expect(
      (await tell({ id: v7(), kind: 'cut', day: '2026-11-22', bars: 10 })).body.errors![0]!.says,
    ).toContain('not poured yet')
    expect(
      (await tell({ id: v7(), kind: 'poured', day: '2026-11-24' })).body.errors![0]!.says,
    ).toContain('not come yet')
    const poured = { id: v7(), kind: 'poured', day: '2026-11-22' }
    await tell(poured)
    expect((await tell(poured)).body.events).toHaveLength(1)
    expect((await tell({ ...poured, id: v7() })).status).toBe(422)
    expect((await tell({ id: v7(), kind: 'cut', day: '2026-11-21', bars: 10 })).status).toBe(422)
    expect((await tell({ id: v7(), kind: 'cut', day: '2026-11-22', bars: 10.5 })).status).toBe(422)
    const { body } = await tell({ id: v7(), kind: 'undone', event: poured.id })
    expect(body.events.map(({ kind }) => kind)).toEqual(['poured', 'undone'])
    expect((await tell({ id: v7(), kind: 'undone', event: poured.id })).status).toBe(422)
  })

  it('cannot be changed in the database either', () => {
    const db = new Database(server.database)
    expect(() => db.exec("UPDATE batches SET frozen = '{}'")).toThrow(/never changed/)
    expect(() => db.exec("UPDATE batch_events SET payload = '{}'")).toThrow(/never changed/)
    db.close()
  })
})

describe('the workshop', () => {
  it('keeps its settings and says which day it is there', async () => {
    const auckland = { name: 'Far Shed', timeZone: 'Pacific/Auckland', units: 'imperial', scale: 1 }
    expect((await patchShop(server.url, auckland)).status).toBe(200)
    const { body } = await send<{ today: string }>('GET', '/api/workshop')
    // 09:30 UTC on the 23rd is 22:30 on the 23rd in Auckland, and 23:30 the day before in Pago Pago is the 22nd
    expect(body).toMatchObject({ ...auckland, today: '2026-11-23' })
    const pago = await patchShop<{ today: string }>(server.url, { timeZone: 'Pacific/Pago_Pago' })
    expect(pago.body.today).toBe('2026-11-22')
    const bad = await patchShop(server.url, { timeZone: 'Mars/Base', scale: 3 })
    expect(bad.body.errors!.map(({ path }) => path)).toEqual(['timeZone', 'scale'])
  })
})

describe('the server', () => {
  it('has what it acknowledged after kill -9', async () => {
    const { body: made } = await keep(olive('Survivor'))
    await server.kill()
    await server.run()
    const { body } = await send<StoredFormula>('GET', `/api/formulas/${made.id}`)
    expect(body.document.name).toBe('Survivor')
  })

  it('refuses a database of a newer Mantle with one sentence', async () => {
    const newer = await TestServer.start()
    await newer.kill('SIGTERM')
    const db = new Database(newer.database)
    db.pragma('user_version = 4000')
    db.close()
    newer.errors = ''
    expect(await newer.run()).toBe(1)
    expect(newer.errors).toContain('written by a newer Mantle')
    expect(newer.errors).not.toContain('.mjs')
    await newer.stop()
  })
})
