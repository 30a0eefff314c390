import type { BatchSummary } from '#contracts/batch'
import { standingOf } from './standing'
import type { Day } from '../units/days'

/* Where bars stand in the room. */

export interface Placed {
  batch: BatchSummary
  bars: number
}
export type BarsByPlace = BatchSummary['facts']['spread']

/**
 * Where the bars of a batch stand now: as last put, less those that went since; they are taken from the last place first.
 * What was never put anywhere, or more than was put, stands nowhere in particular (place null).
 * @example barsByPlace(cut, '2026-03-03') // [{ place: null, bars: 12 }]
 */
export function barsByPlace(
  batch: BatchSummary,
  today: Day,
): { place: string | null; bars: number }[] {
  const { bars, stage } = standingOf(batch, today)
  if (stage === 'left' || stage === 'planned') return []
  let left = bars
  const placed = batch.facts.spread.flatMap(({ place, bars: put }) => {
    const there = Math.min(put, left)
    left -= there
    return there ? [{ place, bars: there }] : []
  })
  return left ? [...placed, { place: null, bars: left }] : placed
}

/**
 * The bars of each place; null for those that stand nowhere in particular.
 * @example byPlace([cut], new Set(), '2026-03-03').get(null)[0].bars // 12
 */
export function byPlace(
  batches: readonly BatchSummary[],
  places: ReadonlySet<string>,
  today: Day,
): Map<string | null, Placed[]> {
  const all = new Map<string | null, Placed[]>()
  for (const batch of batches)
    for (const { place, bars } of barsByPlace(batch, today)) {
      const key = place !== null && places.has(place) ? place : null
      all.set(key, [...(all.get(key) ?? []), { batch, bars }])
    }
  return all
}

/**
 * The spread of a batch after some of its bars went from one place to another.
 * @example moved(cut, '2026-03-03', null, 'mantel', 5) // [{ place: 'mantel', bars: 5 }]
 */
export function moved(
  batch: BatchSummary,
  today: Day,
  from: string | null,
  to: string,
  bars: number,
): BarsByPlace {
  const now = new Map(barsByPlace(batch, today).map((one) => [one.place, one.bars]))
  const count = Math.min(bars, now.get(from) ?? 0)
  now.set(from, (now.get(from) ?? 0) - count)
  now.set(to, (now.get(to) ?? 0) + count)
  return [...now].flatMap(([place, there]) =>
    place !== null && there > 0 ? [{ place, bars: there }] : [],
  )
}
