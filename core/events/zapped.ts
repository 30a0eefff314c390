import { notPoured, type EventKind } from './kind'

/** The tip of the tongue, after a strip that says soap. */
export const zapped: EventKind<'zapped'> = {
  whyNot(_event, { facts: { pouredOn, usable } }) {
    if (!pouredOn) return notPoured
    // A tongue never goes to a bar that no strip has cleared.
    return usable.state === 'usable' || usable.because === 'zap'
      ? null
      : 'Not before a strip of 10 or less: never put a tongue to a bar that no strip has cleared.'
  },
  says: ({ zap }) => (zap ? 'Zap test: it zapped' : 'Zap test: no zap'),
  mark: ({ zap }) => ({ says: zap ? 'zap' : 'no zap', looks: zap ? 'bad' : 'good' }),
  offer: ({ stage }, { usable }) =>
    stage !== 'left' && (usable.because === 'strip' || usable.because === 'zap')
      ? { says: 'Zap test' }
      : null,
  dialog: { title: 'Zap test', confirm: 'Keep it', cancel: 'No zap test' },
}
