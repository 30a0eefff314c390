import type { Touch } from '#contracts/rackWords'
import { beforeCut, whileLoaf, type EventKind } from './kind'

export const touchWords: Record<Touch, string> = {
  soft: 'soft, takes a finger’s mark',
  sticky: 'firm, but the sides stick',
  firm: 'firm, like cold cheese',
  hard: 'hard',
}

/** The loaf was tried before the cut. */
export const tried: EventKind<'tried'> = {
  whyNot: beforeCut,
  says: ({ touch, frozen }) =>
    frozen ? `Tried: ${touchWords[touch]}, into the freezer` : `Tried: ${touchWords[touch]}`,
  offer: whileLoaf({ says: 'Try it', next: true }),
  dialog: { title: 'Try the loaf', confirm: 'Keep it' },
}
