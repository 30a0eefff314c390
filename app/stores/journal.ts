import type { FollowedLesson, Import, Note, Ribbon, ShortWord } from '#contracts/journal'
import type { FirstPath } from '#contracts/firstSoap'
import { defineStore } from 'pinia'

/** Notes and old pages, one by one: the line of all of them is asked for by `useJournal`. */
export const useNotes = defineStore('notes', () =>
  useDocuments<Note>('/api/notes', ({ title }) => title || 'The note'),
)

/** Ways up to a first soap. */
export const usePaths = defineStore('paths', () =>
  useDocuments<FirstPath>('/api/paths', ({ who }) => (who ? `${who}’s first soap` : 'The path')),
)

/** Searches of the journal that are kept. */
export const useRibbons = defineStore('ribbons', () =>
  useDocuments<Ribbon>('/api/ribbons', ({ name }) => name),
)

/** Lessons that are followed, by the event that told each. */
export const useFollowed = defineStore('lessons', () =>
  useDocuments<FollowedLesson>('/api/lessons', () => 'The lesson'),
)

/** Pages and tables that came in together. */
export const useImports = defineStore('imports', () =>
  useDocuments<Import>('/api/imports', ({ name }) => name),
)

/** The maker's own shorthand. */
export const useShortWords = defineStore('short-words', () =>
  useDocuments<ShortWord>('/api/short-words', ({ short }) => `“${short}”`),
)
