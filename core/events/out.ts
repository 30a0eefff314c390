import type { BatchFacts } from '#contracts/batch'
import type { Out } from '#contracts/rackWords'
import { blocked, notCut, type EventKind } from './kind'

export const outWords: Record<Out, string> = {
  sold: 'sold',
  given: 'given away',
  used: 'used here',
  reworked: 'reworked',
  binned: 'binned',
  sample: 'kept as samples',
}
/** Ways out that put bars into other people's hands: they want a batch that was tested, or is trusted on a basis that was said. */
const toOthers = new Set<Out>(['sold', 'given', 'sample'])

/**
 * Why so many bars cannot go in this way; null when they can. Used here, reworked and binned they always may.
 * @example whyNotOut(cut.facts, 2, 'used') // null
 */
export function whyNotOut(facts: BatchFacts, bars: number, how: Out): string | null {
  if (!facts.cutOn) return notCut
  const there = facts.bars - facts.out
  if (bars > there) return there > 0 ? `Only ${there} bars are left.` : 'No bar of it is left.'
  return toOthers.has(how) ? blocked(facts) : null
}

/** Bars that went, to whom or where. */
export const out: EventKind<'out'> = {
  whyNot: ({ bars, how }, { facts }) => whyNotOut(facts, bars, how),
  says: ({ bars, how, to }, { say }) =>
    to
      ? `${say.count(bars, 'bar', 'bars')} ${outWords[how]}: ${to}`
      : `${say.count(bars, 'bar', 'bars')} ${outWords[how]}`,
  mark: ({ bars, how }) => ({ says: `${bars} ${outWords[how]}`, looks: 'plain' }),
  offer: ({ stage, cutOn }) =>
    cutOn && stage !== 'left'
      ? { says: 'Take bars out', next: true, first: stage === 'ready' }
      : null,
  dialog: { title: 'Out', confirm: 'Take them out' },
}
