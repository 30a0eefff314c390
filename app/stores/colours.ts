import type { Colour } from '#contracts/colour'
import { defineStore } from 'pinia'

/** What the workshop knows of its colourants, by the id of the extra. */
export const useColours = defineStore('colours', () => {
  const documents = useDocuments<Colour>('/api/colours', () => 'What was known of this colour')
  /** As the library takes it. */
  const known = computed(
    (): ReadonlyMap<string, Colour> =>
      new Map(documents.list.value.map(({ id, document }) => [id, document])),
  )
  return { ...documents, known }
})
