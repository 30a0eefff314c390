import type { Lot, Move, StoredLot, WholeLot } from '#contracts/store'
import { defineStore } from 'pinia'

/** Lots that something is left of, and what is done with them. */
export const useLots = defineStore('lots', () => {
  const list = shallowRef<StoredLot[]>([])
  const loaded = ref(false)
  const problem = ref('')
  const toasts = useToasts()
  const prices = usePrices()

  async function load() {
    try {
      list.value = await api.get<StoredLot[]>('/api/lots')
      problem.value = ''
      loaded.value = true
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }
  function keep({ id, revision, changedAt, changedBy, document, stock, countedOn }: StoredLot) {
    const lot = { id, revision, changedAt, changedBy, document, stock, countedOn }
    const others = list.value.filter((one) => one.id !== id)
    list.value = stock === 0 ? others : [lot, ...others]
    void prices.load()
    return lot
  }
  /** Keeps what a lot is: revision 0 for a new one. Throws an ApiError. */
  const save = async (id: string, revision: number, document: Lot) =>
    keep(await api.put<StoredLot>(`/api/lots/${id}`, { revision, document }))
  /** Puts away what came, all in one act. Throws an ApiError. */
  async function putAway(arrived: { id: string; document: Lot }[]) {
    const kept = await api.post<StoredLot[]>('/api/lots', { lots: arrived })
    // What went into a made-up stock is less now.
    await load()
    void prices.load()
    return kept
  }
  /** Writes down what came or went of a lot. Throws an ApiError. */
  async function move(move: Move) {
    const whole = await api.post<WholeLot>(`/api/lots/${move.lotId}/moves`, move)
    keep(whole)
    return whole
  }
  /** Deletes a lot that nothing was drawn from, says so, and offers the way back. Throws an ApiError. */
  async function remove({ id, document }: Pick<StoredLot, 'id' | 'document'>) {
    await api.remove(`/api/lots/${id}`)
    list.value = list.value.filter((one) => one.id !== id)
    toasts.show(`${document.code} is deleted.`, {
      undo: async () => void keep(await api.post<StoredLot>(`/api/lots/${id}/restore`)),
    })
  }
  return { list, loaded, problem, load, save, putAway, move, remove, keep }
})
