import { performance } from 'node:perf_hooks'
import type { LabelDesign, LabelProgress, NewLabelOrder } from '../../contracts/label'
import type { Stored } from '../../contracts/document'
import { median } from '../../core/statistics/quantile'
import { demoTemplate, TestServer } from '../support/server'

/* 300 labels in one PDF, from the press to the last byte, for every design of the demo workshop; and when the first progress is told. */

const server = await TestServer.start(demoTemplate())
const get = async <T>(path: string) => (await (await fetch(server.url + path)).json()) as T
const designs = await get<Stored<LabelDesign>[]>('/api/designs')
const batches = await get<{ id: string; number: number }[]>('/api/batches')
const batch = batches.find(({ number }) => number === 30)!

async function made(order: NewLabelOrder): Promise<{ first: number; whole: number; kb: number }> {
  const since = performance.now()
  const response = await fetch(`${server.url}/api/labels/pdf`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(order),
  })
  let first = 0
  let text = ''
  for await (const chunk of response.body! as unknown as AsyncIterable<Uint8Array>) {
    first ||= performance.now() - since
    text += Buffer.from(chunk).toString()
  }
  const last = JSON.parse(text.trim().split('\n').at(-1)!) as LabelProgress
  if (!('pdf' in last)) throw new Error('No file came.')
  return {
    first,
    whole: performance.now() - since,
    kb: Buffer.from(last.pdf, 'base64').length / 1024,
  }
}
for (const { id, document } of designs) {
  const order: NewLabelOrder = {
    designId: id,
    subject: { of: 'batch', id: batch.id },
    count: 300,
    anyway: true,
  }
  await made(order)
  const rounds: Awaited<ReturnType<typeof made>>[] = []
  for (let round = 0; round < 5; round++) rounds.push(await made(order))
  const of = (key: 'first' | 'whole' | 'kb') => median(rounds.map((one) => one[key]))
  console.log(
    `${document.name}: 300 labels in ${of('whole').toFixed(0)} ms, progress after ${of('first').toFixed(0)} ms, ${of('kb').toFixed(0)} kB`,
  )
}
await server.stop()
