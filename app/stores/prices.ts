import type { Prices } from '#contracts/store'
import { defineStore } from 'pinia'

/** What things cost now, for a kilogram or a hundred pieces: by the newest lot, else as somebody typed it. */
export const usePrices = defineStore('prices', () => {
  const now = shallowRef<Prices>({})
  async function load() {
    const prices = await api.get<Prices>('/api/stores/prices').catch(() => null)
    if (prices) now.value = prices
  }
  /** Keeps a typed price; null takes it away. Throws an ApiError. */
  async function set(thing: string, price: number | null) {
    now.value = await api.put<Prices>('/api/stores/prices', { thing, price })
  }
  return { now, load, set }
})
