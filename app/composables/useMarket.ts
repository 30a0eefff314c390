import {
  type MarketEvent,
  type NewMarketEvent,
  type ToldMarketEvent,
  type WholeMarket,
} from '#contracts/market'
import { marketOf } from '#core/stores/market'
import { useEventListener } from '@vueuse/core'

/**
 * A market day on a phone that may have no net: what is told lies on the device first, under its own id, and is sent in its order
 * until the server has taken it. What it knew last is kept too, so that the page opens again without a net.
 */
export function useMarket(id: string) {
  const waitingKey = `mantle-market-${id}`
  const copyKey = `mantle-market-copy-${id}`
  const isMarket = (value: unknown): WholeMarket | null =>
    typeof value === 'object' && value !== null && Array.isArray((value as WholeMarket).events)
      ? (value as WholeMarket)
      : null
  const market = shallowRef<WholeMarket | null>(keptHere(copyKey, isMarket))
  const waiting = shallowRef<MarketEvent[]>(
    keptHere(waitingKey, (value) => (Array.isArray(value) ? (value as MarketEvent[]) : null)) ?? [],
  )
  const problem = ref('')
  const away = ref(false)
  const workshop = useWorkshop()
  const events = computed((): MarketEvent[] => {
    const known = (market.value?.events ?? []).map(
      ({ seq: _, ...event }: ToldMarketEvent) => event as MarketEvent,
    )
    const ids = new Set(known.map((event) => event.id))
    return [...known, ...waiting.value.filter((event) => !ids.has(event.id))]
  })
  const now = computed(() => marketOf(events.value))

  function take(whole: WholeMarket) {
    market.value = whole
    keepHere(copyKey, whole)
  }
  async function load() {
    try {
      take(await api.get<WholeMarket>(`/api/markets/${id}`))
      away.value = false
    } catch (error) {
      away.value = !(error instanceof ApiError) || error.status === 0
      if (!away.value || !market.value) problem.value = sentenceOf(error)
    }
  }
  let sending: Promise<unknown> = Promise.resolve()
  let retry: ReturnType<typeof setTimeout> | undefined
  async function send() {
    const batch = waiting.value
    if (!batch.length) return
    try {
      take(await api.post<WholeMarket>(`/api/markets/${id}/events`, { events: batch }))
      drop(batch)
      away.value = false
      problem.value = ''
    } catch (error) {
      if (error instanceof ApiError && error.status >= 400 && error.status < 500) {
        problem.value = sentenceOf(error)
        // The refusal names the one it means, else it is the one that was told last; the others go again without it.
        const place = /^events\[(\d+)\]/.exec(error.faults[0]?.path ?? '')?.[1]
        drop([batch[Number(place)] ?? batch.at(-1)!])
        if (waiting.value.length) return send()
        return
      }
      away.value = true
      clearTimeout(retry)
      retry = setTimeout(() => void flush(), 3000)
    }
  }
  function drop(gone: readonly MarketEvent[]) {
    const ids = new Set(gone.map((event) => event.id))
    waiting.value = waiting.value.filter((event) => !ids.has(event.id))
    keepHere(waitingKey, waiting.value)
  }
  function flush() {
    sending = sending.then(send, send)
    return sending
  }
  /** Writes down what happened: here at once, on the server when it can be reached. */
  function tell(event: NewMarketEvent): Promise<unknown> {
    problem.value = ''
    const told = {
      ...event,
      id: newId(),
      at: new Date(workshop.clock()).toISOString(),
    } as MarketEvent
    waiting.value = [...waiting.value, told]
    keepHere(waitingKey, waiting.value)
    return flush()
  }
  onMounted(async () => {
    await load()
    await flush()
  })
  useEventListener(window, 'online', () => void flush())
  onScopeDispose(() => clearTimeout(retry))
  return { market, now, events, waiting, away, problem, tell, load }
}
