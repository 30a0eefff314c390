import type { Batch, BatchEvent } from '#contracts/batch'
import type { Day } from '../units/days'
import { standingEvents, standingOf } from './standing'

/**
 * Why an event cannot have happened to this batch, or null when it can.
 * @param today in the workshop's time zone
 */
export function whyNot(
  batch: Pick<Batch, 'events' | 'bars' | 'cure'>,
  event: BatchEvent,
  today: Day,
): string | null {
  const { pouredOn, cutOn, leftOn } = standingOf(batch, today)
  if (event.kind !== 'undone' && event.day > today) return 'That day has not come yet.'
  switch (event.kind) {
    case 'poured':
      return pouredOn ? 'This batch is poured already.' : null
    case 'checked':
      return pouredOn ? null : 'This batch is not poured yet.'
    case 'cut':
      if (!pouredOn) return 'This batch is not poured yet.'
      if (cutOn) return 'This batch is cut already.'
      return event.day < pouredOn ? 'It cannot be cut before it was poured.' : null
    case 'left':
      if (leftOn) return 'This batch has left the rack already.'
      return pouredOn || event.why === 'spoiled' ? null : 'This batch is not poured yet.'
    case 'noted':
      return null
    case 'undone': {
      const hit = standingEvents(batch.events).find(({ id }) => id === event.event)
      if (!hit) return 'What is to be taken back did not happen to this batch.'
      return hit.kind === 'poured' && cutOn ? 'Take back the cut first.' : null
    }
  }
}
