import type { RejectReason } from '#contracts/rackWords'
import { beforeCut, whileLoaf, type EventKind } from './kind'

export const rejectWords: Record<RejectReason, string> = {
  crumbled: 'crumbled edge',
  air: 'air pocket',
  cracked: 'cracked',
  crooked: 'crooked cut',
  colour: 'colour or specks',
  other: 'something else',
}

export const cut: EventKind<'cut'> = {
  whyNot: beforeCut,
  says: ({ bars, grams, ends, rejects = [], differently }, { say }) =>
    say.list([
      grams
        ? `Cut, ${say.count(bars, 'bar', 'bars')} of ${say.mass(grams)}`
        : `Cut, ${say.count(bars, 'bar', 'bars')}`,
      ...(ends ? [say.count(ends, 'end piece', 'end pieces')] : []),
      ...rejects.map((one) => `${say.number(one.bars)} ${rejectWords[one.why]}`),
      ...(differently ? [`next time: ${differently}`] : []),
    ]),
  mark: ({ bars }) => ({ says: `cut, ${bars}`, looks: 'plain' }),
  offer: whileLoaf({ says: 'Mark as cut', next: true }),
  dialog: { title: 'Cut', confirm: 'It is cut' },
}
