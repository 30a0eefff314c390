import { createCanvas } from '@napi-rs/canvas'
import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Batch } from '#contracts/batch'
import type { Stored } from '#contracts/document'
import { labelDesignSchema, type LabelDesign, type LabelProgress } from '#contracts/label'
import { beginDesign } from '#core/label/designs'
import { blankFormula } from '#core/formula/blank'
import { pagesOf } from '../support/pdfPage'
import { send as ask } from '../support/send'
import { TestServer } from '../support/server'

/* Designs and their PDF over HTTP: what is asked first, how far it is, and what is refused. */

let server: TestServer
let batch: Batch
beforeAll(async () => {
  server = await TestServer.start()
  const formulaId = v7()
  const document = {
    ...blankFormula('Salt Flat'),
    fats: [
      { id: 'olive', share: 0.7 },
      { id: 'coconut', share: 0.3 },
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
  batch = body
})
afterAll(() => server.stop())

type Faults = { errors: { path: string; says: string }[]; asks?: string[] }
const send = <T = Faults>(method: string, path: string, body?: unknown) =>
  ask<T>(server.url + path, method, body)

async function designed(changes: Partial<LabelDesign> = {}): Promise<Stored<LabelDesign>> {
  const document = {
    ...labelDesignSchema.parse(beginDesign('rectangle', 'Rectangle')),
    ...changes,
  }
  const { status, body } = await send<Stored<LabelDesign>>('PUT', `/api/designs/${v7()}`, {
    revision: 0,
    document,
  })
  expect(status).toBe(200)
  return body
}
const order = (designId: string, more: object = {}) => ({
  designId,
  subject: { of: 'batch', id: batch.id },
  count: 1,
  // Nobody poured it yet: what it weighs is said.
  smallest: 110,
  ...more,
})
async function printed(body: object): Promise<{ steps: LabelProgress[]; pdf: Buffer }> {
  const response = await fetch(`${server.url}/api/labels/pdf`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  expect(response.status).toBe(200)
  const steps = (await response.text())
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as LabelProgress)
  const last = steps.at(-1)!
  if (!('pdf' in last)) throw new Error('no file came last')
  return { steps, pdf: Buffer.from(last.pdf, 'base64') }
}

describe('the PDF of labels', () => {
  it('tells how far it is, page by page, and comes last', async () => {
    const { id } = await designed()
    const { steps, pdf } = await printed(order(id, { count: 25, from: 6 }))
    // Ten to a sheet, of which five are used.
    expect(steps.slice(0, -1)).toEqual([
      { done: 5, of: 25 },
      { done: 15, of: 25 },
      { done: 25, of: 25 },
    ])
    expect(await pagesOf(pdf)).toHaveLength(3)
  })

  it('asks before it prints what does not fit, claims to heal, or has no list; and prints it on demand', async () => {
    const whole = labelDesignSchema.parse(beginDesign('rectangle', 'Small'))
    const { id } = await designed({
      name: 'Small',
      elements: whole.elements.map((one) =>
        one.part === 'list'
          ? { ...one, height: 3 }
          : one.part === 'tagline'
            ? { ...one, text: 'Cures eczema' }
            : one,
      ),
    })
    const { status, body } = await send('POST', '/api/labels/pdf', order(id))
    expect(status).toBe(409)
    expect(body.asks).toEqual([
      expect.stringContaining('Small: the list is 2 lines too long at 1.2 mm'),
      expect.stringContaining('claims to cure'),
    ])
    expect((await printed(order(id, { anyway: true }))).pdf.subarray(0, 5).toString()).toBe('%PDF-')
    // A test print says nothing, and is asked nothing.
    await printed(order(id, { test: true }))
    // What nobody weighed is asked about too.
    const unknown = await send('POST', '/api/labels/pdf', {
      ...order((await designed()).id),
      smallest: null,
    })
    expect(unknown.body.asks).toEqual([expect.stringContaining('net weight is not known yet')])
    const bare = await designed({ elements: [] })
    const nothing = await send('POST', '/api/labels/pdf', order(bare.id))
    expect(nothing.body.asks).toEqual(['The list of ingredients stands nowhere.'])
    // On a second paper it stands, and that is printed along.
    const both = await designed({ elements: [], also: (await designed()).id })
    expect(await pagesOf((await printed(order(both.id))).pdf)).toHaveLength(2)
  })

  it('draws a logo that was kept with the design', async () => {
    const element = { id: 'logo', part: 'logo' as const, x: 5, y: 5, width: 20, height: 20 }
    const plain = labelDesignSchema.parse({
      ...beginDesign('rectangle', 'Logo'),
      elements: [element],
    })
    const { id, revision } = await designed(plain)
    const canvas = createCanvas(40, 40)
    const paint = canvas.getContext('2d')
    paint.fillStyle = '#000000'
    paint.fillRect(0, 0, 40, 40)
    const picture = v7()
    const kept = await fetch(`${server.url}/api/designs/${id}/photos/${picture}`, {
      method: 'PUT',
      body: new Uint8Array(canvas.toBuffer('image/png')),
    })
    expect(kept.status).toBe(200)
    await send('PUT', `/api/designs/${id}`, {
      revision,
      document: { ...plain, elements: [{ ...plain.elements[0]!, picture }] },
    })
    const { pdf } = await printed(order(id, { anyway: true }))
    const text = pdf.toString('latin1')
    expect(text).toMatch(/\/Subtype \/Image[^>]*\/Width 40[^>]*\/Height 40/s)
  })

  it.each([
    ['a count of nought', { count: 0 }, 'count'],
    ['too many', { count: 2001 }, 'count'],
    ['a place before the first', { from: 0 }, 'from'],
    ['nothing to label', { subject: { of: 'batch', id: 'x' } }, 'subject.id'],
  ])('refuses %s', async (_, changes, path) => {
    const { id } = await designed()
    const { status, body } = await send('POST', '/api/labels/pdf', order(id, changes))
    expect(status).toBe(422)
    expect(body.errors[0]!.path).toBe(path)
  })

  it('says what is not there', async () => {
    const { id } = await designed()
    for (const wrong of [order(v7()), order(id, { subject: { of: 'gift', id: v7() } })])
      expect((await send('POST', '/api/labels/pdf', wrong)).status).toBe(404)
  })
})

describe('designs and boxes', () => {
  it('a design that goes with another stays, and none goes with itself or with a pair', async () => {
    const back = await designed({ name: 'Back' })
    const front = await designed({ name: 'Front', also: back.id })
    const gone = await send('DELETE', `/api/designs/${back.id}`)
    expect([gone.status, gone.body.errors[0]!.says]).toEqual([
      409,
      'It goes with Front. Take it off there first.',
    ])
    const onPair = await send('PUT', `/api/designs/${v7()}`, {
      revision: 0,
      document: { ...front.document, also: front.id },
    })
    expect(onPair.body.errors[0]!.path).toBe('document.also')
    const onSelf = await send('PUT', `/api/designs/${back.id}`, {
      revision: back.revision,
      document: { ...back.document, also: back.id },
    })
    expect(onSelf.status).toBe(422)
  })

  it('a box names batches that are there, each once', async () => {
    const gift = { name: 'Box', tagline: '', price: null, designId: null }
    const put = (bars: object[]) =>
      send('PUT', `/api/gifts/${v7()}`, { revision: 0, document: { ...gift, bars } })
    expect((await put([{ batchId: batch.id, bars: 2 }])).status).toBe(200)
    expect((await put([{ batchId: v7(), bars: 1 }])).body.errors[0]!.path).toBe(
      'document.bars[0].batchId',
    )
    const twice = await put([
      { batchId: batch.id, bars: 1 },
      { batchId: batch.id, bars: 1 },
    ])
    expect(twice.status).toBe(422)
  })
})

describe('who asked for more at a market', () => {
  it('is promised once, under the id of the press, and taken back with it', async () => {
    const id = v7()
    await send('PUT', `/api/markets/${id}`, {
      revision: 0,
      document: { name: 'Ferry market', day: '2026-11-28', tin: 0 },
    })
    const event = {
      id: v7(),
      at: '2026-11-23T09:31:00.000Z',
      kind: 'asked',
      formulaId: batch.formulaId,
      bars: 4,
      who: 'The post woman',
      on: '2027-01-09',
    }
    const tell = (events: object[]) => send('POST', `/api/markets/${id}/events`, { events })
    await tell([event])
    await tell([event])
    const goals = async () =>
      (await send<Stored<{ what: string; bars: number }>[]>('GET', '/api/goals')).body.map(
        ({ id: goal, document }) => [goal, document.what, document.bars],
      )
    expect(await goals()).toEqual([[event.id, 'The post woman, Ferry market', 4]])
    await tell([{ id: v7(), at: '2026-11-23T09:32:00.000Z', kind: 'undone', event: event.id }])
    expect(await goals()).toEqual([])
    const strange = await tell([{ ...event, id: v7(), formulaId: v7() }])
    expect([strange.status, strange.body.errors[0]!.path]).toEqual([422, 'events[0].formulaId'])
  })
})
