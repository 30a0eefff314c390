import type { WorkshopMould } from '#contracts/mould'
import { defineStore } from 'pinia'

/** The moulds of the workshop. */
export const useMoulds = defineStore('moulds', () =>
  useDocuments<WorkshopMould>('/api/moulds', ({ name }) => name),
)
