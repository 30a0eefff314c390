import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Batch } from '#contracts/batch'
import { usualSetup } from '#contracts/benchWords'
import type { WholeMarket } from '#contracts/market'
import type { Run } from '#contracts/run'
import type {
  BatchCosts,
  LotTrace,
  Prices,
  StoredLot,
  StoresAhead,
  WholeLot,
} from '#contracts/store'
import { blankFormula } from '#core/formula/blank'
import { send as ask } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const today = '2026-11-23'
const send = <T = { errors: { path: string; says: string }[] }>(
  method: string,
  path: string,
  body?: unknown,
) => ask<T>(server.url + path, method, body)

async function lot(thing: string, amount: number, more: object = {}): Promise<StoredLot> {
  const id = v7()
  const document = { thing, code: `L${id.slice(-4)}`, cameOn: '2026-11-01', amount, ...more }
  const { status, body } = await send<StoredLot[]>('POST', '/api/lots', {
    lots: [{ id, document }],
  })
  expect(status).toBe(200)
  return body[0]!
}
const whole = async (id: string) => (await send<WholeLot>('GET', `/api/lots/${id}`)).body
const move = (lotId: string, what: object) =>
  send<WholeLot & { errors: { path: string; says: string }[]; there?: number }>(
    'POST',
    `/api/lots/${lotId}/moves`,
    { id: v7(), lotId, day: today, ...what },
  )
/** Stock is what its moves come to, always. */
const addsUp = async (id: string) => {
  const { stock, moves } = await whole(id)
  expect(stock).toBeCloseTo(
    moves.reduce((sum, { grams }) => sum + grams, 0),
    6,
  )
  return stock
}

async function batchOf(fats: Record<string, number>, bars = 10, more: object = {}): Promise<Batch> {
  const formulaId = v7()
  const document = {
    ...blankFormula('Stock Block'),
    fats: Object.entries(fats).map(([id, share]) => ({ id, share })),
    ...more,
  }
  await send('PUT', `/api/formulas/${formulaId}`, { revision: 0, document })
  const { body } = await send<Batch>('POST', '/api/batches', {
    id: v7(),
    formulaId,
    revision: 1,
    bars,
    cure: { rule: 'most', days: 42 },
  })
  return body
}
async function runOf(batchId: string): Promise<Run> {
  const { body } = await send<Run>('POST', `/api/batches/${batchId}/run`, {
    id: v7(),
    device: v7(),
    setup: usualSetup,
    at: `${today}T09:30:30.000Z`,
  })
  return body
}
let tick = 0
const tell = (run: Run, ...events: object[]) =>
  send<{ errors: { says: string }[] }>('POST', `/api/runs/${run.id}/events`, {
    device: run.driver,
    events: events.map((event) => ({
      id: v7(),
      at: new Date(Date.parse(`${today}T09:31:00.000Z`) + tick++).toISOString(),
      ...event,
    })),
  })
const scooped = (step: string, grams: number, id = v7()) => ({
  kind: 'scooped',
  step,
  grams,
  typed: true,
  id,
})

describe('a lot', () => {
  it('comes with its amount, and what was wrong about it is put right by a move of its own', async () => {
    const olive = await lot('olive', 5000, { price: 3100, shipping: 124 })
    expect(olive.stock).toBe(5000)
    const again = await send<StoredLot>('PUT', `/api/lots/${olive.id}`, {
      revision: olive.revision,
      document: { ...olive.document, amount: 4900 },
    })
    expect(again.body.stock).toBe(4900)
    expect((await whole(olive.id)).moves.map(({ kind, grams }) => [kind, grams])).toEqual([
      ['came', 5000],
      ['came', -100],
    ])
    // The same put away again, as after a lost answer, is one lot.
    const twice = await send<StoredLot[]>('POST', '/api/lots', {
      lots: [{ id: olive.id, document: olive.document }],
    })
    expect(twice.body[0]!.stock).toBe(4900)
    const prices = (await send<Prices>('GET', '/api/stores/prices')).body
    expect(prices.olive).toEqual({
      price: Math.round((3224 / 4900) * 1000),
      from: 'lot',
      lotId: olive.id,
    })
  })
  it('is counted, taken from and given back; each once, and taken back once', async () => {
    const castor = await lot('castor', 1000)
    const id = v7()
    const count = { id, kind: 'counted', grams: 962, gross: 1172, why: 'spilled' }
    expect((await move(castor.id, count)).body.stock).toBe(962)
    expect((await move(castor.id, count)).body.moves).toHaveLength(2)
    expect((await move(castor.id, { ...count, grams: 900 })).status).toBe(409)
    expect((await move(castor.id, { kind: 'undone', move: id })).body.stock).toBe(1000)
    expect((await move(castor.id, { kind: 'undone', move: id })).status).toBe(422)
    const tooMuch = await move(castor.id, { kind: 'drawn', grams: 1200 })
    expect(tooMuch).toMatchObject({ status: 409, body: { there: 1000 } })
    expect((await move(castor.id, { kind: 'drawn', grams: 1200, sure: true })).body.stock).toBe(
      -200,
    )
    expect((await move(castor.id, { kind: 'back', grams: 300.5 })).body.stock).toBeCloseTo(100.5, 9)
    expect(await addsUp(castor.id)).toBeCloseTo(100.5, 9)
    expect((await send('DELETE', `/api/lots/${castor.id}`)).status).toBe(409)
    expect((await move(castor.id, { kind: 'spilled', grams: 1, day: '2026-11-24' })).status).toBe(
      422,
    )
  })
  it('is refused with the place of what is wrong', async () => {
    const bad = await send('POST', '/api/lots', {
      lots: [{ id: v7(), document: { thing: 'olive', code: '', cameOn: 'soon', amount: 0 } }],
    })
    expect(bad.status).toBe(422)
    expect(bad.body.errors.map(({ path }) => path)).toEqual([
      'lots[0].document.code',
      'lots[0].document.cameOn',
      'lots[0].document.amount',
    ])
    const nobody = await send('POST', '/api/lots', {
      lots: [
        {
          id: v7(),
          document: { thing: 'olive', code: 'X', cameOn: today, amount: 1, supplierId: v7() },
        },
      ],
    })
    expect(nobody.body.errors[0]!.path).toBe('lots[0].document.supplierId')
  })
})

describe('a run at the bench', () => {
  it('draws each weighing from the lot that stands there, gives back what is taken back, and never twice', async () => {
    const early = await lot('olive', 700, { bestBefore: '2026-12-01' })
    const late = await lot('olive', 2000, { bestBefore: '2027-12-01' })
    const batch = await batchOf({ olive: 0.7, coconut: 0.3 })
    const run = await runOf(batch.id)
    const first = scooped('weigh:fat:olive', 400)
    await tell(run, first)
    expect([await addsUp(early.id), await addsUp(late.id)]).toEqual([300, 2000])
    const stood = {
      kind: 'stood',
      thing: 'olive',
      lotId: late.id,
      code: late.document.code,
      sap: null,
      purity: null,
    }
    const second = scooped('weigh:fat:olive', 300)
    await tell(run, stood, second)
    expect([await addsUp(early.id), await addsUp(late.id)]).toEqual([300, 1700])
    // Its answer was lost: told again it changes nothing.
    await tell(run, second)
    expect(await addsUp(late.id)).toBe(1700)
    await tell(run, { kind: 'undone', event: second.id })
    expect([await addsUp(early.id), await addsUp(late.id)]).toEqual([300, 2000])
    // Of coconut the workshop keeps no lots: nothing is drawn, and nothing is refused.
    expect((await tell(run, scooped('weigh:fat:coconut', 300))).status).toBe(200)
    const moves = (await whole(early.id)).moves.filter(({ kind }) => kind === 'drawn')
    expect(moves.map(({ batchId, step }) => [batchId, step])).toEqual([
      [batch.id, 'weigh:fat:olive'],
    ])
  })
  it('keeps how hot the jug got with the lye that was weighed', async () => {
    const lye = await lot('naoh', 1000)
    const batch = await batchOf({ olive: 1 })
    const run = await runOf(batch.id)
    const read = (celsius: number) => ({ kind: 'read', vessel: 'lye', celsius, typed: true })
    await tell(run, scooped('weigh:naoh', 128), read(21), read(74.5), read(61))
    expect((await whole(lye.id)).document.peakC).toBe(null)
    await tell(run, { kind: 'finished', pouredDay: today })
    expect(await whole(lye.id)).toMatchObject({ stock: 872, document: { peakC: 74.5 } })
  })
  it('takes no lot that is held, nor one of something else', async () => {
    const held = await lot('tallow', 1000, { held: { why: 'recalled', since: today } })
    const batch = await batchOf({ tallow: 1 })
    const run = await runOf(batch.id)
    const stood = (thing: string) => ({
      kind: 'stood',
      thing,
      lotId: held.id,
      code: 'T',
      sap: null,
      purity: null,
    })
    const refused = await tell(run, stood('tallow'))
    expect(refused.status).toBe(422)
    expect(refused.body.errors[0]!.says).toContain('is held')
    expect((await tell(run, stood('olive'))).status).toBe(422)
    await tell(run, scooped('weigh:fat:tallow', 500))
    expect(await addsUp(held.id)).toBe(1000)
  })
})

describe('a made-up stock', () => {
  it('takes its parts out of their lots, counts as them, and is traced through', async () => {
    const shea = await lot('shea', 1000, { price: 1150 })
    const rice = await lot('rice-bran', 1000, { price: 520 })
    const blendId = 'blend-soft'
    const blend = {
      name: 'Soft blend',
      kind: 'oils',
      parts: [
        { thing: 'shea', share: 0.4 },
        { thing: 'rice-bran', share: 0.6 },
      ],
    }
    expect(
      (await send('PUT', `/api/blends/${blendId}`, { revision: 0, document: blend })).status,
    ).toBe(200)
    const half = { ...blend, parts: [{ thing: 'shea', share: 0.4 }] }
    expect(
      (await send('PUT', '/api/blends/blend-half', { revision: 0, document: half })).status,
    ).toBe(422)
    const own = { ...blend, parts: [{ thing: blendId, share: 1 }] }
    expect(
      (await send('PUT', `/api/blends/${blendId}`, { revision: 1, document: own })).body.errors[0]!
        .says,
    ).toBe('It cannot be made of itself.')
    const made = await lot(blendId, 1500, {
      parts: [
        { lotId: shea.id, grams: 600 },
        { lotId: rice.id, grams: 900 },
      ],
    })
    expect([await addsUp(shea.id), await addsUp(rice.id)]).toEqual([400, 100])
    const tooMuch = await send('POST', '/api/lots', {
      lots: [
        {
          id: v7(),
          document: {
            thing: blendId,
            code: 'X',
            cameOn: today,
            amount: 600,
            parts: [{ lotId: rice.id, grams: 600 }],
          },
        },
      ],
    })
    expect(tooMuch.status).toBe(422)

    // A formula of it takes the lye that its parts take; a run draws it, eighteen times, until it is empty.
    const batch = await batchOf({ [blendId]: 1 })
    const apart = await batchOf({ shea: 0.4, 'rice-bran': 0.6 })
    expect(batch.frozen.result.lye.naoh).toBeCloseTo(apart.frozen.result.lye.naoh, 9)
    const run = await runOf(batch.id)
    for (let pour = 0; pour < 18; pour++)
      await tell(run, scooped(`weigh:fat:${blendId}`, 1500 / 18))
    expect(Math.abs(await addsUp(made.id))).toBeLessThan(0.01)

    const { body: trace } = await send<LotTrace>('GET', `/api/lots/${shea.id}/trace`)
    expect(trace.batches.map(({ id }) => id)).toEqual([batch.id])
    expect(trace.lots.map(({ id }) => id).sort()).toEqual([shea.id, made.id].sort())
    const { body: costs } = await send<BatchCosts>('GET', `/api/batches/${batch.id}/cost`)
    // 600 g of shea at 1.15 and 900 g of rice bran at 0.52, by hand 690 + 468.
    expect(costs.made!.lines.find(({ thing }) => thing === blendId)!.cost).toBeCloseTo(1158, 1)
  })
})

describe('what is planned and what things cost', () => {
  it('a plan names what it needs; a typed price holds until a lot has one', async () => {
    const batch = await batchOf({ babassu: 1 })
    const { body } = await send<StoresAhead>('GET', '/api/stores/ahead')
    const plan = body.planned.find(({ id }) => id === batch.id)!
    expect(plan.day).toBe(today)
    expect(plan.needs.find(({ thing }) => thing === 'babassu')!.grams).toBeCloseTo(
      batch.frozen.result.oils,
      6,
    )
    await send('PUT', '/api/stores/prices', { thing: 'babassu', price: 870 })
    const today_ = (await send<BatchCosts>('GET', `/api/batches/${batch.id}/cost`)).body
    expect(today_.made).toBe(null)
    expect(today_.today.lines.find(({ thing }) => thing === 'babassu')!.cost).toBeCloseTo(
      batch.frozen.result.oils * 0.87,
      6,
    )
    expect(today_.today.unknown).toContain('Sodium hydroxide')
    await lot('babassu', 1000, { price: 990 })
    expect((await send<Prices>('GET', '/api/stores/prices')).body.babassu).toMatchObject({
      price: 990,
      from: 'lot',
    })
  })
})

describe('a market day', () => {
  const happened = (batch: Batch, ...events: object[]) =>
    Promise.all(
      events.map((event) =>
        send('POST', `/api/batches/${batch.id}/events`, { id: v7(), day: today, ...event }),
      ),
    )
  it('packs only what was tested, sells, counts home, and tells the batches once', async () => {
    const good = await batchOf({ olive: 1 })
    const untested = await batchOf({ olive: 1 })
    for (const batch of [good, untested]) {
      await happened(batch, { kind: 'poured' })
      await happened(batch, { kind: 'cut', bars: 10 })
    }
    await happened(good, { kind: 'strip', ph: 9, where: 'lather' })
    const id = v7()
    await send('PUT', `/api/markets/${id}`, {
      revision: 0,
      document: { name: 'Ferry market', day: today, tin: 4000 },
    })
    const at = `${today}T09:31:00.000Z`
    const tellMarket = (...events: object[]) =>
      send<WholeMarket & { errors: { says: string }[] }>('POST', `/api/markets/${id}/events`, {
        events: events.map((event) => ({ id: v7(), at, ...event })),
      })
    const pack = (batch: Batch, bars: number) => ({
      kind: 'packed',
      batchId: batch.id,
      bars,
      price: 450,
    })
    const refused = await tellMarket(pack(untested, 2))
    expect(refused.status).toBe(422)
    expect(refused.body.errors[0]!.says).toContain('It was never tested')
    expect((await tellMarket(pack(good, 11))).status).toBe(422)
    await tellMarket(pack(good, 6), { kind: 'left' })
    const sale = { kind: 'gone', batchId: good.id, bars: 1, how: 'sold', price: 450, card: false }
    const wrong = { ...sale, id: v7() }
    await tellMarket(sale, sale, wrong)
    await tellMarket({ kind: 'undone', event: wrong.id }, { ...sale, how: 'given', price: 0 })
    expect((await tellMarket({ kind: 'closed', tin: null })).body.errors[0]!.says).toContain(
      'neither home',
    )
    await tellMarket(
      { kind: 'home', batchId: good.id, bars: 3 },
      { kind: 'said', batchId: good.id, says: 'Bring more.' },
    )
    const closing = { id: v7(), kind: 'closed', tin: 4900 }
    expect((await tellMarket(closing)).status).toBe(200)
    expect((await tellMarket(closing)).status).toBe(200)
    expect((await tellMarket(sale)).status).toBe(409)
    const { body } = await send<Batch>('GET', `/api/batches/${good.id}`)
    expect(body.facts.out).toBe(3)
    const outs = body.events.filter(({ kind }) => kind === 'out')
    expect(outs).toMatchObject([
      { bars: 2, how: 'sold', to: 'Ferry market', price: 900, market: id },
      { bars: 1, how: 'given', to: 'Ferry market' },
    ])
    expect(body.events.find(({ kind }) => kind === 'noted')).toMatchObject({
      note: 'Bring more.',
      from: 'Ferry market',
    })
  })
  it('an untested batch may be used, reworked and binned, and neither sold, given nor sampled', async () => {
    const batch = await batchOf({ olive: 1 })
    await happened(batch, { kind: 'poured' })
    await happened(batch, { kind: 'cut', bars: 10 })
    const out = async (how: string) =>
      (
        await send('POST', `/api/batches/${batch.id}/events`, {
          id: v7(),
          day: today,
          kind: 'out',
          bars: 1,
          how,
        })
      ).status
    expect([await out('sold'), await out('given'), await out('sample')]).toEqual([422, 422, 422])
    expect([await out('used'), await out('reworked'), await out('binned')]).toEqual([200, 200, 200])
    await happened(batch, { kind: 'strip', ph: 9, where: 'lather' })
    expect(await out('sold')).toBe(200)
  })
})
