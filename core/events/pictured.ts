import type { EventKind } from './kind'

/** Photos of it as it is. Told with the dialog of a note. */
export const pictured: EventKind<'pictured'> = {
  whyNot: () => null,
  says: ({ note }) => note || 'Photographed',
  anyDay: true,
}
