import type { Finish } from '#contracts/rackWords'
import { afterCut, whileCut, type EventKind } from './kind'

export const finishWords: Record<Finish, string> = {
  trimmed: 'Trimmed',
  bevelled: 'Bevelled',
  stamped: 'Stamped',
  planed: 'Planed',
}

/** Worked on after the cut. */
export const finished: EventKind<'finished'> = {
  whyNot: afterCut,
  says: ({ step, grams }, { say }) =>
    grams ? `${finishWords[step]}, ${say.mass(grams)} off a bar` : finishWords[step],
  mark: ({ step }) => ({ says: step, looks: 'plain' }),
  offer: whileCut('Bevel, stamp, plane'),
  dialog: { title: 'After the cut', confirm: 'Keep it' },
}
