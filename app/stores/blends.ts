import type { Blend } from '#contracts/store'
import { defineStore } from 'pinia'

/** What the workshop makes up ahead: blends of fats, solutions of lye, colours in oil. */
export const useBlends = defineStore('blends', () =>
  useDocuments<Blend>('/api/blends', ({ name }) => name),
)
