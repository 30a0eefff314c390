import type { Batch, BatchSummary, NewBatch, NewBatchEvent } from '#contracts/batch'
import { standingOf } from '#core/rack/standing'
import { defineStore } from 'pinia'

/** The batches that are planned, drying or ready, newest number first. */
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

  /** The batch as it came back last: pages that show one follow it. */
  const latest = shallowRef<Batch | null>(null)

  function keep(whole: Batch) {
    latest.value = whole
    const { frozen: _, events: __, ...batch } = whole
    const others = list.value.filter(({ id }) => id !== batch.id)
    const here = standingOf(batch, '').stage !== 'left'
    list.value = [...(here ? [batch] : []), ...others].sort((a, b) => b.number - a.number)
  }

  /** Throws an ApiError that says what is missing. */
  async function make(order: NewBatch) {
    const batch = await api.post<Batch>('/api/batches', order)
    keep(batch)
    return batch
  }

  /** Writes down what happened, with the way back. Gives the batch, or null when it was refused. */
  async function tell(batchId: string, event: NewBatchEvent, says: string) {
    const id = newId()
    try {
      const batch = await api.post<Batch>(`/api/batches/${batchId}/events`, {
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

  /** Batches of which nothing is left, newest first; nothing when they cannot be asked for. */
  const gone = (find = '', before?: number) =>
    api
      .get<BatchSummary[]>(
        `/api/batches/gone?find=${encodeURIComponent(find)}${before ? `&before=${before}` : ''}`,
      )
      .catch(() => [])

  return { list, loaded, problem, load, make, tell, gone, latest }
})
