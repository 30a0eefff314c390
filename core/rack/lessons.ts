import type { ToldBatchEvent } from '#contracts/batch'
import type { LessonAbout } from '#contracts/rackWords'
import type { Day } from '../units/days'
import { standingEvents } from '../units/standingEvents'

/** What a batch taught: it stands on its formula until somebody drops it. */
export interface Lesson {
  /** Of the event that told it. */
  id: string
  day: Day
  says: string
  about: LessonAbout | null
}

/**
 * The lessons of a batch that still stand: notes that are one, and what was to be done otherwise as it was said at the cut or in use.
 * @example lessonsOf([told({ kind: 'noted', day: '2026-03-02', note: 'Pour lower', lesson: true, about: 'pour' })])[0].says // 'Pour lower'
 */
export function lessonsOf(events: readonly ToldBatchEvent[]): Lesson[] {
  const standing = standingEvents(events)
  const dropped = new Set(
    standing.flatMap((event) => (event.kind === 'dropped' ? [event.lesson] : [])),
  )
  const told = (event: (typeof standing)[number]): string => {
    if (event.kind === 'noted') return event.lesson ? event.note : ''
    return event.kind === 'cut' || event.kind === 'felt' ? (event.differently ?? '') : ''
  }
  return standing.flatMap((event): Lesson[] => {
    const says = dropped.has(event.id) ? '' : told(event)
    const about = 'about' in event ? (event.about ?? null) : null
    return says ? [{ id: event.id, day: event.day, says, about }] : []
  })
}
