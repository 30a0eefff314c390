import type { MakingDay } from '#contracts/day'
import { defineStore } from 'pinia'

/** Making days, the newest change first. */
export const useDays = defineStore('days', () =>
  useDocuments<MakingDay>('/api/days', ({ day }) => weekdayText(day)),
)
