import type { LotTrace, Unwritten } from '#contracts/store'
import { needsOf } from '#core/stores/things'
import { batchesWithOuts, getBatch } from './batches'
import type { Db } from './connection'
import { behindBatch, family, getLot } from './lots'

/** Where a lot went, and where the bars of what it is in are; null when there is no such lot. */
export function traceOf(db: Db, id: string): LotTrace | null {
  const lot = getLot(db, id)
  if (!lot) return null
  const { lots, moves } = family(db, id)
  const batches = batchesWithOuts(db, [...new Set(moves.flatMap(({ batchId }) => batchId ?? []))])
  return { lot, lots, moves, batches }
}

/** What batches that were poured since a day needed, and nobody wrote down as drawn. */
export function unwrittenSince(db: Db, day: string): Unwritten[] {
  const ids = db
    .prepare<[string], string>(
      `SELECT batch_id FROM batch_facts WHERE facts ->> '$.pouredOn' >= ? ORDER BY facts ->> '$.pouredOn' DESC LIMIT 40`,
    )
    .pluck()
    .all(day)
  return ids.flatMap((id) => {
    const batch = getBatch(db, id)!
    const drew = new Set(behindBatch(db, id).lots.map(({ document }) => document.thing))
    return needsOf(batch.frozen).flatMap(({ thing, grams }) =>
      drew.has(thing) ? [] : [{ batchId: id, says: `${batch.name} ${batch.number}`, thing, grams }],
    )
  })
}
