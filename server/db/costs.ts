import { usualSetup } from '#contracts/benchWords'
import type { BatchCosts } from '#contracts/store'
import { plannedHours } from '#core/cost/hours'
import { costMade, costToday } from '#core/cost/reckoned'
import { needsOf } from '#core/stores/things'
import { getBatch } from './batches'
import type { Db } from './connection'
import { workshopLibrary } from './library'
import { behindBatch, pricesNow } from './lots'
import { runOfBatch } from './runs'
import { getWorkshop } from './workshop'

/** Hours at the bench by its clock; null where no run came to its end, or it was written up from paper. */
function benchHours(db: Db, batchId: string): number | null {
  const run = runOfBatch(db, batchId)
  const end = run?.events.findLast(({ kind }) => kind === 'finished')
  if (!run || run.paper || !end) return null
  return (Date.parse(end.at) - Date.parse(run.startedAt)) / 3_600_000
}

/** What a batch cost as it was made and what it would today; null when there is none. */
export function costsOf(db: Db, batchId: string): BatchCosts | null {
  const batch = getBatch(db, batchId)
  if (!batch) return null
  const { costing } = getWorkshop(db)
  const hours = costing.hours ?? benchHours(db, batchId) ?? plannedHours(batch.frozen, usualSetup)
  const by = {
    costing,
    prices: pricesNow(db),
    bars: batch.facts.bars,
    hours,
    days: batch.cure.days,
  }
  const { moves, lots } = behindBatch(db, batchId)
  return {
    made: costMade(moves, lots, workshopLibrary(db), by),
    today: costToday(needsOf(batch.frozen), by),
    bars: by.bars,
    hours,
  }
}
