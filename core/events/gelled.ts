import type { Gel } from '#contracts/rackWords'
import { afterPour, whilePoured, type EventKind } from './kind'

export const gelWords: Record<Gel, string> = {
  none: 'no gel',
  partial: 'gel in part, a ring',
  full: 'gelled all through',
}

/** How far it turned translucent. */
export const gelled: EventKind<'gelled'> = {
  whyNot: afterPour,
  says: ({ gel, hours }, { say }) =>
    hours
      ? `Gel: ${gelWords[gel]}, seen after ${say.number(hours, 0, 1)} h`
      : `Gel: ${gelWords[gel]}`,
  mark: ({ gel }) => ({ says: gel === 'none' ? 'no gel' : `gel, ${gel}`, looks: 'plain' }),
  offer: whilePoured('Gel'),
  dialog: { title: 'Gel', confirm: 'Keep it' },
}
