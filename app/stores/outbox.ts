import type { Batch, BatchEvent } from '#contracts/batch'
import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'

/*
 * What is told of a batch is put on this device first, under an id of its own, and sent until the server has taken it: a lost
 * answer and a second try are one event. What was taken is remembered for a while, so that a workshop that was put back to an older
 * state can be told again.
 */

/** Something told of a batch. */
export interface PendingEvent {
  batchId: string
  event: BatchEvent
  /** What it is, in words. */
  says: string
  /** ms, by this device's clock. */
  at: number
}
export type Delivery = Batch | 'waiting' | 'refused'

const waitingKey = 'mantle-told-'
const sentKey = 'mantle-sent-'
/** ms between tries when the server does not answer. */
const retryAfter = 3000
/** How long, and how many, of what was taken is remembered. */
const rememberFor = 14 * 86_400_000
const mostSent = 300

function asPending(value: unknown): PendingEvent | null {
  const { batchId, event, says, at } = value as Partial<PendingEvent>
  return typeof batchId === 'string' &&
    typeof event === 'object' &&
    typeof event.id === 'string' &&
    typeof says === 'string' &&
    typeof at === 'number'
    ? { batchId, event, says, at }
    : null
}
const all = (begin: string): PendingEvent[] =>
  keysHere(begin)
    .flatMap((key) => keptHere(key, asPending) ?? [])
    .sort((a, b) => a.at - b.at)

export const useOutbox = defineStore('outbox', () => {
  const waiting = shallowRef<PendingEvent[]>(all(waitingKey))
  /** Whether what waits would survive a reload. */
  const safe = ref(true)
  const toasts = useToasts()
  let sending: Promise<unknown> = Promise.resolve()
  let retry: ReturnType<typeof setTimeout> | undefined

  function done({ event }: PendingEvent) {
    forgetHere(waitingKey + event.id)
    waiting.value = waiting.value.filter((one) => one.event.id !== event.id)
  }
  function remember(told: PendingEvent) {
    keepHere(sentKey + told.event.id, told)
    const sent = all(sentKey)
    for (const old of sent.filter(
      ({ at }, place) => at < Date.now() - rememberFor || place < sent.length - mostSent,
    ))
      forgetHere(sentKey + old.event.id)
  }

  async function attempt(told: PendingEvent): Promise<Delivery> {
    try {
      const batch = await api.post<Batch>(`/api/batches/${told.batchId}/events`, told.event)
      done(told)
      remember(told)
      useBatches().keep(batch)
      return batch
    } catch (error) {
      const status = error instanceof ApiError ? error.status : 0
      if (status >= 400 && status < 500) {
        done(told)
        toasts.show(sentenceOf(error), { bad: true })
        return 'refused'
      }
      clearTimeout(retry)
      retry = setTimeout(() => void flush(), retryAfter)
      return 'waiting'
    }
  }
  /** One at a time, in the order in which they were told. */
  function inTurn(act: () => Promise<Delivery>): Promise<Delivery> {
    const turn = sending.then(act, act)
    sending = turn
    return turn
  }

  /** Sends what waits, until one of it has to go on waiting. */
  async function flush() {
    for (const told of waiting.value) if ((await inTurn(() => attempt(told))) === 'waiting') return
  }

  /** Puts something on this device and sends it. Resolves at the first answer, or when there is none. */
  async function deliver(told: PendingEvent): Promise<Delivery> {
    const others = waiting.value.filter(({ event }) => event.id !== told.event.id)
    safe.value = keepHere(waitingKey + told.event.id, told)
    waiting.value = [...others, told]
    // Behind what waits already, as it happened.
    if (others.length) {
      void flush()
      return 'waiting'
    }
    const answer = await inTurn(() => attempt(told))
    if (answer === 'waiting')
      toasts.show(
        safe.value
          ? 'Mantle does not answer. It is kept on this device and sent by itself.'
          : 'Mantle does not answer, and this browser keeps nothing: leave this window open.',
        { bad: true },
      )
    return answer
  }

  /** What was taken and is not there any more, since the workshop was put back to an older state. */
  async function lost(): Promise<PendingEvent[]> {
    const sent = all(sentKey)
    const there = new Set<string>()
    const known = new Set<string>()
    for (const batchId of new Set(sent.map((told) => told.batchId))) {
      const batch = await api.get<Batch>(`/api/batches/${batchId}`).catch(() => null)
      if (!batch) continue
      known.add(batchId)
      for (const { id } of batch.events) there.add(id)
    }
    return sent.filter(({ batchId, event }) => known.has(batchId) && !there.has(event.id))
  }

  onOtherEpoch(() => {
    void (async () => {
      void useBatches().load({ again: true })
      // What is on its way may have been taken by the workshop as it was before: its answer says so.
      await sending.catch(() => undefined)
      const gone = await lost()
      const { say } = useWorkshop()
      toasts.show(
        gone.length
          ? `The workshop was put back to an older state. ${say.count(
              gone.length,
              'thing told here since is not in it.',
              'things told here since are not in it.',
            )}`
          : 'The workshop was put back to an older state.',
        {
          bad: true,
          stays: true,
          ...(gone.length
            ? {
                undo: async () => {
                  for (const told of gone) await deliver({ ...told, at: Date.now() })
                },
                undoSays: say.plural(gone.length, 'Send it again', 'Send them again'),
              }
            : {}),
        },
      )
    })()
  })
  useEventListener(window, 'online', () => void flush())
  // What another window told and could not send is sent by whichever is there.
  useEventListener(window, 'storage', ({ key }) => {
    if (key?.startsWith(waitingKey)) waiting.value = all(waitingKey)
  })

  return { waiting, safe, deliver, flush }
})
