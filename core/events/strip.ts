import type { StripPlace } from '#contracts/rackWords'
import { afterPour, type EventKind } from './kind'

const onWhat: Record<StripPlace, string> = { lather: 'lather', face: 'a wetted face' }

/** A pH strip on wet lather or a wetted face. */
export const strip: EventKind<'strip'> = {
  whyNot: afterPour,
  says: ({ ph, where, bar, tooDry }, { say }) =>
    say.list([
      `Strip ${say.number(ph, 0, 1)} on ${onWhat[where]}`,
      ...(bar ? [`bar ${bar}`] : []),
      ...(tooDry ? ['too dry: does not count'] : []),
    ]),
  mark: ({ ph, tooDry }, { say }) =>
    tooDry ? null : { says: `strip ${say.number(ph, 0, 1)}`, looks: ph > 10 ? 'bad' : 'good' },
  offer: ({ stage, pouredOn, cutOn }) =>
    pouredOn && stage !== 'left' ? { says: 'Strip', next: cutOn !== null } : null,
  dialog: { title: 'Strip', confirm: 'Keep the reading' },
}
