import type { Note } from '#contracts/journal'

/** A note of a day with nothing in it yet. */
export const blankNote = (day: string): Note => ({
  what: 'note',
  title: '',
  when: { day, known: 'day', guessed: false },
  text: { type: 'doc', content: [] },
  typed: '',
  answers: {},
  found: null,
  who: '',
  people: [],
  words: [],
  weather: '',
  batchId: null,
  formulaId: null,
  photos: [],
  page: null,
  source: null,
  unit: null,
  importId: null,
  line: null,
})

/** Who wrote last on this device: three people share a shed, but each has a telephone. */
export const lastWriter = useKept('mantle-writer', '', (value) =>
  typeof value === 'string' ? value : null,
)
