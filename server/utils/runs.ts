import type { RunEvent, Run, ToldEvent } from '#contracts/run'
import { asWeighed } from '#core/bench/asWeighed'
import { afterPlan } from '#core/bench/checks'
import { contextOf, planFor } from '#core/bench/plan'
import { runOf, wateredIn, weightsOf } from '#core/bench/run'
import { speaker } from '#core/units/say'
import { addEvent, getBatch } from '../db/batches'
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

/** A finished run makes its batch poured: with what it is by its weights, and when to look after it. */
export function pourFromRun(db: Db, run: Run, events: RunEvent[], now: string): void {
  const finished = events.find(({ kind }) => kind === 'finished')
  const batch = getBatch(db, run.batchId)
  if (finished?.kind !== 'finished' || !batch) return
  if (batch.events.some(({ kind }) => kind === 'poured')) return
  const ctx = contextOf(batch.frozen, run.setup, run.scale, speaker({ scale: run.scale }))
  const plan = planFor(ctx)
  const state = runOf(plan, run.startedAt, [...run.events, ...events])
  const pour = state.order.findLast((id) => id.startsWith('pour'))
  const minutes = state.steps.get(pour ?? '')?.doneAt ?? state.finished!.minutes
  const pouredAt = new Date(Date.parse(run.startedAt) + minutes * 60_000).toISOString()
  addEvent(
    db,
    batch.id,
    {
      id: finished.id,
      kind: 'poured',
      day: finished.pouredDay,
      made: asWeighed(ctx, plan, weightsOf(plan, state), wateredIn(state)),
      checks: afterPlan(ctx, state, pouredAt).checks,
    },
    now,
  )
}
