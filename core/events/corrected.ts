import { afterPour, whilePoured, type EventKind } from './kind'

const names: Record<string, string> = {
  naoh: 'sodium hydroxide',
  koh: 'potassium hydroxide',
}

/** Found out later: what really went into the pot. */
export const corrected: EventKind<'corrected'> = {
  whyNot: afterPour,
  says({ differences, note }, { say }) {
    const really = say.list(
      differences.map(
        ({ what, grams }) =>
          `${grams > 0 ? '+' : '−'}${say.mass(Math.abs(grams))} ${names[what] ?? what.replaceAll('-', ' ')}`,
      ),
    )
    return note ? `Really went in: ${really}. ${note}` : `Really went in: ${really}`
  },
  mark: () => ({ says: 'weight corrected', looks: 'bad' }),
  offer: whilePoured('A weight was wrong'),
  dialog: { title: 'A wrong weight', confirm: 'That is what went in', wide: true },
}
