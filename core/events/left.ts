import { notPoured, type EventKind } from './kind'

/** The whole batch is off the rack. */
export const left: EventKind<'left'> = {
  whyNot({ why }, { facts: { leftOn, pouredOn } }) {
    if (leftOn) return 'This batch has left the rack already.'
    return pouredOn || why === 'spoiled' ? null : notPoured
  },
  says({ why, note }) {
    const what = why === 'spoiled' ? 'Thrown away' : 'All gone'
    return note ? `${what}: ${note}` : what
  },
  mark: ({ why }) => ({ says: why === 'spoiled' ? 'thrown away' : 'all gone', looks: 'plain' }),
  offer({ stage, pouredOn, cutOn }) {
    if (stage === 'left') return null
    if (!pouredOn) return { says: 'Give it up' }
    return { says: cutOn ? 'Off the rack' : 'It failed' }
  },
  dialog: { title: 'Off the rack', confirm: 'Take it off' },
}
