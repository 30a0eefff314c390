import { yearEntry, type YearEntry } from '#core/learning/yearbook'
import { formatter } from '#core/units/formatter'
import { getBatch } from './batches'
import type { Db } from './connection'
import { getWorkshop } from './workshop'

/** The batches of a year as they stand in its book, the oldest first. */
export function yearEntries(db: Db, year: number): YearEntry[] {
  const { units, degrees, scale } = getWorkshop(db)
  const say = formatter({ system: units, degrees, scale })
  return db
    .prepare<[string], string>(
      `SELECT batch_id FROM batch_facts JOIN batches ON batches.id = batch_id
       WHERE substr(facts ->> '$.pouredOn', 1, 4) = ? ORDER BY facts ->> '$.pouredOn', number`,
    )
    .pluck()
    .all(String(year))
    .flatMap((id) => yearEntry(getBatch(db, id)!, say) ?? [])
}
