import { addDays } from '../units/days'
import type { EventKind } from './kind'

export const poured: EventKind<'poured'> = {
  whyNot({ pouredAt }, { facts, today }) {
    // By the world's first time zone it may be tomorrow already.
    if (pouredAt && pouredAt.slice(0, 10) > addDays(today, 1))
      return 'That moment has not come yet.'
    return facts.pouredOn ? 'This batch is poured already.' : null
  },
  says: ({ laundry }) => (laundry ? 'Poured, kept for laundry' : 'Poured'),
  mark: () => ({ says: 'poured', looks: 'plain' }),
  offer: ({ stage, pouredOn }) =>
    pouredOn || stage === 'left' ? null : { says: 'Mark as poured', next: true },
  dialog: { title: 'Poured', confirm: 'It is poured' },
}
