import {
  offsetKinds,
  type CameTrue,
  type OffsetKind,
  type Offsets,
  type ScoredForecast,
} from '#contracts/learning'
import type { Thumbnail } from '#contracts/thumbnail'
import { offsetsOf } from '#core/learning/scorecard'
import type { Day } from '#core/units/days'
import type { Db } from './connection'
import { getWorkshop } from './workshop'

/* Forecasts that came due, and what they make of the next. */

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
