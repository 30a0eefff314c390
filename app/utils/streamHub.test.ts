import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { StreamMessage } from '#contracts/stream'
import { nothing, StreamHub, type HubWord, type Wants } from './streamHub'

/** Lines to the server as they were opened. */
class Source {
  static readonly CLOSED = 2
  static all: Source[] = []
  static get open() {
    return Source.all.filter(({ readyState }) => readyState !== Source.CLOSED)
  }
  readyState = 0
  onopen: () => void = () => undefined
  onerror: () => void = () => undefined
  onmessage: (event: { data: string }) => void = () => undefined
  constructor(readonly url: string) {
    Source.all.push(this)
  }
  close() {
    this.readyState = Source.CLOSED
  }
  begin() {
    this.readyState = 1
    this.onopen()
  }
  say(message: StreamMessage) {
    this.onmessage({ data: JSON.stringify(message) })
  }
}
beforeEach(() => {
  Source.all = []
  vi.useFakeTimers()
  vi.stubGlobal('EventSource', Source)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
const wants = (changes: Partial<Wants>): Wants => ({ ...nothing, ...changes })
const told = (run: string, seq: number): StreamMessage => ({
  topic: 'run',
  run,
  data: [{ id: `event-${seq}`, seq } as never],
})

describe('one line for all windows', () => {
  it('is opened once for all that is wanted, and each window hears what it asked for', () => {
    const hub = new StreamHub()
    const heard: Record<string, HubWord[]> = { bench: [], rack: [], shelf: [] }
    const window = (id: string, what: Partial<Wants>) =>
      hub.wants(id, wants(what), (word) => heard[id]!.push(word))
    window('bench', { runs: { 'run-1': 4 }, readings: ['set-1'] })
    window('rack', { room: true, facts: true })
    window('shelf', { runs: { 'run-1': 2 } })
    vi.advanceTimersByTime(100)
    expect(Source.all.map(({ url }) => url)).toEqual([
      '/api/stream?run=run-1%402&readings=set-1&room=1&facts=1',
    ])
    Source.all[0]!.begin()
    Source.all[0]!.say(told('run-1', 5))
    Source.all[0]!.say({ topic: 'room', data: null })
    const topics = (id: string) =>
      heard[id]!.map((word) => ('message' in word ? word.message.topic : word.open))
    expect(topics('bench')).toEqual([true, 'run'])
    expect(topics('rack')).toEqual([true, 'room'])
    expect(topics('shelf')).toEqual([true, 'run'])
  })

  it('goes on from what is known by then when another is needed, and ends with the last window', () => {
    const hub = new StreamHub()
    const tell = () => undefined
    hub.wants('bench', wants({ runs: { 'run-1': 0 } }), tell)
    vi.advanceTimersByTime(100)
    Source.all[0]!.begin()
    Source.all[0]!.say(told('run-1', 7))
    hub.wants('rack', wants({ room: true }), tell)
    vi.advanceTimersByTime(100)
    expect(Source.all[1]!.url).toBe('/api/stream?run=run-1%407&room=1')
    // The old line stands until the new one does: nothing is missed in between.
    expect(Source.open).toHaveLength(2)
    Source.all[1]!.begin()
    expect(Source.open).toHaveLength(1)
    hub.wants('rack', nothing, tell)
    hub.wants('bench', nothing, tell)
    vi.advanceTimersByTime(100)
    expect(Source.open).toEqual([])
  })

  it('is opened again when the server refused it', () => {
    const hub = new StreamHub()
    const words: HubWord[] = []
    hub.wants('rack', wants({ room: true }), (word) => words.push(word))
    vi.advanceTimersByTime(100)
    Source.all[0]!.close()
    Source.all[0]!.onerror()
    expect(words).toEqual([{ open: false }])
    vi.advanceTimersByTime(4000)
    expect(Source.all).toHaveLength(2)
  })

  it('forgets a window that has said nothing for long', () => {
    const hub = new StreamHub()
    const lost: HubWord[] = []
    hub.wants('lost', wants({ room: true }), (word) => lost.push(word))
    hub.wants('rack', wants({ room: true }), () => undefined)
    vi.advanceTimersByTime(100)
    for (let minute = 0; minute < 4; minute++) {
      vi.advanceTimersByTime(60_000)
      hub.alive('rack')
    }
    Source.all[0]!.begin()
    expect(lost).toEqual([])
  })
})
