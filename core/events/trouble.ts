import { troubleKinds } from '../troubles/kinds'
import { afterPour, type EventKind } from './kind'

/** How bad a trouble is, by its degree 1 to 3; 0 is gone again. */
export const howBad = ['gone again', 'hardly seen', 'plain', 'bad'] as const

/** Something wrong with the bars. */
export const trouble: EventKind<'trouble'> = {
  whyNot: afterPour,
  says({ trouble: kind, how, note }) {
    const what = `${troubleKinds[kind].says}, ${howBad[how]}`
    return note ? `${what}: ${note}` : what
  },
  mark: ({ trouble: kind, how }) => ({
    says: how ? kind.replaceAll('-', ' ') : `no ${kind.replaceAll('-', ' ')}`,
    looks: how ? 'bad' : 'plain',
  }),
  offer: ({ pouredOn }) => (pouredOn ? { says: 'Trouble' } : null),
  dialog: { title: 'Trouble', confirm: 'Write it down' },
}
