import type { Goal } from '#contracts/goal'
import { defineStore } from 'pinia'

/** Bars that are wanted by a day. */
export const useGoals = defineStore('goals', () =>
  useDocuments<Goal>('/api/goals', ({ what }) => what),
)
