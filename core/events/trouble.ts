import { troubleKinds } from '../troubles/kinds'
import { daysBetween } from '../units/days'
import { afterPour, type EventKind } from './kind'

/** How bad a trouble is, by its degree 1 to 3; 0 is gone again. */
export const howBad = ['gone again', 'hardly seen', 'plain', 'bad'] as const

/** Something wrong with the bars. */
export const trouble: EventKind<'trouble'> = {
  whyNot: (event, before) =>
    event.lookOn && event.lookOn <= event.day
      ? 'To look again is for a day after it was seen.'
      : afterPour(event, before),
  says({ trouble: kind, day, how, lookOn, note }, { say }) {
    const again = lookOn
      ? `; look again after ${say.count(daysBetween(day, lookOn), 'day', 'days')}`
      : ''
    const what = `${troubleKinds[kind].says}, ${howBad[how]}${again}`
    return note ? `${what}: ${note}` : what
  },
  mark: ({ trouble: kind, how }) => ({
    says: how ? kind.replaceAll('-', ' ') : `no ${kind.replaceAll('-', ' ')}`,
    looks: how ? 'bad' : 'plain',
  }),
  offer: ({ pouredOn }) => (pouredOn ? { says: 'Trouble' } : null),
  dialog: { title: 'Trouble', confirm: 'Write it down' },
}
