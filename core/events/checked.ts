import type { PeekFind } from '#contracts/rackWords'
import { afterPour, whileLoaf, type EventKind } from './kind'

export const peekWords: Record<PeekFind, string> = {
  fine: 'even, quiet',
  ring: 'darker in the middle',
  hot: 'cracked, domed or rising',
  wet: 'oil or liquid on top',
}

/** A check after the pour that was done. */
export const checked: EventKind<'checked'> = {
  whyNot: afterPour,
  says({ check, found }) {
    if (check === 'unwrap') return 'Unwrapped'
    return found ? `Looked under the cover: ${peekWords[found]}` : 'Looked under the cover'
  },
  offer: whileLoaf({ says: 'Look under the cover' }),
  dialog: { title: 'Under the cover', confirm: 'Keep it' },
}
