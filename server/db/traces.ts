import type { LotTrace } from '#contracts/store'
import { batchesWithOuts } from './batches'
import type { Db } from './connection'
import { family, getLot } from './lots'

/** Where a lot went, and where the bars of what it is in are; null when there is no such lot. */
export function traceOf(db: Db, id: string): LotTrace | null {
  const lot = getLot(db, id)
  if (!lot) return null
  const { lots, moves } = family(db, id)
  const batches = batchesWithOuts(db, [...new Set(moves.flatMap(({ batchId }) => batchId ?? []))])
  return { lot, lots, moves, batches }
}
