import { setupSchema, type NewRunEvent, type RunEvent } from '#contracts/run'
import { beforeEach, describe, expect, it } from 'vitest'
import { shedWith } from '../../tests/support/shed'
import type { Db } from './connection'
import {
  addRunEvents,
  eventsAfter,
  getRun,
  marksOfFormula,
  openRuns,
  runOfBatch,
  startRun,
} from './runs'

const now = '2026-03-01T09:00:00Z'
let db: Db
let count = 0
beforeEach(() => {
  count = 0
  db = shedWith('slab', 'first', 'second')
  return () => db.close()
})

const start = (
  id: string,
  batchId: string,
  changes: { paper?: boolean; startedAt?: string } = {},
) =>
  startRun(db, {
    id,
    batchId,
    setup: setupSchema.parse({}),
    scale: 0.5,
    paper: false,
    startedAt: now,
    device: 'tablet',
    ...changes,
  })
const event = (happened: NewRunEvent): RunEvent =>
  ({
    id: `0199a1b2-0000-7000-8000-${String(++count).padStart(12, '0')}`,
    at: now,
    ...happened,
  }) as RunEvent
const add = (events: RunEvent[], device = 'tablet', run = 'run') =>
  addRunEvents(db, run, device, events, now)

describe('a run', () => {
  it('begins once, led by the device that began it', () => {
    expect(start('run', 'first')).toEqual({
      id: 'run',
      batchId: 'first',
      setup: setupSchema.parse({}),
      scale: 0.5,
      paper: false,
      startedAt: now,
      driver: 'tablet',
      events: [],
    })
    expect(start('another', 'first').id).toBe('run')
    expect(getRun(db, 'another')).toBeNull()
    expect(runOfBatch(db, 'second')).toBeNull()
    expect(start('written', 'second', { paper: true }).paper).toBe(true)
  })

  it('is open until it is finished, the newest first', () => {
    start('run', 'first')
    start('later', 'second', { startedAt: '2026-03-02T09:00:00Z' })
    expect(openRuns(db)).toEqual([
      { batchId: 'second', startedAt: '2026-03-02T09:00:00Z' },
      { batchId: 'first', startedAt: now },
    ])
    add([event({ kind: 'finished', pouredDay: '2026-03-01' })])
    expect(openRuns(db).map(({ batchId }) => batchId)).toEqual(['second'])
  })
})

describe('what happens in it', () => {
  it('is taken in order, each once', () => {
    start('run', 'first')
    const [a, b, c] = [1, 2, 3].map((grams) =>
      event({ kind: 'scooped', step: 'water', grams, typed: true }),
    ) as [RunEvent, RunEvent, RunEvent]
    expect(add([a, b])).toMatchObject({
      kind: 'taken',
      events: [
        { id: a.id, device: 'tablet' },
        { id: b.id, device: 'tablet' },
      ],
    })
    // A lost answer: what was sent is sent again, with what came since.
    const again = add([a, b, c])
    expect(again.kind === 'taken' && again.events.map(({ id }) => id)).toEqual([a.id, b.id, c.id])
    const kept = getRun(db, 'run')!.events
    expect(kept.map(({ id }) => id)).toEqual([a.id, b.id, c.id])
    expect(eventsAfter(db, 'run', kept[1]!.seq).map(({ id }) => id)).toEqual([c.id])
    expect(eventsAfter(db, 'run')).toEqual(kept)
  })

  it('is refused whole where an id says something else', () => {
    start('run', 'first')
    const first = event({ kind: 'done', step: 'water' })
    add([first])
    const other = { ...first, step: 'lye' } as RunEvent
    const fresh = event({ kind: 'done', step: 'oils' })
    expect(add([fresh, other])).toEqual({ kind: 'other-content', place: 1 })
    expect(getRun(db, 'run')!.events).toHaveLength(1)
  })

  it('comes from the device that leads; another leads from its taking over on', () => {
    start('run', 'first')
    const first = event({ kind: 'done', step: 'water' })
    add([first])
    const done = event({ kind: 'done', step: 'lye' })
    expect(add([done], 'phone')).toEqual({ kind: 'not-leading', driver: 'tablet' })
    // What is kept already is no addition, whoever sends it.
    expect(add([first], 'phone').kind).toBe('taken')
    expect(add([event({ kind: 'drove', name: 'Phone' }), done], 'phone').kind).toBe('taken')
    expect(getRun(db, 'run')!.driver).toBe('phone')
    expect(add([event({ kind: 'done', step: 'oils' })])).toEqual({
      kind: 'not-leading',
      driver: 'phone',
    })
  })

  it('ends: after the end nothing is taken, and nothing behind an end', () => {
    start('run', 'first')
    const end = event({ kind: 'finished', pouredDay: '2026-03-01' })
    const late = event({ kind: 'done', step: 'late' })
    expect(add([end, late]).kind).toBe('ended')
    expect(getRun(db, 'run')!.events).toEqual([])
    expect(add([event({ kind: 'done', step: 'water' }), end]).kind).toBe('taken')
    expect(add([late]).kind).toBe('ended')
    expect(add([end]).kind).toBe('taken')
  })

  it('changes what goes with it in the same breath, or not at all', () => {
    start('run', 'first')
    const done = event({ kind: 'done', step: 'water' })
    const seen: RunEvent[][] = []
    addRunEvents(db, 'run', 'tablet', [done], now, (fresh) => void seen.push(fresh))
    addRunEvents(db, 'run', 'tablet', [done], now, (fresh) => void seen.push(fresh))
    expect(seen).toEqual([[done], []])
    const next = event({ kind: 'done', step: 'lye' })
    expect(() =>
      addRunEvents(db, 'run', 'tablet', [next], now, () => {
        throw new Error('no room')
      }),
    ).toThrow('no room')
    expect(getRun(db, 'run')!.events).toHaveLength(1)
  })

  it('tells how long the batter of a formula took, paper left out', () => {
    start('run', 'first')
    start('written', 'second', { paper: true })
    const marks = [
      event({ kind: 'done', step: 'combine' }),
      event({ kind: 'marked', pot: 0, stage: 'emulsion' }),
    ]
    add([event({ kind: 'done', step: 'water' }), ...marks])
    add([event({ kind: 'done', step: 'combine' })], 'tablet', 'written')
    expect(marksOfFormula(db, 'slab')).toEqual([{ batchId: 'first', events: marks }])
    expect(marksOfFormula(db, 'none')).toEqual([])
  })
})
