import {
  trialEventSchema,
  trialSchema,
  type PotFound,
  type ToldTrialEvent,
  type Trial,
  type TrialEvent,
  type TrialSummary,
  type WholeTrial,
} from '#contracts/trial'
import { foundIn, stateOf } from '#core/trials/found'
import type { Db } from './connection'
import { trials } from './documents'
import { otherwiseKept } from './sameEvents'

interface Row {
  id: string
  revision: number
  document: string
  changed_at: string
  changed_by: string
  state: TrialSummary['state']
  found: string
  sniffed: string
}
interface EventRow {
  seq: number
  payload: string
}

/** Events of a trial after a number, in the order in which they were taken. */
export const trialEventsAfter = (db: Db, trialId: string, seq = 0): ToldTrialEvent[] =>
  db
    .prepare<[string, number], EventRow>(
      'SELECT seq, payload FROM trial_events WHERE trial_id = ? AND seq > ? ORDER BY seq',
    )
    .all(trialId, seq)
    .map(({ seq: number, payload }) => ({ ...(JSON.parse(payload) as TrialEvent), seq: number }))

/** Plans as they were parsed, by their text: a list of years of them is asked for again and again. */
const parsed = new Map<string, Trial>()
const mostParsed = 1000
function planOf(text: string): Trial {
  const known = parsed.get(text)
  if (known) return known
  if (parsed.size >= mostParsed) parsed.clear()
  const plan = trialSchema.parse(JSON.parse(text))
  parsed.set(text, plan)
  return plan
}

/** Every trial day that is not deleted with what its pots showed, the last day first. */
export function listTrials(db: Db): TrialSummary[] {
  return db
    .prepare<[], Row>(
      `SELECT id, revision, document, changed_at, changed_by, state, found, sniffed FROM trials
       WHERE deleted_at IS NULL`,
    )
    .all()
    .map((row) => ({
      id: row.id,
      revision: row.revision,
      changedAt: row.changed_at,
      changedBy: row.changed_by,
      document: planOf(row.document),
      state: row.state,
      found: JSON.parse(row.found) as PotFound[],
      sniffed: JSON.parse(row.sniffed) as number[],
    }))
    .sort(
      (a, b) =>
        b.document.day.localeCompare(a.document.day) || b.document.number - a.document.number,
    )
}

/** A trial day with all that happened; null when there is none, or it is deleted. */
export function getTrial(db: Db, id: string): WholeTrial | null {
  const stored = trials.get(db, id)
  if (!stored) return null
  const events = trialEventsAfter(db, id)
  return { ...stored, ...stateOf(events), found: foundIn(stored.document, events), events }
}

export type TakenOfTrial =
  | { kind: 'taken'; events: ToldTrialEvent[] }
  /** An event of this id says something else: nothing of it was taken. */
  | { kind: 'other-content'; place: number }

/** Works out anew what a trial came to, and keeps it beside its events. */
export function keepFound(db: Db, id: string): void {
  const trial = getTrial(db, id)
  if (!trial) return
  db.prepare('UPDATE trials SET state = ?, found = ?, sniffed = ? WHERE id = ?').run(
    trial.state,
    JSON.stringify(trial.found),
    JSON.stringify(trial.sniffed),
    id,
  )
}

/**
 * Takes what a device tells of a trial, in order and once; several devices may tell of one. All or nothing.
 */
export function addTrialEvents(
  db: Db,
  trialId: string,
  events: readonly TrialEvent[],
  now: string,
): TakenOfTrial {
  return db
    .transaction((): TakenOfTrial => {
      const before = trialEventsAfter(db, trialId)
      const known = new Map(before.map((event) => [event.id, event]))
      const said = new Map(before.map(({ seq: _, ...event }) => [event.id, event]))
      const place = otherwiseKept(events, said, trialEventSchema)
      if (place >= 0) return { kind: 'other-content', place }
      const insert = db.prepare(
        `INSERT INTO trial_events (id, trial_id, kind, payload, at, kept_at) VALUES (?, ?, ?, ?, ?, ?)
         ON CONFLICT (id) DO NOTHING`,
      )
      for (const event of events)
        insert.run(event.id, trialId, event.kind, JSON.stringify(event), event.at, now)
      keepFound(db, trialId)
      const again = events.flatMap(({ id }) => known.get(id) ?? [])
      return {
        kind: 'taken',
        events: [...again, ...trialEventsAfter(db, trialId, before.at(-1)?.seq ?? 0)],
      }
    })
    .immediate()
}
