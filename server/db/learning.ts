import type { Thumbnail } from '#contracts/thumbnail'
import {
  offsetKinds,
  type BatchFigures,
  type BatchRecord,
  type CameTrue,
  type OffsetKind,
  type Offsets,
  type ScoredForecast,
} from '#contracts/learning'
import { offsetsOf } from '#core/learning/scorecard'
import { mean } from '#core/statistics/sum'
import { addDays, type Day } from '#core/units/days'
import type { Db } from './connection'
import { getWorkshop } from './workshop'

/*
 * What a workshop's own records are asked for: batches by their figures, forecasts that came due, and what the latter make of the next.
 */

/** Keeps the forecasts of a batch that have come due, and none that have not any more. */
export function keepCameTrue(db: Db, batchId: string, list: readonly CameTrue[]): void {
  db.prepare('DELETE FROM came_true WHERE batch_id = ?').run(batchId)
  const insert = db.prepare(
    `INSERT INTO came_true (batch_id, what, of, said_on, due, at, low, high, raw, came) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  for (const { what, of, on, due, at, low, high, raw, came } of list)
    insert.run(batchId, what, of, on, due, at, low, high, raw, came)
}

/** Every forecast that has come due, with its batch, the oldest first. */
export const forecastsThatCame = (db: Db): ScoredForecast[] =>
  db
    .prepare<[], Omit<ScoredForecast, 'thumbnail'> & { face: string }>(
      `SELECT what, of, said_on AS "on", due, at, low, high, raw, came, came_true.batch_id AS batchId, number, name, face
       FROM came_true JOIN batches ON batches.id = came_true.batch_id
       JOIN batch_facts ON batch_facts.batch_id = came_true.batch_id ORDER BY due, number`,
    )
    .all()
    .map(({ face, ...one }) => ({ ...one, thumbnail: JSON.parse(face) as Thumbnail }))

/**
 * What own records move forecasts by: of each kind since it was last reset.
 * @param until the last day whose records count
 */
export function offsetsIn(db: Db, until: Day = '9999-12-31'): Offsets {
  const { resets } = getWorkshop(db).learning
  const ratios = db
    .prepare<[string, string, Day], number>(
      'SELECT came / raw FROM came_true WHERE what = ? AND due > ? AND due <= ? AND raw > 0 AND came > 0',
    )
    .pluck()
  return offsetsOf(
    Object.fromEntries(
      offsetKinds.map((what): [OffsetKind, number[]] => [
        what,
        ratios.all(what, resets[what] ?? '', until),
      ]),
    ),
  )
}

/** Days after the pour whose room is that of the first two days, and of the drying. */
const firstDays = 2
const dryingDays = 28

/** The room by days, for asking after stretches of them. */
function roomOver(db: Db) {
  const days = db
    .prepare<[], { day: Day; celsius: number; humidity: number }>(
      'SELECT day, avg(celsius) AS celsius, avg(humidity) AS humidity FROM room_log GROUP BY day',
    )
    .all()
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
