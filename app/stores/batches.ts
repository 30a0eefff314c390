import type { Batch, BatchEvent, BatchSummary, NewBatch } from '#contracts/batch'
import { defineStore } from 'pinia'

type NewEvent = BatchEvent extends infer Event
  ? Event extends BatchEvent
    ? Omit<Event, 'id'>
    : never
  : never

/** The batches of the workshop, newest number first. */
export const useBatches = defineStore('batches', () => {
  const list = ref<BatchSummary[]>([])
  const loaded = ref(false)
  const problem = ref('')
  const toasts = useToasts()

  async function load() {
    try {
      list.value = await api.get<BatchSummary[]>('/api/batches')
      problem.value = ''
      loaded.value = true
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  function keep(batch: BatchSummary) {
    const others = list.value.filter(({ id }) => id !== batch.id)
    list.value = [batch, ...others].sort((a, b) => b.number - a.number)
  }

  /** Throws an ApiError that says what is missing. */
  async function make(order: NewBatch) {
    const batch = await api.post<Batch & BatchSummary>('/api/batches', order)
    keep(batch)
    return batch
  }

  /** Writes down what happened, with the way back. Gives the batch, or null when it was refused. */
  async function tell(batchId: string, event: NewEvent, says: string) {
    const id = newId()
    try {
      const batch = await api.post<Batch & BatchSummary>(`/api/batches/${batchId}/events`, {
        id,
        ...event,
      })
      keep(batch)
      const undo =
        event.kind === 'undone'
          ? undefined
          : async () => void (await tell(batchId, { kind: 'undone', event: id }, 'Taken back.'))
      toasts.show(says, { undo })
      return batch
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
      return null
    }
  }

  return { list, loaded, problem, load, make, tell }
})
