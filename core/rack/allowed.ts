import type { BatchEvent, BatchSummary } from '#contracts/batch'
import { addDays, type Day } from '../units/days'
import { standingEvents } from './standing'
import { whyNotTrusted } from './usable'
import { sumOf } from '../statistics/sum'

/** Ways out that put bars into other people's hands. */
const toOthers = new Set(['sold', 'given'])

/**
 * Why an event cannot have happened to this batch, or null when it can.
 * @param events of the batch so far
 * @param today in the workshop's time zone
 */
export function whyNot(
  { facts, events }: Pick<BatchSummary, 'facts'> & { events: readonly BatchEvent[] },
  event: BatchEvent,
  today: Day,
): string | null {
  const { pouredOn, cutOn, leftOn, usable, laundry } = facts
  const notPoured = 'This batch is not poured yet.'
  if (event.kind === 'undone') {
    const hit = standingEvents(events).find(({ id }) => id === event.event)
    if (!hit) return 'What is to be taken back did not happen to this batch.'
    if (hit.kind === 'poured' && cutOn) return 'Take back the cut first.'
    if (hit.kind === 'cut' && facts.out) return 'Take back what went out first.'
    return null
  }
  if (event.day > today) return 'That day has not come yet.'
  // By the world's first time zone it may be tomorrow already.
  if (event.kind === 'poured' && event.pouredAt && event.pouredAt.slice(0, 10) > addDays(today, 1))
    return 'That moment has not come yet.'
  if (pouredOn && event.kind !== 'noted' && event.kind !== 'pictured' && event.day < pouredOn)
    return 'That was before it was poured.'
  switch (event.kind) {
    case 'noted':
    case 'pictured':
      return null
    case 'poured':
      return pouredOn ? 'This batch is poured already.' : null
    case 'left':
      if (leftOn) return 'This batch has left the rack already.'
      return pouredOn || event.why === 'spoiled' ? null : notPoured
    case 'cut':
      if (!pouredOn) return notPoured
      return cutOn ? 'This batch is cut already.' : null
    case 'trusted':
      return pouredOn
        ? whyNotTrusted(pouredOn, event.day, usable, facts.lyeHeavy, facts.cleaning)
        : notPoured
    case 'zapped':
      if (!pouredOn) return notPoured
      // A tongue never goes to a bar that no strip has cleared.
      return usable.state === 'usable' || usable.because === 'zap'
        ? null
        : 'Not before a strip of 10 or less: never put a tongue to a bar that no strip has cleared.'
    case 'released':
      if (!cutOn) return 'This batch is not cut yet.'
      return blocked(usable.state) ?? (laundry ? 'It is kept for laundry, not for skin.' : null)
    case 'out': {
      if (!cutOn) return 'This batch is not cut yet.'
      const there = facts.bars - facts.out
      if (event.bars > there)
        return there > 0 ? `Only ${there} bars are left.` : 'No bar of it is left.'
      return toOthers.has(event.how) ? blocked(usable.state) : null
    }
    case 'tried':
      if (!pouredOn) return notPoured
      return cutOn ? 'This batch is cut already.' : null
    case 'checked':
    case 'gelled':
    case 'strip':
    case 'trouble':
    case 'corrected':
      return pouredOn ? null : notPoured
    case 'placed': {
      if (!pouredOn) return notPoured
      const placed = sumOf(event.spread, ({ bars }) => bars)
      const there = Math.max(0, facts.bars - facts.out)
      return placed > there ? `Only ${there} bars are there to be placed.` : null
    }
    case 'weighed':
    case 'finished':
    case 'felt':
    case 'turned':
      return cutOn ? null : 'This batch is not cut yet.'
  }
}

function blocked(state: BatchSummary['facts']['usable']['state']): string | null {
  if (state === 'held') return 'It is held: a strip read over 10. Test it again before it goes out.'
  if (state === 'locked')
    return 'It is locked: there may be free lye in it. It cannot be sold or given.'
  return null
}
