import type { Run, RunEvent, RunSetup, ToldEvent } from '#contracts/run'
import { useEventListener } from '@vueuse/core'

/** Where the events of a run are kept: on the server with this device as the safety net, or, for a rehearsal, here alone. */
export interface RunKeeper {
  run: Run
  /** Everything that happened, what the server has not taken yet included. */
  events: Readonly<Ref<RunEvent[]>>
  keep(event: RunEvent): void
  /** Events that lie on this device only. */
  waiting: Readonly<Ref<number>>
  state: Readonly<Ref<'kept' | 'sending' | 'cut-off'>>
  leading: Readonly<Ref<boolean>>
  /** What this device wrote while another one led. */
  refused: Readonly<Ref<number>>
  takeOver(withRefused: boolean): void
}

const outboxKey = (id: string) => `mantle-run-${id}`
const takenKey = (id: string) => `mantle-run-taken-${id}`
const copyKey = (batchId: string) => `mantle-bench-${batchId}`

/** ms between tries when the server does not answer. */
const retryAfter = 2000

function stored<T>(key: string): T | null {
  try {
    const text = localStorage.getItem(key)
    return text ? (JSON.parse(text) as T) : null
  } catch {
    return null
  }
}
function store(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value))
  } catch {
    // full or switched off: the server's copy is all there is
  }
}

/** What this device remembers of a bench, for a reload while the server is away. */
export const rememberedBench = <T>(batchId: string): T | null => stored<T>(copyKey(batchId))
export const rememberBench = (batchId: string, bench: unknown): void =>
  store(copyKey(batchId), bench)

/**
 * Keeps a run on the server: every event is put on this device first, sent in order, tried again until it is taken, and taken
 * once. What other devices add comes in by a stream.
 */
export function useServerKeeper(first: Run): RunKeeper {
  const own = deviceId()
  const { id } = first
  const taken = shallowRef<ToldEvent[]>([])
  const outbox = ref<RunEvent[]>(stored<RunEvent[]>(outboxKey(id)) ?? [])
  const state = ref<'kept' | 'sending' | 'cut-off'>('kept')
  const held = ref(false)
  let sending = false
  let retry: ReturnType<typeof setTimeout> | undefined
  let source: EventSource | null = null

  const driver = computed(() => {
    const drove = taken.value.findLast(({ kind }) => kind === 'drove')
    return drove?.device ?? first.driver
  })
  const leading = computed(
    () => outbox.value[0]?.kind === 'drove' || (driver.value === own && !held.value),
  )
  const events = computed<RunEvent[]>(() => {
    const known = new Set(taken.value.map((event) => event.id))
    const mine = leading.value ? outbox.value.filter((event) => !known.has(event.id)) : []
    return [...taken.value, ...mine]
  })

  function merge(more: ToldEvent[]) {
    const bySeq = new Map([...taken.value, ...more].map((event) => [event.seq, event]))
    if (bySeq.size > taken.value.length)
      taken.value = [...bySeq.values()].sort((a, b) => a.seq - b.seq)
    const ids = new Set(taken.value.map((event) => event.id))
    if (outbox.value.some((event) => ids.has(event.id)))
      outbox.value = outbox.value.filter((event) => !ids.has(event.id))
  }
  merge([...first.events, ...(stored<ToldEvent[]>(takenKey(id)) ?? [])])
  watch(outbox, (all) => store(outboxKey(id), all), { deep: true })
  // For a reload while the server is away; it is the server's list that counts whenever it answers.
  watch(taken, (all) => store(takenKey(id), all), { immediate: true })

  async function send(): Promise<void> {
    if (sending || !outbox.value.length || !leading.value) return
    sending = true
    clearTimeout(retry)
    const lot = outbox.value.slice(0, 200)
    try {
      const answer = await api.post<{ events: ToldEvent[] }>(`/api/runs/${id}/events`, {
        device: own,
        events: lot,
      })
      merge(answer.events)
      const ids = new Set(lot.map((event) => event.id))
      outbox.value = outbox.value.filter((event) => !ids.has(event.id))
      held.value = false
      state.value = outbox.value.length ? 'sending' : 'kept'
    } catch (error) {
      const status = error instanceof ApiError ? error.status : 0
      if (status === 409) {
        held.value = true
        state.value = 'kept'
        await catchUp()
      } else if (status === 422) {
        // The one event that the server cannot read must not hold up the others for ever.
        const path = error instanceof ApiError ? (error.faults[0]?.path ?? '') : ''
        const bad = lot[Number(/^events\[(\d+)\]/.exec(path)?.[1] ?? 0)]
        outbox.value = outbox.value.filter((event) => event.id !== bad?.id)
        useToasts().show(sentenceOf(error), { bad: true })
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

  async function catchUp() {
    try {
      merge((await api.get<Run>(`/api/runs/${id}`)).events)
    } catch {
      // the stream or the next try brings it
    }
  }

  function connect() {
    source?.close()
    source = new EventSource(`/api/runs/${id}/stream?after=${taken.value.at(-1)?.seq ?? 0}`)
    source.onmessage = (message) => {
      merge(JSON.parse(String(message.data)) as ToldEvent[])
      if (state.value === 'cut-off') void send()
    }
    source.onopen = () => {
      if (!outbox.value.length) state.value = 'kept'
      void send()
    }
    source.onerror = () => {
      state.value = 'cut-off'
    }
  }

  function keep(event: RunEvent) {
    outbox.value = [...outbox.value, event]
    store(outboxKey(id), outbox.value)
    if (state.value === 'kept') state.value = 'sending'
    void send()
  }

  function takeOver(withRefused: boolean) {
    const drove: RunEvent = {
      id: newId(),
      at: new Date(
        Math.max(...events.value.map(({ at }) => Date.parse(at)), useWorkshop().clock()),
      ).toISOString(),
      kind: 'drove',
      name: deviceName(),
    }
    held.value = false
    outbox.value = [drove, ...(withRefused ? outbox.value : [])]
    void send()
  }

  onMounted(() => {
    connect()
    void send()
  })
  useEventListener(window, 'online', () => {
    connect()
    void send()
  })
  onScopeDispose(() => {
    source?.close()
    clearTimeout(retry)
  })
  return {
    run: first,
    events,
    keep,
    waiting: computed(() => outbox.value.length),
    state,
    leading,
    refused: computed(() => (leading.value ? 0 : outbox.value.length)),
    takeOver,
  }
}

/** Keeps a rehearsal on this device: nothing of it reaches the workshop's records. */
export function useLocalKeeper(
  id: string,
  startedAt: string,
  setup: RunSetup,
  scale: number,
): RunKeeper {
  interface Kept {
    startedAt: string
    events: RunEvent[]
  }
  const before = stored<Kept>(outboxKey(id))
  const kept = ref<Kept>(before ?? { startedAt, events: [] })
  const run: Run = {
    id,
    batchId: id,
    setup,
    scale,
    paper: false,
    startedAt: kept.value.startedAt,
    driver: deviceId(),
    events: [],
  }
  return {
    run,
    events: computed(() => kept.value.events),
    keep(event) {
      kept.value = { ...kept.value, events: [...kept.value.events, event] }
      store(outboxKey(id), kept.value)
    },
    waiting: ref(0),
    state: ref('kept' as const),
    leading: ref(true),
    refused: ref(0),
    takeOver: () => undefined,
  }
}

/** Forgets a rehearsal. */
export function forgetRehearsal(id: string): void {
  try {
    localStorage.removeItem(outboxKey(id))
  } catch {
    // nothing to forget
  }
}
