import type { EventKind } from './kind'

export const noted: EventKind<'noted'> = {
  whyNot: () => null,
  says({ from, note, lesson }) {
    if (from) return `${from}: ${note}`
    return lesson ? `Lesson: ${note}` : note
  },
  anyDay: true,
  offer: () => ({ says: 'Note or photo', next: true }),
  dialog: { title: 'Note', confirm: 'Keep it' },
}
