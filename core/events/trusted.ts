import { mostOdds } from '../risk/odds'
import { whyNotTrusted } from '../rack/usable'
import { notPoured, type EventKind } from './kind'

/** The maker trusts the weights and does not test. */
export const trusted: EventKind<'trusted'> = {
  whyNot: ({ day }, { facts, limits }) =>
    facts.pouredOn
      ? whyNotTrusted(facts.pouredOn, day, facts, mostOdds(limits, facts.cleaning || facts.laundry))
      : notPoured,
  says: () => 'Not tested: the weights are trusted',
  mark: () => ({ says: 'weights trusted', looks: 'plain' }),
  offer: ({ stage, cutOn }, { usable }) =>
    cutOn && stage !== 'left' && usable.state === 'untested'
      ? { says: 'Trust the weights', next: true }
      : null,
  dialog: { title: 'Trust the weights', confirm: 'Trust the weights' },
}
