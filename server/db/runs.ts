import {
  runEventSchema,
  type Run,
  type RunEvent,
  type RunSetup,
  type ToldEvent,
} from '#contracts/run'
import type { Db } from './connection'

interface Row {
  id: string
  batch_id: string
  setup: string
  scale: number
  paper: number
  started_by: string
  started_at: string
}
interface EventRow {
  seq: number
  device: string
  payload: string
}

const told = ({ seq, device, payload }: EventRow): ToldEvent => ({
  ...(JSON.parse(payload) as RunEvent),
  seq,
  device,
})

/** Events of a run after a number, in the order in which they were taken. */
export const eventsAfter = (db: Db, runId: string, seq = 0): ToldEvent[] =>
  db
    .prepare<[string, number], EventRow>(
      'SELECT seq, device, payload FROM run_events WHERE run_id = ? AND seq > ? ORDER BY seq',
    )
    .all(runId, seq)
    .map(told)

function runOf(db: Db, row: Row | undefined): Run | null {
  if (!row) return null
  const events = eventsAfter(db, row.id)
  return {
    id: row.id,
    batchId: row.batch_id,
    setup: JSON.parse(row.setup) as RunSetup,
    scale: row.scale,
    paper: row.paper === 1,
    startedAt: row.started_at,
    driver: events.findLast(({ kind }) => kind === 'drove')?.device ?? row.started_by,
    events,
  }
}

export const getRun = (db: Db, id: string): Run | null =>
  runOf(db, db.prepare<[string], Row>('SELECT * FROM runs WHERE id = ?').get(id))

export const runOfBatch = (db: Db, batchId: string): Run | null =>
  runOf(db, db.prepare<[string], Row>('SELECT * FROM runs WHERE batch_id = ?').get(batchId))

/** Batches whose run has begun and has not ended. */
export const openRuns = (db: Db): { batchId: string; startedAt: string }[] =>
  db
    .prepare<[], { batchId: string; startedAt: string }>(
      `SELECT batch_id AS batchId, started_at AS startedAt FROM runs WHERE NOT EXISTS (
         SELECT 1 FROM run_events WHERE run_id = runs.id AND kind = 'finished')
       ORDER BY started_at DESC`,
    )
    .all()

/** What tells how long the batter of a formula took: lye in, marks and what was taken back, by batch. */
export function marksOfFormula(
  db: Db,
  formulaId: string,
): { batchId: string; events: RunEvent[] }[] {
  return db
    .prepare<[string], { batchId: string; events: string }>(
      `SELECT runs.batch_id AS batchId, json_group_array(json(payload) ORDER BY seq) AS events FROM batches
       JOIN runs ON runs.batch_id = batches.id JOIN run_events ON run_events.run_id = runs.id
       WHERE batches.formula_id = ? AND runs.paper = 0 AND (kind IN ('marked', 'rescued', 'undone')
         OR kind = 'done' AND payload ->> '$.step' LIKE 'combine%')
       GROUP BY runs.batch_id`,
    )
    .all(formulaId)
    .map(({ batchId, events }) => ({ batchId, events: JSON.parse(events) as RunEvent[] }))
}

/** Begins the run of a batch. A batch has one run: beginning it again gives the one that is there. */
export function startRun(db: Db, run: Omit<Run, 'driver' | 'events'> & { device: string }): Run {
  db.prepare(
    `INSERT INTO runs (id, batch_id, setup, scale, paper, started_by, started_at) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT DO NOTHING`,
  ).run(
    run.id,
    run.batchId,
    JSON.stringify(run.setup),
    run.scale,
    run.paper ? 1 : 0,
    run.device,
    run.startedAt,
  )
  return runOfBatch(db, run.batchId)!
}

export type Taken =
  | { kind: 'taken'; events: ToldEvent[] }
  /** Another device leads: nothing of it was taken. */
  | { kind: 'not-leading'; driver: string }
  /** The run has ended: nothing of it was taken. */
  | { kind: 'ended' }
  /** An event of this id says something else: nothing of it was taken. */
  | { kind: 'other-content'; place: number }

/** Whether a run has come to its end. */
const hasEnded = (events: readonly RunEvent[]): boolean =>
  events.some(({ kind }) => kind === 'finished')

/** Whether what is kept says what is sent again. */
function sameEvent({ seq: _, device: __, ...before }: ToldEvent, event: RunEvent): boolean {
  const now = runEventSchema.safeParse(before)
  return JSON.stringify(now.success ? now.data : before) === JSON.stringify(event)
}

/**
 * Takes what a device sends, in order and once. Only the device that leads may add to the run; another one leads from its
 * `drove` on. All or nothing.
 */
export function addRunEvents(
  db: Db,
  runId: string,
  device: string,
  events: RunEvent[],
  now: string,
  /** What else changes with them, in the same transaction. */
  also: (fresh: RunEvent[]) => void = () => undefined,
): Taken {
  return db
    .transaction((): Taken => {
      const run = getRun(db, runId)!
      const known = new Map(run.events.map((event) => [event.id, event]))
      const place = events.findIndex((event) => {
        const before = known.get(event.id)
        return before && !sameEvent(before, event)
      })
      if (place >= 0) return { kind: 'other-content', place }
      const fresh = events.filter(({ id }) => !known.has(id))
      if (fresh.length && hasEnded([...run.events, ...fresh.slice(0, -1)])) return { kind: 'ended' }
      // On a making day several devices tell of one batch.
      const leads = !!run.setup.day || run.driver === device || fresh[0]?.kind === 'drove'
      if (fresh.length && !leads) return { kind: 'not-leading', driver: run.driver }
      const insert = db.prepare(
        `INSERT INTO run_events (id, run_id, device, kind, payload, at, kept_at) VALUES (?, ?, ?, ?, ?, ?, ?)
         ON CONFLICT (id) DO NOTHING`,
      )
      for (const event of fresh)
        insert.run(event.id, runId, device, event.kind, JSON.stringify(event), event.at, now)
      also(fresh)
      // What is sent again is answered again: its first answer was lost, and only an event with its number is known as kept.
      const again = events.flatMap(({ id }) => known.get(id) ?? [])
      return {
        kind: 'taken',
        events: [...again, ...eventsAfter(db, runId, run.events.at(-1)?.seq ?? 0)],
      }
    })
    .immediate()
}
