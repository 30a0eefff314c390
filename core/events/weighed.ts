import { afterCut, type EventKind } from './kind'

/** Marked bars on the scale. Told in rounds, for several batches at a time. */
export const weighed: EventKind<'weighed'> = {
  whyNot: afterCut,
  says: ({ bars }, { say }) =>
    `Weighed: ${say.list(bars.map(({ bar, grams }) => `bar ${bar} ${say.mass(grams)}`))}`,
  often: { tick: 'long' },
}
