import type { Trial, TrialEvent } from '#contracts/trial'

/**
 * Why something cannot have happened on a trial day, as a sentence; null when it can. Devices may tell out of order, so only what can
 * never be is refused.
 * @example whyNotOfTrial({ pots: [] }, [], { id: 'a', at: '2026-03-01T09:00:00Z', kind: 'looked', pot: 0 })
 *   // 'There is no pot 1 on this trial day.'
 */
export function whyNotOfTrial(
  { pots }: Pick<Trial, 'pots'>,
  before: readonly TrialEvent[],
  event: TrialEvent,
): string | null {
  if (before.some(({ id }) => id === event.id)) return null
  const missing = (pot: number) =>
    pots[pot] ? null : `There is no pot ${pot + 1} on this trial day.`
  switch (event.kind) {
    case 'weighed':
      if (event.what === 'scent' && pots[event.pot]?.scentId === null)
        return 'That pot is plain: nothing goes in.'
      return missing(event.pot)
    case 'zeroed':
    case 'marked':
    case 'looked':
    case 'lidded':
    case 'coloured':
      return missing(event.pot)
    case 'noted':
      return event.pot === null ? null : missing(event.pot)
    case 'sniffed':
      return event.strengths.map(({ pot }) => missing(pot)).find(Boolean) ?? null
    case 'undone':
      return before.some(({ id }) => id === event.event)
        ? null
        : 'What is taken back was never written down.'
    case 'began':
    case 'ended':
      return null
  }
}
