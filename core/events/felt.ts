import type { FeelTest } from '#contracts/rackWords'
import { feelKinds } from '../rack/feel'
import { inSentence } from '../units/language'
import { afterCut, whileCut, type EventKind } from './kind'

/** A bar tried in use. */
export const felt: EventKind<'felt'> = {
  whyNot: afterCut,
  says({ scores, note }, { say }) {
    const tried = Object.entries(scores).map(
      ([test, score]) => `${inSentence(feelKinds[test as FeelTest].says)} ${score}`,
    )
    return note
      ? `Tried in use: ${say.list(tried)} of 5. ${note}`
      : `Tried in use: ${say.list(tried)} of 5`
  },
  mark: () => ({ says: 'tried', looks: 'plain' }),
  offer: whileCut('Try a bar in use'),
  dialog: { title: 'Try a bar', confirm: 'Keep the scores', wide: true },
}
