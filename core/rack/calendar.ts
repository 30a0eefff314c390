import type { BatchSummary } from '#contracts/batch'
import { addDays, daysBetween, type Day } from '../units/days'
import { dueFor, turnOn, type Due, type RackRules } from './due'
import { standingOf } from './standing'

/** One entry of a calendar: a whole day, or from one instant to another. */
export interface CalendarEntry {
  /** The same for the same thing to do, so that a calendar moves it instead of keeping both. */
  uid: string
  says: string
  because: string
  on: Day
  between: { from: string; to: string } | null
}

const says: Record<Due['kind'], string> = {
  pour: 'Pour',
  peek: 'Look under the cover:',
  unwrap: 'Unwrap',
  thaw: 'Out of the freezer:',
  cut: 'Unmould and cut',
  strip: 'Test with a strip:',
  weigh: 'Weigh the marked bars:',
  turn: 'Turn',
  look: 'Look again at',
  ready: 'Ready:',
}
/** Turnings that are told ahead; a calendar that lists a year of them is no help. */
const turnsAhead = 6

/**
 * What is to come of all batches. What is late stands on today.
 * @param today in the workshop's time zone
 * @param dayOf the day of an instant, in the same zone
 * @example calendarOf([batch({ kind: 'poured', day: '2026-03-01' })], '2026-03-02', (instant) => instant.slice(0, 10), { turnEvery: 0 })
 *   // [{ uid: 'batch-cut@mantle', says: 'Unmould and cut Slab 1', because: '12 bars, day 1.', on: '2026-03-02', between: null }]
 */
export function calendarOf(
  batches: readonly BatchSummary[],
  today: Day,
  dayOf: (instant: string) => Day,
  rules: RackRules,
): CalendarEntry[] {
  const entries = batches.flatMap((batch) => {
    const standing = standingOf(batch, today)
    const entry = (
      kind: Due['kind'],
      on: Day,
      between: Due['between'],
      nth = '',
    ): CalendarEntry => ({
      uid: `${batch.id}-${kind}${nth}@mantle`,
      says: `${says[kind]} ${batch.name} ${batch.number}`,
      because:
        kind === 'ready'
          ? `${standing.bars} bars, ${standing.by === 'weight' ? 'dry by weight' : `${batch.cure.days} days by the calendar`}.`
          : `${standing.bars} bars, day ${daysBetween(standing.pouredOn ?? on, on)}.`,
      on,
      between,
    })
    const due = dueFor(batch, today, dayOf, rules).filter(({ kind }) => kind !== 'pour')
    const first = turnOn(batch, standing, rules)
    const later = first
      ? Array.from({ length: turnsAhead - 1 }, (_, nth) => nth + 1)
          .map((nth) => ({
            nth,
            on: addDays(first < today ? today : first, nth * rules.turnEvery),
          }))
          .filter(({ on }) => on < standing.readyOn!)
      : []
    return [
      ...due.map(({ kind, on, between }) => entry(kind, on < today ? today : on, between)),
      ...later.map(({ nth, on }) => entry('turn', on, null, `-${nth}`)),
    ]
  })
  return entries.sort((a, b) => a.on.localeCompare(b.on) || a.uid.localeCompare(b.uid))
}
