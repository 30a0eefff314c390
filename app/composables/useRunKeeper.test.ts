import {
  runEventsSchema,
  setupSchema,
  type NewRunEvent,
  type Run,
  type RunEvent,
} from '#contracts/run'
import { addRunEvents, getRun, startRun } from '../../server/db/runs'
import type { Db } from '../../server/db/connection'
import type { StreamMessage } from '#contracts/stream'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { inPage, pass, serverThat, withoutStorage, type Answer } from '../../tests/support/page'
import { shedWith } from '../../tests/support/shed'
import { noteEpoch } from '../utils/api'
import { deviceId } from '../utils/device'
import { newId } from '../utils/ids'
import {
  forgetRehearsal,
  rememberBench,
  rememberedBench,
  useLocalKeeper,
  useServerKeeper,
  type RunKeeper,
} from './useRunKeeper'

vi.mock('../stores/workshop', async () => {
  const { formatter } = await import('../../core/units/formatter')
  return { useWorkshop: () => ({ clock: () => Date.now(), say: formatter() }) }
})
const line = vi.hoisted(() => ({
  hear: (() => {}) as (message: unknown) => void,
  open: (() => {}) as (open: boolean) => void,
}))
vi.mock('./useStream', () => ({
  listenTo: (_: unknown, hear: typeof line.hear, open: typeof line.open) => {
    Object.assign(line, { hear, open })
    return () => {}
  },
}))

const now = '2026-03-01T09:00:00.000Z'
const setup = setupSchema.parse({})
const id = 'run'
let db: Db
let epoch: string
let down: 'up' | 'down' | 'answers get lost'
let asked: ReturnType<typeof serverThat>
let left: (() => void)[] = []

/** A server that keeps runs in a real store. */
function answer({ method, path, body }: (typeof asked)[number]): Answer {
  if (down === 'down') return 'no answer'
  const no = (status: number, at: string, more = {}): Answer => ({
    status,
    body: { errors: [{ path: at, says: 'Not this.' }], ...more },
    epoch,
  })
  const run = getRun(db, id)
  if (method === 'GET') return run ? { body: run, epoch } : no(404, '')
  if (path.endsWith('/run')) {
    const { device } = body as { device: string }
    if (!db.prepare('SELECT 1 FROM batches').get()) return no(404, '')
    return {
      body: startRun(db, {
        id,
        batchId: 'batch',
        setup,
        scale: 1,
        paper: false,
        startedAt: now,
        device,
      }),
      epoch,
    }
  }
  if (!run) return no(404, '')
  const { device, events } = runEventsSchema.parse(body)
  const bad = events.findIndex((event) => event.kind === 'noted' && event.says === 'unreadable')
  if (bad >= 0) return no(422, `events[${bad}].says`)
  // Something about them, and it does not say what.
  if (events.some((event) => event.kind === 'noted' && event.says === 'refused'))
    return no(422, 'device')
  const taken = addRunEvents(db, id, device, events, now)
  if (taken.kind === 'not-leading') return no(409, 'device', { driver: taken.driver })
  if (taken.kind !== 'taken') return no(422, '')
  return down === 'answers get lost' ? 'no answer' : { body: { events: taken.events }, epoch }
}

/** A workshop with a run that this device has just begun. */
function begin() {
  db = shedWith('slab', 'batch')
  const device = deviceId()
  startRun(db, { id, batchId: 'batch', setup, scale: 1, paper: false, startedAt: now, device })
}

beforeEach(() => {
  vi.useFakeTimers({ now: Date.parse(now) })
  localStorage.clear()
  epoch = newId()
  noteEpoch(epoch)
  down = 'up'
  begin()
  asked = serverThat(answer)
})
afterEach(() => {
  for (const leave of left) leave()
  left = []
  vi.useRealTimers()
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
  db.close()
})

const keeper = (run: Run = getRun(db, id)!): RunKeeper => {
  const { of, leave } = inPage(() => useServerKeeper(run))
  left.push(leave)
  return of
}
const event = (told: NewRunEvent = { kind: 'done', step: 'water' }): RunEvent =>
  ({ ...told, id: newId(), at: now }) as RunEvent
const there = () => getRun(db, id)!.events.map((one) => one.id)
const shown = (one: RunKeeper) => one.events.value.map((event) => event.id)

describe('what is told at the bench', () => {
  it('is sent at once, in order, and shown before anybody answers', async () => {
    const bench = keeper()
    const told = [event(), event(), event()]
    for (const one of told) bench.keep(one)
    const ids = told.map((one) => one.id)
    expect(shown(bench)).toEqual(ids)
    expect([bench.state.value, bench.waiting.value]).toEqual(['sending', 3])
    await pass(0)
    expect(there()).toEqual(ids)
    expect([bench.state.value, bench.waiting.value, bench.safe.value]).toEqual(['kept', 0, true])
    expect(shown(bench)).toEqual(ids)
  })

  it('lies on this device while the server is away, is tried every two seconds, and goes out in order', async () => {
    const bench = keeper()
    down = 'down'
    const told = [event(), event()]
    for (const one of told) bench.keep(one)
    await pass(0)
    expect([bench.state.value, bench.waiting.value]).toEqual(['cut-off', 2])
    const tries = asked.length
    await pass(1900)
    expect(asked).toHaveLength(tries)
    await pass(200)
    expect(asked).toHaveLength(tries + 1)
    down = 'up'
    await pass(2000)
    expect(there()).toEqual(told.map((one) => one.id))
    expect([bench.state.value, bench.waiting.value]).toEqual(['kept', 0])
  })

  it('is taken once though its answer is lost', async () => {
    const bench = keeper()
    down = 'answers get lost'
    bench.keep(event())
    await pass(0)
    expect([there().length, bench.waiting.value]).toEqual([1, 1])
    down = 'up'
    window.dispatchEvent(new Event('online'))
    await pass(0)
    expect([there().length, bench.waiting.value, bench.events.value.length]).toEqual([1, 0, 1])
  })

  it('survives a reload, also of what the server has while it is away', async () => {
    const bench = keeper()
    const first = event()
    bench.keep(first)
    await pass(0)
    down = 'down'
    const second = event()
    bench.keep(second)
    await pass(0)
    left.pop()!()
    // The page comes back with the run as it was remembered at its beginning.
    const again = keeper({ ...getRun(db, id)!, events: [] })
    expect(shown(again)).toEqual([first.id, second.id])
    expect(again.waiting.value).toBe(1)
    down = 'up'
    await pass(3000)
    expect(there()).toEqual([first.id, second.id])
  })

  it('says when this browser keeps nothing', async () => {
    const bench = keeper()
    withoutStorage()
    bench.keep(event())
    expect(bench.safe.value).toBe(false)
    await pass(0)
    expect(there()).toHaveLength(1)
  })

  it('that the server cannot read does not hold up the rest', async () => {
    const bench = keeper()
    const told = [event(), event({ kind: 'noted', says: 'unreadable' }), event()]
    for (const one of told) bench.keep(one)
    await pass(0)
    expect(there()).toEqual([told[0]!.id, told[2]!.id])
    expect([bench.state.value, bench.waiting.value]).toEqual(['kept', 0])
  })

  it('that is refused without a word of which it is: the others get through, and it stays', async () => {
    const bench = keeper()
    const told = [event(), event({ kind: 'noted', says: 'refused' }), event()]
    for (const one of told) bench.keep(one)
    await pass(0)
    expect(there()).toEqual([told[0]!.id])
    expect([bench.state.value, bench.waiting.value]).toEqual(['cut-off', 2])
    expect(shown(bench)).toEqual(told.map((one) => one.id))
    await pass(25_000)
    expect(bench.waiting.value).toBe(2)
  })

  it('leaves nothing here once the run is over and sent', async () => {
    rememberBench('batch', { batch: {}, run: {} })
    const bench = keeper()
    bench.keep(event())
    await pass(0)
    expect(Object.keys(localStorage).some((key) => key.includes(id))).toBe(true)
    bench.keep(event({ kind: 'finished', pouredDay: '2026-03-01' }))
    await pass(0)
    expect(bench.state.value).toBe('kept')
    expect(Object.keys(localStorage).filter((key) => key.includes(id))).toEqual([])
    expect(rememberedBench('batch')).toBeNull()
  })

  it('is judged before it is sent where an older page, or a hand, left it here', async () => {
    const good = event()
    localStorage.setItem(
      `mantle-run-${id}`,
      JSON.stringify([good, { id: newId(), at: now, kind: 'scooped', step: 'x', grams: 'much' }]),
    )
    const bench = keeper()
    vi.useRealTimers()
    await vi.waitFor(() => expect(there()).toEqual([good.id]), { timeout: 20_000 })
    expect(bench.waiting.value).toBe(0)
    expect(localStorage.getItem(`mantle-run-${id}-unread`)).toContain('much')
  })

  it('says when this browser has hardly any room left, before it has none', async () => {
    const bench = keeper()
    bench.keep(event())
    expect(bench.nearlyFull.value).toBe(false)
    localStorage.setItem('elsewhere', 'x'.repeat(4_400_000))
    bench.keep(event())
    expect(bench.nearlyFull.value).toBe(true)
    expect(bench.safe.value).toBe(true)
    await pass(0)
  })

  it('by another device comes in by the line, each once', async () => {
    const bench = keeper()
    const other = event({ kind: 'drove', name: 'Tablet' })
    addRunEvents(db, id, 'tablet', [other], now)
    const data = getRun(db, id)!.events
    const message: StreamMessage = { topic: 'run', run: id, data }
    line.hear(message)
    line.hear(message)
    line.hear({ topic: 'batches' })
    expect(shown(bench)).toEqual([other.id])
    expect(bench.leading.value).toBe(false)
  })
})

describe('the line to the server', () => {
  it('down and up again: cut off, then kept, and what waits is sent', async () => {
    const bench = keeper()
    await pass(0)
    line.open(false)
    expect(bench.state.value).toBe('cut-off')
    line.open(true)
    expect(bench.state.value).toBe('kept')
    down = 'down'
    bench.keep(event())
    await pass(0)
    down = 'up'
    line.open(true)
    await pass(0)
    expect([bench.state.value, there().length]).toEqual(['kept', 1])
  })
})

describe('two devices at one bench', () => {
  const taken = async () => {
    const bench = keeper()
    const lead = event({ kind: 'drove', name: 'Tablet' })
    addRunEvents(db, id, 'tablet', [lead], now)
    const late = event()
    bench.keep(late)
    await pass(0)
    return { bench, lead, late }
  }

  it('the one that does not lead is told so; what it wrote is held apart', async () => {
    const { bench, lead } = await taken()
    expect(bench.leading.value).toBe(false)
    expect(bench.refused.value).toBe(1)
    expect(shown(bench)).toEqual([lead.id])
    expect(there()).toEqual([lead.id])
    await pass(10_000)
    expect(there()).toEqual([lead.id])
  })

  it('takes over, with what it wrote or without', async () => {
    const { bench, late } = await taken()
    bench.takeOver(true)
    await pass(0)
    expect(getRun(db, id)!.driver).toBe(deviceId())
    expect(there().at(-1)).toBe(late.id)
    expect([bench.leading.value, bench.refused.value, bench.waiting.value]).toEqual([true, 0, 0])
  })

  it('without it, what it wrote is gone', async () => {
    const { bench, late } = await taken()
    bench.takeOver(false)
    await pass(0)
    expect(getRun(db, id)!.driver).toBe(deviceId())
    expect(there()).not.toContain(late.id)
  })
})

describe('a workshop that was put back to an older state', () => {
  /** The database as it was before this run had any events; the next answer says so. */
  function putBack() {
    db.close()
    begin()
    epoch = newId()
  }

  it('gets what it lacks of this run again', async () => {
    const bench = keeper()
    const told = [event(), event()]
    for (const one of told) bench.keep(one)
    await pass(0)
    putBack()
    expect(there()).toEqual([])
    noteEpoch(epoch)
    await pass(0)
    expect(there()).toEqual(told.map((one) => one.id))
    expect(shown(bench)).toEqual(told.map((one) => one.id))
    expect(bench.state.value).toBe('kept')
  })

  it('also when the page was closed meanwhile', async () => {
    const bench = keeper()
    const told = event()
    bench.keep(told)
    await pass(0)
    left.pop()!()
    putBack()
    noteEpoch(epoch)
    const again = keeper()
    expect(shown(again)).toEqual([told.id])
    await pass(0)
    expect(there()).toEqual([told.id])
  })

  it('to before its beginning: the run is begun there again', async () => {
    const bench = keeper()
    const told = event()
    bench.keep(told)
    await pass(0)
    db.close()
    db = shedWith('slab', 'batch')
    epoch = newId()
    noteEpoch(epoch)
    await pass(0)
    expect(there()).toEqual([told.id])
    expect(bench.state.value).toBe('kept')
  })

  it('to before its batch: nothing is lost, and nothing is sent', async () => {
    const bench = keeper()
    const told = event()
    bench.keep(told)
    await pass(0)
    db.close()
    db = shedWith('slab')
    epoch = newId()
    noteEpoch(epoch)
    await pass(0)
    expect([bench.state.value, bench.waiting.value]).toEqual(['stranded', 1])
    expect(shown(bench)).toEqual([told.id])
    const tries = asked.length
    await pass(10_000)
    expect(asked).toHaveLength(tries)
  })
})

describe('a rehearsal', () => {
  const local = () => useLocalKeeper('practice', now, setup, 1)

  it('stays on this device, survives a reload, and is forgotten', () => {
    const bench = local()
    const told = event()
    bench.keep(told)
    expect(bench.events.value).toEqual([told])
    expect(local().events.value).toEqual([told])
    expect([bench.leading.value, bench.waiting.value, bench.run.driver]).toEqual([
      true,
      0,
      deviceId(),
    ])
    expect(asked).toEqual([])
    forgetRehearsal('practice')
    expect(local().events.value).toEqual([])
    localStorage.setItem('mantle-run-practice', '{"startedAt":5}')
    expect(local().events.value).toEqual([])
  })
})

it('a bench is remembered for a reload without a server; what is none is not', () => {
  expect(rememberedBench('b')).toBeNull()
  rememberBench('b', { batch: 1, run: 2 })
  expect(rememberedBench('b')).toEqual({ batch: 1, run: 2 })
  rememberBench('b', { batch: 1 })
  expect(rememberedBench('b')).toBeNull()
})
