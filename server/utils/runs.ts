import type { Run, RunEvent, ToldEvent } from '#contracts/run'
import { pouredBy } from '#core/bench/run/poured'
import { v7 } from 'uuid'
import { addEvents, getBatch } from '../db/batches'
import type { Db } from '../db/connection'

/** Everybody who follows a run hears what was added to it. */
const followers = new Map<string, Set<(events: ToldEvent[]) => void>>()

export function followRun(runId: string, hear: (events: ToldEvent[]) => void): () => void {
  const all = followers.get(runId) ?? new Set()
  followers.set(runId, all.add(hear))
  return () => void all.delete(hear)
}
export function tellFollowers(runId: string, events: ToldEvent[]): void {
  if (events.length) for (const hear of followers.get(runId) ?? []) hear(events)
}

/** A finished run makes its batch poured. */
export function pourFromRun(db: Db, run: Run, events: RunEvent[], now: string): void {
  const finished = events.find(({ kind }) => kind === 'finished')
  const batch = finished && getBatch(db, run.batchId)
  if (!batch || batch.events.some(({ kind }) => kind === 'poured')) return
  const made = pouredBy(batch.frozen, run, [...run.events, ...events])
  if (!made) return
  const { poured, forecasts } = made
  const { id } = finished
  const foretold = { kind: 'foretold' as const, id: v7(), day: poured.day, after: id, forecasts }
  addEvents(
    db,
    batch.id,
    [
      { ...poured, id, at: now },
      { ...foretold, at: now },
    ],
    'later',
  )
}
