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
  /** `stranded`: the workshop was put back to a state in which this batch does not exist. */
  state: Readonly<Ref<'kept' | 'sending' | 'cut-off' | 'stranded'>>
  /** Whether what waits would survive a reload: this browser keeps it. */
  safe: Readonly<Ref<boolean>>
  /** Whether this browser has hardly any room left for that: told before anything is lost. */
  nearlyFull: Readonly<Ref<boolean>>
  leading: Readonly<Ref<boolean>>
  /** What this device wrote while another one led. */
  refused: Readonly<Ref<number>>
  takeOver(withRefused: boolean): void
}

const outboxKey = (id: string) => `mantle-run-${id}`
const takenKey = (id: string) => `mantle-run-taken-${id}`
const copyKey = (batchId: string) => `mantle-bench-${batchId}`

/** ms between tries when the server does not answer, and when it refuses without saying which event it means. */
const retryAfter = 2000
const refusedRetryAfter = 20_000
/** Events sent at once. */
const lotSize = 200

/** A list of things with an id: each event was judged when it was told, and the server judges it again. */
const asList = <T>(value: unknown): T[] | null =>
  Array.isArray(value) &&
  value.every((one) => typeof one === 'object' && one !== null && 'id' in one && 'kind' in one)
    ? (value as T[])
    : null

/** What this device remembers of a bench, for a reload while the server is away. */
export const rememberedBench = <T>(batchId: string): T | null =>
  keptHere(copyKey(batchId), (value) =>
    typeof value === 'object' && value !== null && 'batch' in value && 'run' in value
      ? (value as T)
      : null,
  )
export const rememberBench = (batchId: string, bench: unknown): void =>
  void keepHere(copyKey(batchId), bench)

/** An event as it was told, without what the server added. */
function asTold({ seq: _, device: __, ...event }: ToldEvent): RunEvent {
  return event as RunEvent
}

/**
 * Keeps a run on the server: every event is put on this device first, sent in order, tried again until it is taken, and taken
 * once. What other devices add comes in by the stream. When the workshop was put back to an older state, what it lacks of this run is
 * sent to it again.
 */
export function useServerKeeper(first: Run): RunKeeper {
  const own = deviceId()
  const { id } = first
  const taken = shallowRef<ToldEvent[]>([])
  const outbox = ref<RunEvent[]>(keptHere(outboxKey(id), asList<RunEvent>) ?? [])
  const state = ref<'kept' | 'sending' | 'cut-off' | 'stranded'>('kept')
  const safe = ref(true)
  const held = ref(false)
  const nearlyFull = ref(false)
  /** How many go at once: one by one while the server refuses a lot without saying which event it means. */
  let atOnce = lotSize
  let sending = false
  let retry: ReturnType<typeof setTimeout> | undefined
  let end: (() => void) | null = null

  const driver = computed(() => {
    const drove = taken.value.findLast(({ kind }) => kind === 'drove')
    return drove?.device ?? first.driver
  })
  /** On a making day every device tells of every batch. */
  const shared = !!first.setup.day
  const leading = computed(
    () => shared || outbox.value[0]?.kind === 'drove' || (driver.value === own && !held.value),
  )
  const events = computed<RunEvent[]>(() => {
    const known = new Set(taken.value.map((event) => event.id))
    const mine = leading.value ? outbox.value.filter((event) => !known.has(event.id)) : []
    return [...taken.value, ...mine]
  })
  function put(all: RunEvent[]) {
    outbox.value = all
    if (all.length) safe.value = keepHere(outboxKey(id), all)
    else {
      forgetHere(outboxKey(id))
      safe.value = true
    }
    nearlyFull.value = storageIsNearlyFull()
  }

  function merge(more: ToldEvent[]) {
    const bySeq = new Map([...taken.value, ...more].map((event) => [event.seq, event]))
    if (bySeq.size > taken.value.length)
      taken.value = [...bySeq.values()].sort((a, b) => a.seq - b.seq)
    const ids = new Set(taken.value.map((event) => event.id))
    if (outbox.value.some((event) => ids.has(event.id)))
      put(outbox.value.filter((event) => !ids.has(event.id)))
  }

  /**
   * Takes what the server has as what it has: events that this device was told were kept, and that are not there any more, wait to be
   * sent again. Numbers of events count within one life of the database only.
   */
  function reconcile(now: ToldEvent[], before: readonly ToldEvent[]) {
    const there = new Set(now.map((event) => event.id))
    const lost = before.filter((event) => !there.has(event.id)).map(asTold)
    taken.value = now
    if (!lost.length) return merge([])
    const waiting = outbox.value.filter(({ id: one }) => !lost.some((event) => event.id === one))
    const led = before.findLast(({ kind }) => kind === 'drove')?.device ?? first.driver
    // Another device led: it has its own copy, and sends it.
    if (led !== own) return merge([])
    const leads = driver.value === own || lost[0]?.kind === 'drove'
    put([...(leads ? [] : [drove()]), ...lost, ...waiting])
    state.value = 'sending'
  }
  const drove = (): RunEvent => ({
    id: newId(),
    at: new Date(
      Math.max(...events.value.map(({ at }) => Date.parse(at)), useWorkshop().clock()),
    ).toISOString(),
    kind: 'drove',
    name: deviceName(),
  })

  const remembered = keptHere(takenKey(id), (value) => {
    const { epoch, events: all } = value as { epoch?: unknown; events?: unknown }
    const list = asList<ToldEvent>(all)
    return list && typeof epoch === 'string' ? { epoch, events: list } : null
  })
  if (remembered && currentEpoch() && remembered.epoch !== currentEpoch())
    reconcile(first.events, remembered.events)
  else merge([...first.events, ...(remembered?.events ?? [])])
  // For a reload while the server is away; it is the server's list that counts whenever it answers. A run that is over and sent needs none.
  watch(
    [taken, outbox],
    ([all, waiting]) => {
      if (!waiting.length && all.some(({ kind }) => kind === 'finished')) {
        forgetHere(takenKey(id))
        forgetHere(copyKey(first.batchId))
      } else keepHere(takenKey(id), { epoch: currentEpoch(), events: all })
    },
    { immediate: true },
  )

  async function send(): Promise<void> {
    if (sending || !outbox.value.length || !leading.value || state.value === 'stranded') return
    sending = true
    clearTimeout(retry)
    const lot = outbox.value.slice(0, atOnce)
    try {
      const answer = await api.post<{ events: ToldEvent[] }>(`/api/runs/${id}/events`, {
        device: own,
        events: lot,
      })
      merge(answer.events)
      const ids = new Set(lot.map((event) => event.id))
      put(outbox.value.filter((event) => !ids.has(event.id)))
      held.value = false
      state.value = outbox.value.length ? 'sending' : 'kept'
    } catch (error) {
      await failed(error, lot)
    } finally {
      sending = false
    }
    if (state.value === 'sending') void send()
  }

  async function failed(error: unknown, lot: RunEvent[]) {
    const { status, faults, body } =
      error instanceof ApiError ? error : { status: 0, faults: [], body: {} }
    if (status === 409 && 'driver' in body) {
      held.value = true
      state.value = 'kept'
      await lookAgain()
    } else if (status === 404) await lookAgain()
    else if (status === 422 || status === 409) {
      const named = /^events\[(\d+)\]/.exec(faults[0]?.path ?? '')?.[1]
      if (named !== undefined) {
        // The one event that the server cannot read must not hold up the others for ever.
        const bad = lot[Number(named)]
        put(outbox.value.filter((event) => event.id !== bad?.id))
        useToasts().show(sentenceOf(error), { bad: true })
        state.value = outbox.value.length ? 'sending' : 'kept'
      } else if (atOnce > 1 && lot.length > 1) {
        // It does not say which: those that it takes get through one by one, and nothing is dropped.
        atOnce = 1
        state.value = 'sending'
      } else {
        useToasts().show(`${sentenceOf(error)} It stays on this device.`, { bad: true })
        state.value = 'cut-off'
        retry = setTimeout(() => void send(), refusedRetryAfter)
      }
    } else {
      state.value = 'cut-off'
      retry = setTimeout(() => void send(), retryAfter)
    }
  }

  /** Asks for the run as the server has it; begins it there again when the workshop was put back to before its beginning. */
  async function lookAgain() {
    const before = taken.value
    try {
      reconcile((await api.get<Run>(`/api/runs/${id}`)).events, before)
    } catch (error) {
      if (!(error instanceof ApiError) || error.status !== 404) return
      const { batchId, setup, paper, startedAt } = first
      const begun = await api
        .post<Run>(`/api/batches/${batchId}/run`, { id, device: own, setup, paper, at: startedAt })
        .catch((refused: unknown) => (refused instanceof ApiError ? refused.status : 0))
      if (typeof begun === 'object' && begun.id === id) reconcile(begun.events, before)
      else if (begun !== 0) {
        state.value = 'stranded'
        put([
          ...before.map(asTold),
          ...outbox.value.filter(({ id: one }) => !before.some((event) => event.id === one)),
        ])
        taken.value = []
      }
    }
    if (outbox.value.length && state.value !== 'stranded') void send()
  }

  function connect() {
    end?.()
    end = listenTo(
      { runs: { [id]: taken.value.at(-1)?.seq ?? 0 } },
      (message) => {
        if (message.topic !== 'run') return
        merge(message.data)
        if (state.value === 'cut-off') void send()
      },
      (open) => {
        if (state.value === 'stranded') return
        if (!open) state.value = 'cut-off'
        else {
          if (state.value === 'cut-off') state.value = outbox.value.length ? 'sending' : 'kept'
          void send()
        }
      },
    )
  }

  function keep(event: RunEvent) {
    put([...outbox.value, event])
    if (state.value === 'kept') state.value = 'sending'
    void send()
  }

  function takeOver(withRefused: boolean) {
    const lead = drove()
    held.value = false
    put([lead, ...(withRefused ? outbox.value : [])])
    void send()
  }

  const endEpoch = onOtherEpoch(() => void lookAgain().then(connect))
  /** What an older page, or a hand, left here is judged before it is sent: what is no event is set aside, and said. */
  async function judgeStored() {
    if (!outbox.value.length) return
    const { runEventSchema } = await import('#contracts/run')
    const good = outbox.value.filter((event) => runEventSchema.safeParse(event).success)
    const odd = outbox.value.length - good.length
    if (!odd) return
    keepHere(`${outboxKey(id)}-unread`, outbox.value)
    put(good)
    useToasts().show(
      `${useWorkshop().say.count(odd, 'entry', 'entries')} in this browser’s copy cannot be read; set aside, the others go on.`,
      { bad: true },
    )
  }
  onMounted(() => {
    connect()
    void judgeStored()
      .catch(() => undefined)
      .then(send)
  })
  useEventListener(window, 'online', () => void send())
  onScopeDispose(() => {
    end?.()
    endEpoch()
    clearTimeout(retry)
  })
  return {
    run: first,
    events,
    keep,
    waiting: computed(() => outbox.value.length),
    state,
    safe,
    nearlyFull,
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
  const before = keptHere(outboxKey(id), (value): Kept | null => {
    const { startedAt: begun, events } = value as Partial<Kept>
    return typeof begun === 'string' && asList(events)
      ? { startedAt: begun, events: events! }
      : null
  })
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
      keepHere(outboxKey(id), kept.value)
    },
    waiting: ref(0),
    state: ref('kept' as const),
    safe: ref(true),
    nearlyFull: ref(false),
    leading: ref(true),
    refused: ref(0),
    takeOver: () => undefined,
  }
}

/** Forgets a rehearsal. */
export const forgetRehearsal = (id: string): void => forgetHere(outboxKey(id))
