import {
  trialEventSchema,
  type NewTrialEvent,
  type ToldTrialEvent,
  type TrialEvent,
  type WholeTrial,
} from '#contracts/trial'
import { useEventListener } from '@vueuse/core'

const outboxKey = (id: string) => `mantle-trial-${id}`
const copyKey = (id: string) => `mantle-trial-copy-${id}`
/** ms between tries when the server does not answer. */
const retryAfter = 2000
const lotSize = 200

const asEvents = (value: unknown): TrialEvent[] | null => {
  const parsed = trialEventSchema.array().safeParse(value)
  return parsed.success ? parsed.data : null
}

/** What this device remembers of a trial, for a reload while the server is away. */
export const rememberedTrial = (id: string): WholeTrial | null =>
  keptHere(copyKey(id), (value) =>
    typeof value === 'object' && value !== null && 'document' in value && 'events' in value
      ? (value as WholeTrial)
      : null,
  )

/**
 * Keeps what happens on a trial day: every event is put on this device first, sent in order, tried again until it is taken, and taken
 * once. Several devices may tell of one day; what they tell comes in by the stream.
 */
export function useTrialKeeper(first: WholeTrial) {
  const { id } = first
  const taken = shallowRef<ToldTrialEvent[]>(first.events)
  const outbox = shallowRef<TrialEvent[]>(keptHere(outboxKey(id), asEvents) ?? [])
  const state = ref<'kept' | 'sending' | 'cut-off'>('kept')
  /** Whether what waits would survive a reload. */
  const safe = ref(true)
  const toasts = useToasts()
  const workshop = useWorkshop()
  let sending = false
  let retry: ReturnType<typeof setTimeout> | undefined
  let end: (() => void) | null = null

  const events = computed((): TrialEvent[] => {
    const known = new Set(taken.value.map((event) => event.id))
    return [...taken.value, ...outbox.value.filter((event) => !known.has(event.id))]
  })
  function put(all: TrialEvent[]) {
    outbox.value = all
    if (all.length) safe.value = keepHere(outboxKey(id), all)
    else forgetHere(outboxKey(id))
  }
  function merge(more: ToldTrialEvent[]) {
    const bySeq = new Map([...taken.value, ...more].map((event) => [event.seq, event]))
    taken.value = [...bySeq.values()].sort((a, b) => a.seq - b.seq)
    const ids = new Set(taken.value.map((event) => event.id))
    if (outbox.value.some((event) => ids.has(event.id)))
      put(outbox.value.filter((event) => !ids.has(event.id)))
  }
  watch(taken, (all) => void keepHere(copyKey(id), { ...first, events: all }), { immediate: true })

  async function send(): Promise<void> {
    if (sending || !outbox.value.length) return
    sending = true
    clearTimeout(retry)
    const lot = outbox.value.slice(0, lotSize)
    try {
      const answer = await api.post<{ events: ToldTrialEvent[] }>(`/api/trials/${id}/events`, {
        events: lot,
      })
      merge(answer.events)
      state.value = outbox.value.length ? 'sending' : 'kept'
    } catch (error) {
      const { status, faults } = error instanceof ApiError ? error : { status: 0, faults: [] }
      const named = /^events\[(\d+)\]/.exec(faults[0]?.path ?? '')?.[1]
      if ((status === 422 || status === 409) && named !== undefined) {
        // The one event that cannot be taken must not hold up the others for ever.
        const bad = lot[Number(named)]
        put(outbox.value.filter((event) => event.id !== bad?.id))
        toasts.show(sentenceOf(error), { bad: true })
        state.value = outbox.value.length ? 'sending' : 'kept'
      } else {
        state.value = 'cut-off'
        retry = setTimeout(() => void send(), retryAfter)
      }
    } finally {
      sending = false
    }
    if (state.value === 'sending') void send()
  }

  /** Writes something down, now unless a moment is given. Gives its id. */
  function tell(event: NewTrialEvent, at = workshop.clock()): string {
    const whole = { ...event, id: newId(), at: new Date(at).toISOString() } as TrialEvent
    put([...outbox.value, whole])
    if (state.value === 'kept') state.value = 'sending'
    void send()
    return whole.id
  }

  onMounted(() => {
    end = listenTo(
      { trials: { [id]: taken.value.at(-1)?.seq ?? 0 } },
      (message) => {
        if (message.topic === 'trial') merge(message.data)
      },
      (open) => {
        if (!open) state.value = 'cut-off'
        else {
          if (state.value === 'cut-off') state.value = outbox.value.length ? 'sending' : 'kept'
          void send()
        }
      },
    )
    void send()
  })
  useEventListener(window, 'online', () => void send())
  onScopeDispose(() => {
    end?.()
    clearTimeout(retry)
  })
  return { events, tell, state, safe, waiting: computed(() => outbox.value.length) }
}
