import type { KnownScent } from '#contracts/scent'
import { knownScents } from '#core/scents/known'
import { triedPotsOf } from '#core/trials/found'
import { scents } from './documents'
import type { Db } from './connection'
import { epochOf } from './epoch'
import { listTrials } from './trials'

/** Worked out once for as long as nothing of it changes. */
let last: { state: string; known: Map<string, KnownScent> } | null = null

/** What scents and trials are like by now: another text after every change of one of them. */
const stateOf = (db: Db): string =>
  `${epochOf(db)} ${db
    .prepare<[], string>(
      `SELECT (SELECT coalesce(max(seq), 0) FROM trial_events)
        || ' ' || (SELECT count(deleted_at) || ' ' || coalesce(sum(revision), 0) FROM scents)
        || ' ' || (SELECT count(deleted_at) || ' ' || coalesce(sum(revision), 0) FROM trials)`,
    )
    .pluck()
    .get()}`

/** What is known of the scents of the workshop, by id: what their sheets say, and what was found here. */
export function knownOf(db: Db): Map<string, KnownScent> {
  const state = stateOf(db)
  if (last?.state !== state)
    last = { state, known: knownScents(scents.list(db), triedPotsOf(listTrials(db))) }
  return last.known
}
