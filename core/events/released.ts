import { blocked, notCut, type EventKind } from './kind'

/** The maker's own decision that it may be sold or given. */
export const released: EventKind<'released'> = {
  whyNot(_event, { facts }) {
    if (!facts.cutOn) return notCut
    return blocked(facts) ?? (facts.laundry ? 'It is kept for laundry, not for skin.' : null)
  },
  says: ({ basis }) => `For sale: ${basis}`,
  mark: () => ({ says: 'for sale', looks: 'good' }),
  offer: ({ stage, cutOn }, { usable, releasedOn }) =>
    cutOn &&
    stage !== 'left' &&
    !releasedOn &&
    (usable.state === 'usable' || usable.state === 'trusted')
      ? { says: 'For sale', next: true }
      : null,
  dialog: { title: 'For sale', confirm: 'It may be sold' },
}
