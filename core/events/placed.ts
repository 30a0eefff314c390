import { sumOf } from '../statistics/sum'
import { notPoured, whileCut, type EventKind } from './kind'

/** Where the bars stand from now on, all of them. */
export const placed: EventKind<'placed'> = {
  whyNot({ spread }, { facts }) {
    if (!facts.pouredOn) return notPoured
    const there = Math.max(0, facts.bars - facts.out)
    return sumOf(spread, ({ bars }) => bars) > there
      ? `Only ${there} bars are there to be placed.`
      : null
  },
  says: ({ spread }, { say, places }) =>
    `Placed: ${say.list(
      spread.map(({ place, bars }) => {
        const name = places.find(({ id }) => id === place)?.name
        const count = say.count(bars, 'bar', 'bars')
        return name ? `${count} on ${name}` : count
      }),
    )}`,
  often: { tick: null },
  offer: whileCut('Places'),
  dialog: { title: 'Places', confirm: 'They stand there' },
}
