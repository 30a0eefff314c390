import { afterPour, type EventKind } from './kind'

const done = {
  remelted: 'Melted again',
  laundry: 'Grated for the laundry',
  kept: 'Kept, to be looked at again',
} as const

const marks = { remelted: 'melted again', laundry: 'for laundry', kept: 'kept' } as const

/** What became of a batch that had gone wrong. */
export const salvaged: EventKind<'salvaged'> = {
  whyNot: afterPour,
  says({ way, fat, water = 0, note }, { say }) {
    const into = [
      ...(fat ? [`${say.mass(fat.grams)} ${fat.id.replaceAll('-', ' ')}`] : []),
      ...(water > 0 ? [`${say.mass(water)} water`] : []),
    ]
    const what = into.length ? `${done[way]} with ${say.list(into, 'and')}` : done[way]
    return note ? `${what}. ${note}` : what
  },
  mark: ({ way }) => ({ says: marks[way], looks: 'plain' }),
  offer: ({ stage, pouredOn }, { usable, troubles }) =>
    pouredOn && stage !== 'left'
      ? { says: 'Salvage', next: usable.state === 'locked' || troubles.some(({ how }) => how > 2) }
      : null,
  dialog: { title: 'Salvage', confirm: 'That is what was done', wide: true },
}
