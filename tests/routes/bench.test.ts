import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Batch } from '#contracts/batch'
import { usualSetup } from '#contracts/benchWords'
import type { Run, ToldEvent } from '#contracts/run'
import type { StreamMessage } from '#contracts/stream'
import { safetyPoints } from '#core/bench/run/safetyCheck'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { blankFormula } from '#core/formula/blank'
import { formatter } from '#core/units/formatter'
import { send as ask } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const send = <T = unknown>(method: string, path: string, body?: unknown) =>
  ask<T>(server.url + path, method, body)
const at = '2026-11-23T09:31:00.000Z'
const [mine, other] = [v7(), v7()]

async function newBatch(): Promise<Batch> {
  const formulaId = v7()
  const document = {
    ...blankFormula('Block'),
    fats: [
      { id: 'tallow', share: 0.4 },
      { id: 'olive', share: 0.6 },
    ],
  }
  await send('PUT', `/api/formulas/${formulaId}`, { revision: 0, document })
  const { body } = await send<Batch>('POST', '/api/batches', {
    id: v7(),
    formulaId,
    revision: 1,
    bars: 10,
    cure: { rule: 'most', days: 42 },
  })
  return body
}
const begin = (batchId: string, changes = {}) =>
  send<Run>('POST', `/api/batches/${batchId}/run`, {
    id: v7(),
    device: mine,
    setup: usualSetup,
    at,
    ...changes,
  })
const tell = (run: string, device: string, ...events: object[]) =>
  send<{ events: ToldEvent[]; driver?: string }>('POST', `/api/runs/${run}/events`, {
    device,
    events,
  })
const event = (what: object) => ({ id: v7(), at, ...what })

/** Listens to a stream until so many messages of a topic have come. */
async function hear<Topic extends StreamMessage['topic']>(
  path: string,
  topic: Topic,
  count: number,
  meanwhile: () => Promise<unknown>,
): Promise<Extract<StreamMessage, { topic: Topic }>[]> {
  const stop = new AbortController()
  const response = await fetch(server.url + path, { signal: stop.signal })
  const reader = response.body!.getReader()
  const heard: Extract<StreamMessage, { topic: Topic }>[] = []
  await meanwhile()
  let text = ''
  while (heard.length < count) {
    text += new TextDecoder().decode((await reader.read()).value)
    const blocks = text.split('\n\n')
    text = blocks.pop()!
    for (const block of blocks) {
      const data = /^data: (.+)$/m.exec(block)?.[1]
      if (!data || block.includes('event: beat')) continue
      const message = JSON.parse(data) as StreamMessage
      if (message.topic === topic) heard.push(message as (typeof heard)[number])
    }
  }
  stop.abort()
  return heard
}

describe('a run', () => {
  it('is begun once, and what is sent twice is kept once', async () => {
    const batch = await newBatch()
    const { body: run } = await begin(batch.id)
    expect((await begin(batch.id)).body.id).toBe(run.id)
    const scoop = event({ kind: 'scooped', step: 'weigh:water', grams: 260.1, typed: false })
    await tell(run.id, mine, scoop)
    await tell(run.id, mine, scoop)
    const { body } = await send<Run>('GET', `/api/runs/${run.id}`)
    expect(body.events).toHaveLength(1)
    expect(body).toMatchObject({ driver: mine, scale: 1, paper: false })
    expect((await send<{ batchId: string }[]>('GET', '/api/runs')).body).toContainEqual(
      expect.objectContaining({ batchId: batch.id }),
    )
  })

  it('one device leads; another may take over, then the first is told', async () => {
    const { body: run } = await begin((await newBatch()).id)
    const done = () => event({ kind: 'done', step: 'mould' })
    const refused = await tell(run.id, other, done())
    expect(refused).toMatchObject({ status: 409, body: { driver: mine } })
    expect(
      (await tell(run.id, other, event({ kind: 'drove', name: 'Tablet' }), done())).status,
    ).toBe(200)
    expect((await tell(run.id, mine, done())).body.errors![0]!.says).toMatch(/Another device leads/)
    expect((await send<Run>('GET', `/api/runs/${run.id}`)).body).toMatchObject({ driver: other })
  })

  it('followers hear what they missed and what comes', async () => {
    const { body: run } = await begin((await newBatch()).id)
    await tell(run.id, mine, event({ kind: 'done', step: 'mould' }))
    const heard = await hear(`/api/stream?run=${run.id}@0`, 'run', 2, () =>
      tell(run.id, mine, event({ kind: 'done', step: 'lay-out' })),
    )
    expect(heard.flatMap(({ data }) => data).map((one) => one.kind === 'done' && one.step)).toEqual(
      ['mould', 'lay-out'],
    )
  })

  it('finished, it makes its batch poured with what was weighed and when to look', async () => {
    const batch = await newBatch()
    const { body: run } = await begin(batch.id)
    const plan = planFor(contextOf(batch.frozen, run.setup, run.scale, formatter()))
    const events = plan.steps.flatMap((step): object[] => [
      ...(step.id === 'gate'
        ? safetyPoints.map(({ id }) => event({ kind: 'confirmed', point: id }))
        : []),
      ...(step.weigh
        ? [event({ kind: 'scooped', step: step.id, grams: step.weigh.grams, typed: true })]
        : []),
      event({ kind: 'done', step: step.id }),
    ])
    await tell(run.id, mine, ...events, event({ kind: 'finished', pouredDay: '2026-11-23' }))
    const { body } = await send<Batch>('GET', `/api/batches/${batch.id}`)
    const [poured] = body.events
    expect(poured).toMatchObject({ kind: 'poured', day: '2026-11-23' })
    if (poured?.kind !== 'poured') throw new Error('not poured')
    expect(poured.made!.superfat).toBeGreaterThanOrEqual(0.05)
    // A workshop that has said nothing weighs whole grams: at most one of them, of some 140 g of lye, is left out.
    expect(poured.made!.superfat).toBeLessThan(0.05 + 1 / 135)
    expect(poured.made!.oils).toBeCloseTo(1000, 6)
    expect(poured.checks!.map(({ kind }) => kind)).toContain('unmould')
    expect((await begin(batch.id)).body.id).toBe(run.id)
  })

  it('tells how the batter of a formula went before, and nothing else of it', async () => {
    const batch = await newBatch()
    const { body: run } = await begin(batch.id)
    await tell(
      run.id,
      mine,
      event({ kind: 'done', step: 'mould' }),
      event({ kind: 'done', step: 'combine' }),
      event({ kind: 'marked', pot: 0, stage: 'light' }),
    )
    const { body } = await send<{ batchId: string; events: { kind: string }[] }[]>(
      'GET',
      `/api/formulas/${batch.formulaId}/marks`,
    )
    expect(body.map(({ batchId }) => batchId)).toEqual([batch.id])
    expect(body[0]!.events.map(({ kind }) => kind)).toEqual(['done', 'marked'])
  })

  it('takes nothing after its end, and nothing of a day that has not come', async () => {
    const { body: run } = await begin((await newBatch()).id)
    const tomorrow = event({ kind: 'finished', pouredDay: '2026-11-24' })
    expect((await tell(run.id, mine, tomorrow)).body.errors![0]).toMatchObject({
      path: 'events[0].pouredDay',
      says: expect.stringMatching(/not come yet/),
    })
    const later = { ...event({ kind: 'laundry' }), at: '2026-11-25T09:31:00.000Z' }
    expect((await tell(run.id, mine, later)).status).toBe(422)
    const end = event({ kind: 'finished', pouredDay: '2026-11-23' })
    expect((await tell(run.id, mine, end, event({ kind: 'laundry' }))).status).toBe(422)
    expect((await tell(run.id, mine, end)).status).toBe(200)
    expect((await tell(run.id, mine, end)).status).toBe(200)
    const more = await tell(run.id, mine, event({ kind: 'laundry' }))
    expect(more.status).toBe(422)
    expect(more.body.errors![0]!.says).toMatch(/nothing more goes into its run/)
    expect((await send<Run>('GET', `/api/runs/${run.id}`)).body.events).toHaveLength(1)
  })

  it('answers 409 to other content under the same id', async () => {
    const { body: run } = await begin((await newBatch()).id)
    const scoop = event({ kind: 'scooped', step: 'weigh:water', grams: 260.1, typed: false })
    await tell(run.id, mine, scoop)
    const other = await tell(run.id, mine, { ...scoop, grams: 26.01 })
    expect(other).toMatchObject({ status: 409, body: { errors: [{ path: 'events[0].id' }] } })
    expect((await send<Run>('GET', `/api/runs/${run.id}`)).body.events).toMatchObject([
      { grams: 260.1 },
    ])
  })

  it.each([
    [{ kind: 'scooped', step: 'weigh:water', grams: 'much', typed: false }, 'events[0].grams'],
    [{ kind: 'danced' }, 'events[0].kind'],
    [{ kind: 'read', vessel: 'kettle', celsius: 20, typed: true }, 'events[0].vessel'],
    [{ kind: 'done', step: 'Water!' }, 'events[0].step'],
  ])('refuses %o with its place', async (what, path) => {
    const { body: run } = await begin((await newBatch()).id)
    const answer = await tell(run.id, mine, event(what))
    expect(answer.status).toBe(422)
    expect(answer.body.errors![0]!.path).toBe(path)
  })

  it('is not begun for a batch that is poured or does not exist', async () => {
    const batch = await newBatch()
    await send('POST', `/api/batches/${batch.id}/events`, {
      id: v7(),
      kind: 'poured',
      day: '2026-11-23',
    })
    expect(await begin(batch.id)).toMatchObject({ status: 422 })
    expect((await begin(v7())).status).toBe(404)
  })
})

describe('devices', () => {
  it('post lines of readings, which every bench hears', async () => {
    const lines = [
      { device: 'shed-scale', kind: 'grams', value: 151.2, stable: true },
      { device: 'probe-1', kind: 'celsius', value: 38.4 },
    ]
    const heard = await hear('/api/stream?readings=*', 'reading', 2, () =>
      send('POST', '/api/devices/readings', lines.map((line) => JSON.stringify(line)).join('\n')),
    )
    expect(heard.map(({ data }) => [data.device, data.value])).toEqual([
      ['shed-scale', 151.2],
      ['probe-1', 38.4],
    ])
    const { body } = await send<{ device: string }[]>('GET', '/api/devices')
    expect(body.map(({ device }) => device)).toEqual(['shed-scale', 'probe-1'])
  })

  it.each([
    ['{"device":"a","kind":"grams","value":1}\nnonsense', 'line[2]'],
    ['{"device":"a","kind":"stones","value":1}', 'line[1].kind'],
    ['', ''],
  ])('refuses %j with its line', async (text, path) => {
    const answer = await send('POST', '/api/devices/readings', text)
    expect(answer.status).toBe(422)
    expect(answer.body.errors![0]!.path).toBe(path)
  })

  it('stand-ins speak on their own clock, settle on what is put on, and can fall silent', async () => {
    const id = v7()
    await send('PUT', `/api/stand-ins/${id}`, { at, roomC: 18, resolution: 0.1, most: 5000 })
    const told = await hear(`/api/stream?readings=${id}`, 'reading', 24, () =>
      send('POST', `/api/stand-ins/${id}/acts`, { act: 'place', grams: 212 }),
    )
    const heard = told.map(({ data }) => data)
    const scale = heard.filter(({ device }) => device === `${id}:scale`)
    expect(scale.at(-1)!.value).toBeCloseTo(212, 0)
    expect(heard.find(({ device }) => device === `${id}:lye`)!.value).toBeCloseTo(18, 0)
    expect(heard[0]!.at).toBeGreaterThan(Date.parse(at))
    expect((await send('POST', `/api/stand-ins/${v7()}/acts`, { act: 'lift' })).status).toBe(404)
    expect((await send('POST', `/api/stand-ins/${id}/acts`, { act: 'fly' })).status).toBe(422)
  })
})

describe('LAN access', () => {
  const onLan = () => `http://127.0.0.1:${server.networkPort}`
  const closed = () =>
    fetch(`${onLan()}/api/workshop`).then(
      () => false,
      () => true,
    )
  const pairWith = (code: string) =>
    fetch(`${onLan()}/pair`, {
      method: 'POST',
      redirect: 'manual',
      headers: { 'content-type': 'application/x-www-form-urlencoded' },
      body: `code=${code}&name=Bench+tablet`,
    })

  it('is shut at first; open, it answers paired devices only, and ends with the pairing', async () => {
    expect(await closed()).toBe(true)
    expect((await send('POST', '/api/lan/code')).status).toBe(409)
    await send('PUT', '/api/lan', { open: true })
    expect((await ask(`${onLan()}/api/workshop`, 'GET')).status).toBe(401)
    const page = await fetch(`${onLan()}/`, { redirect: 'manual' })
    expect([page.status, page.headers.get('location')]).toEqual([302, '/pair'])
    expect(await (await fetch(`${onLan()}/pair`)).text()).toContain('Pair with Mantle')

    const { body } = await send<{ code: string }>('POST', '/api/lan/code')
    expect((await pairWith('000000' === body.code ? '111111' : '000000')).status).toBe(403)
    // Who guessed wrong waits a second; nobody else would.
    expect((await pairWith(body.code)).status).toBe(429)
    await new Promise((done) => setTimeout(done, 1100))
    const paired = await pairWith(body.code)
    expect(paired.status).toBe(303)
    const cookie = paired.headers.get('set-cookie')!.split(';')[0]!
    expect(paired.headers.get('set-cookie')).toMatch(/HttpOnly/)
    expect((await pairWith(body.code)).status).toBe(403)
    const through = (path: string) => ask(onLan() + path, 'GET', undefined, { cookie })
    expect((await through('/api/workshop')).status).toBe(200)
    expect((await through('/api/lan')).status).toBe(403)

    const { body: lan } = await send<{ paired: { id: string; name: string }[] }>('GET', '/api/lan')
    expect(lan.paired.map(({ name }) => name)).toEqual(['Bench tablet'])
    await send('DELETE', `/api/lan/paired/${lan.paired[0]!.id}`)
    expect((await through('/api/workshop')).status).toBe(401)
    await send('PUT', '/api/lan', { open: false })
    expect(await closed()).toBe(true)
  })

  it('a scale without a screen gets a key, which posts readings and nothing else', async () => {
    await send('PUT', '/api/lan', { open: true })
    const { body } = await send<{ secret: string }>('POST', '/api/lan/key', {
      name: 'Shed scale',
    })
    const line = JSON.stringify({ device: 'shed', kind: 'grams', value: 1 })
    const post = (headers: Record<string, string>) =>
      ask(`${onLan()}/api/devices/readings`, 'POST', line, headers)
    expect((await post({ authorization: `Bearer ${body.secret}` })).status).toBe(200)
    expect((await post({ authorization: 'Bearer nonsense' })).status).toBe(401)
    const key = { authorization: `Bearer ${body.secret}` }
    for (const path of ['/api/workshop', '/api/batches', '/api/stream', '/api/lan'])
      expect((await ask(onLan() + path, 'GET', undefined, key)).status).toBe(403)
    expect((await ask(`${onLan()}/api/batches`, 'POST', {}, key)).status).toBe(403)
    expect(
      (
        await ask(`${onLan()}/api/devices/readings`, 'POST', line, {
          authorization: `Bearer ${body.secret}`,
          origin: 'http://elsewhere.example',
        })
      ).status,
    ).toBe(403)
    await send('PUT', '/api/lan', { open: false })
  })
})
