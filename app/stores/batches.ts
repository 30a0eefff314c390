import type { Batch, BatchEvent, BatchSummary, NewBatch, NewBatchEvent } from '#contracts/batch'
import { dueOf } from '#core/rack/due'
import { standingOf } from '#core/rack/standing'
import { defineStore } from 'pinia'

/** The batches that are planned, drying or ready, newest number first. */
export const useBatches = defineStore('batches', () => {
  const list = shallowRef<BatchSummary[]>([])
  const loaded = ref(false)
  const problem = ref('')
  const toasts = useToasts()

  async function read() {
    try {
      const answer = await api.get<BatchSummary[]>('/api/batches')
      await nextTurn()
      list.value = answer
      problem.value = ''
      loaded.value = true
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }
  let reading: Promise<void> | null = null
  let readAt = -Infinity
  /**
   * Who asks while the list is on its way, or has just come, gets that one: the frame of the app and its page ask at once.
   * @param again whether it has become another one since
   */
  function load({ again = false } = {}): Promise<void> {
    if (!again && loaded.value && !problem.value && performance.now() - readAt < 1000)
      return Promise.resolve()
    return (reading ??= read().finally(() => {
      reading = null
      readAt = performance.now()
    }))
  }

  const workshop = useWorkshop()
  /** What is due of all of them, worked out once for whoever asks. */
  const due = computed(() =>
    workshop.ready
      ? dueOf(list.value, workshop.today, workshop.dayOf, workshop.settings.rack)
      : { today: [], week: [] },
  )

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

  /** Gives batches other pictures, with the way back; the first is the one that is looked at. */
  async function picture(pictures: Pick<BatchSummary, 'id' | 'thumbnail'>[]) {
    const before = pictures.flatMap(({ id }) => list.value.find((one) => one.id === id) ?? [])
    const put = async (given: Pick<BatchSummary, 'id' | 'thumbnail'>[]) => {
      const sent = given.map(({ id, thumbnail }) => ({ id, thumbnail }))
      const all = await api.put<Batch[]>('/api/batches/thumbnails', { pictures: sent })
      all.forEach(keep)
      // A page shows the first of them.
      latest.value = all.find(({ id }) => id === given[0]?.id) ?? latest.value
    }
    try {
      await put(pictures)
    } catch (error) {
      return toasts.show(sentenceOf(error), { bad: true })
    }
    toasts.show(`Another picture for ${workshop.say.count(pictures.length, 'batch', 'batches')}.`, {
      undo: () => put(before),
    })
  }

  /**
   * Writes down what happened, with the way back. Gives the batch; 'waiting' when it lies on this device until Mantle answers;
   * null when it was refused.
   * @param id of what is told: made where it is asked for, so that a second press tells the same thing
   */
  async function tell(
    batchId: string,
    event: NewBatchEvent,
    says: string,
    id = newId(),
  ): Promise<Batch | 'waiting' | null> {
    const answer = await deliver(batchId, event, says, id)
    if (answer === 'refused') return null
    if (answer === 'waiting') return answer
    const undo =
      event.kind === 'undone'
        ? undefined
        : async () => void (await tell(batchId, { kind: 'undone', event: id }, 'Taken back.'))
    toasts.show(says, { undo })
    return answer
  }
  const deliver = (batchId: string, event: NewBatchEvent, says: string, id: string) =>
    useOutbox().deliver({ batchId, event: { ...event, id } as BatchEvent, says, at: Date.now() })

  /**
   * The same of several batches, with one way back for all of them. What waits for Mantle or was refused is told apart.
   * @param says of which of them it is told
   */
  async function tellAll<One extends Pick<BatchSummary, 'id'>>(
    all: readonly One[],
    event: NewBatchEvent | ((one: One) => NewBatchEvent),
    says: (of: readonly One[]) => string,
  ) {
    const kept: { batch: One; id: string }[] = []
    for (const batch of all) {
      const id = newId()
      const told = typeof event === 'function' ? event(batch) : event
      const answer = await deliver(batch.id, told, says([batch]), id)
      if (answer !== 'refused' && answer !== 'waiting') kept.push({ batch, id })
    }
    if (!kept.length) return
    toasts.show(says(kept.map(({ batch }) => batch)), {
      undo: async () => {
        for (const { batch, id } of kept)
          await deliver(batch.id, { kind: 'undone', event: id }, 'Taken back.', newId())
        toasts.show('Taken back.')
      },
    })
  }

  /** Batches of which nothing is left, newest first; nothing when they cannot be asked for. */
  const gone = (find = '', before?: number) =>
    api
      .get<BatchSummary[]>(
        `/api/batches/gone?find=${encodeURIComponent(find)}${before ? `&before=${before}` : ''}`,
      )
      .catch(() => [])

  /** Looks again at a batch whose forecast has become another one. */
  async function refresh(id: string) {
    if (latest.value?.id !== id && !list.value.some((batch) => batch.id === id)) return
    const batch = await api.get<Batch>(`/api/batches/${id}`).catch(() => null)
    if (!batch) return
    const { frozen: _, events: __, ...summary } = batch
    list.value = list.value.map((one) => (one.id === id ? summary : one))
    if (latest.value?.id === id) latest.value = batch
  }

  return {
    list,
    loaded,
    problem,
    due,
    load,
    make,
    keep,
    tell,
    tellAll,
    picture,
    refresh,
    gone,
    latest,
  }
})
