import type { Lot, Move, StoredLot, WholeLot } from '#contracts/store'
import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'

const waitingKey = 'mantle-move-'
/** Counts that this device could not send yet, as they were told. */
const toldMoves = (): Move[] =>
  keysHere(waitingKey)
    .flatMap(
      (key) =>
        keptHere(key, (value): (Move & { at: number }) | null => {
          const told = value as Partial<Move> & { at?: number }
          return typeof told.id === 'string' && typeof told.lotId === 'string'
            ? (value as Move & { at: number })
            : null
        }) ?? [],
    )
    .sort((a, b) => a.at - b.at)
    .map(({ at: _, ...move }) => move as Move)

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
  /* What is told without a net lies on this device and is sent in its order, each once, by its id. */
  const waiting = shallowRef<Move[]>(toldMoves())
  const done = ({ id }: Move) => {
    forgetHere(waitingKey + id)
    waiting.value = waiting.value.filter((one) => one.id !== id)
  }
  let sending: Promise<unknown> = Promise.resolve()
  let retry: ReturnType<typeof setTimeout> | undefined
  async function attempt(told: Move): Promise<boolean> {
    try {
      await move(told)
      done(told)
      return true
    } catch (error) {
      const status = error instanceof ApiError ? error.status : 0
      if (status >= 400 && status < 500) {
        done(told)
        toasts.show(sentenceOf(error), { bad: true })
        void load()
        return true
      }
      clearTimeout(retry)
      retry = setTimeout(() => void flush(), 3000)
      return false
    }
  }
  function flush(): Promise<unknown> {
    sending = sending.then(async () => {
      for (const told of waiting.value) if (!(await attempt(told))) return
    })
    return sending
  }
  /** Writes a count down on this device, shows it, and sends it; without an answer it waits and is sent by itself. */
  function tell(told: Extract<Move, { kind: 'counted' }>) {
    keepHere(waitingKey + told.id, { ...told, at: Date.now() })
    waiting.value = [...waiting.value, told]
    list.value = list.value.map((lot) =>
      lot.id === told.lotId ? { ...lot, stock: told.grams, countedOn: told.day } : lot,
    )
    return flush()
  }
  useEventListener(window, 'online', () => void flush())
  if (waiting.value.length) void flush()
  /** Deletes a lot that nothing was drawn from, says so, and offers the way back. Throws an ApiError. */
  async function remove({ id, document }: Pick<StoredLot, 'id' | 'document'>) {
    await api.remove(`/api/lots/${id}`)
    list.value = list.value.filter((one) => one.id !== id)
    toasts.show(`${document.code} is deleted.`, {
      undo: async () => void keep(await api.post<StoredLot>(`/api/lots/${id}/restore`)),
    })
  }
  return { list, loaded, problem, load, save, putAway, move, remove, keep, tell, waiting }
})
