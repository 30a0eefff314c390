import type { WorkshopMould } from '#contracts/mould'
import { defineStore } from 'pinia'

/** The moulds of the workshop. */
export const useMoulds = defineStore('moulds', () => {
  const stored = useDocuments<WorkshopMould>('/api/moulds', ({ name }) => name)
  const documents = computed(() => stored.list.value.map(({ document }) => document))
  return { ...stored, documents }
})
