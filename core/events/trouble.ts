import { troubleKinds } from '../troubles/kinds'
import { afterPour, type EventKind } from './kind'

/** How bad a trouble is, by its degree 1 to 3. */
export const howBad = ['', 'hardly seen', 'plain', 'bad'] as const

/** Something wrong with the bars. */
export const trouble: EventKind<'trouble'> = {
  whyNot: afterPour,
  says({ trouble: kind, how, note }) {
    const what = `${troubleKinds[kind].says}, ${howBad[how]}`
    return note ? `${what}: ${note}` : what
  },
  mark: ({ trouble: kind }) => ({ says: kind.replaceAll('-', ' '), looks: 'bad' }),
  offer: ({ pouredOn }) => (pouredOn ? { says: 'Trouble' } : null),
  dialog: { title: 'Trouble', confirm: 'Write it down' },
}
