import type { BatchFigures, BatchRecord } from '#contracts/learning'
import type { Thumbnail } from '#contracts/thumbnail'
import { mean } from '#core/statistics/sum'
import { addDays, type Day } from '#core/units/days'
import type { Db } from './connection'
import { roomDays } from './room'

/* Batches by their figures, for questions to the workshop's own records. */

/** Days after the pour whose room is that of the first two days, and of the drying. */
const firstDays = 2
const dryingDays = 28

/** No limit, as SQLite has it. */
const allDays = -1

/** The room by days, for asking after stretches of them. */
function roomOver(db: Db) {
  const days = roomDays(db, allDays)
  const byDay = new Map(days.map((one) => [one.day, one]))
  return (from: Day, count: number, figure: 'celsius' | 'humidity'): number | null => {
    const some = Array.from({ length: count }, (_, nth) => byDay.get(addDays(from, nth))?.[figure])
    const known = some.filter((value) => value !== undefined)
    // Half of the days say it; fewer may be any others.
    return known.length * 2 < count ? null : mean(known)
  }
}

/** Every poured batch by its figures, the oldest first, with the room as it was logged. */
export function batchRecords(db: Db): BatchRecord[] {
  const room = roomOver(db)
  return db
    .prepare<
      [],
      Omit<BatchRecord, 'thumbnail' | 'figures' | 'seen'> & { face: string; figures: string }
    >(
      `SELECT id, number, name, formula_id AS formulaId, face, figures, facts ->> '$.pouredOn' AS pouredOn,
         facts ->> '$.leftOn' AS leftOn
       FROM batches JOIN batch_facts ON batch_id = batches.id
       WHERE facts ->> '$.pouredOn' IS NOT NULL ORDER BY facts ->> '$.pouredOn', number`,
    )
    .all()
    .map(({ face, figures: kept, ...one }) => {
      const { figures, seen } = JSON.parse(kept) as { figures: BatchFigures; seen: BatchFigures }
      const celsius = room(one.pouredOn, firstDays, 'celsius')
      const humidity = room(one.pouredOn, dryingDays, 'humidity')
      return {
        ...one,
        thumbnail: JSON.parse(face) as Thumbnail,
        figures: {
          ...figures,
          ...(celsius === null ? {} : { room: celsius }),
          ...(humidity === null ? {} : { humidity }),
        },
        seen,
      }
    })
}
