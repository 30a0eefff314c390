import type { Batch } from '#contracts/batch'
import type { MakingDay } from '#contracts/day'
import type { Stored } from '#contracts/document'
import type { Run } from '#contracts/run'
import { dayBatch, type DayBatchSource } from '#core/day/batchOfDay'
import type { DayWish } from '#contracts/dayWords'
import { paceOfPerson } from '#core/day/pace'
import { closing, dressing, type DayPerson } from '#core/day/problem'
import { problemOf } from '#core/day/tasks'
import { sumOf } from '#core/statistics/sum'
import type { SentDay } from '~/workers/day.worker'

/** ms between tries to keep a day when the server does not answer. */
const retryAfter = 3000

interface Remembered {
  stored: Stored<MakingDay>
  batches: [string, Batch][]
  runs: [string, Run][]
  others: MakingDay[]
  /** What was changed here and is not kept on the server yet. */
  waiting?: Partial<MakingDay> | null
}
const rememberKey = (id: string) => `mantle-day-${id}`

/** A making day with its batches, its problem and the way to keep it. */
export function useMakingDay(id: string) {
  const days = useDays()
  const workshop = useWorkshop()
  const { settings, say, today } = storeToRefs(workshop)
  const stored = shallowRef<Stored<MakingDay> | null>(null)
  const batches = shallowRef(new Map<string, Batch>())
  const runs = shallowRef(new Map<string, Run>())
  const others = shallowRef<MakingDay[]>([])
  const problem = ref('')
  /** What waits to be kept: keys of the document, as they are to be. */
  const waiting = shallowRef<Partial<MakingDay> | null>(null)
  const kept = ref<'kept' | 'sending' | 'cut-off'>('kept')
  const toasts = useToasts()

  async function load() {
    try {
      const [one] = await Promise.all([api.get<Stored<MakingDay>>(`/api/days/${id}`), days.load()])
      await loadBatches(one.document)
      // What was changed while the server was away, and the page was left, is not lost.
      const left = remembered()?.waiting ?? null
      stored.value = left ? { ...one, document: { ...one.document, ...left } } : one
      waiting.value = left
      others.value = days.list.filter((other) => other.id !== id).map(({ document }) => document)
      problem.value = ''
      remember()
    } catch (error) {
      const away = error instanceof ApiError && (error.status === 0 || error.status >= 500)
      const before = away ? remembered() : null
      if (!before) return void (problem.value = sentenceOf(error))
      stored.value = before.stored
      batches.value = new Map(before.batches)
      runs.value = new Map(before.runs)
      others.value = before.others
      waiting.value = before.waiting ?? null
    }
    if (waiting.value) void send()
  }
  const remembered = (): Remembered | null =>
    keptHere(rememberKey(id), (value) =>
      typeof value === 'object' && value !== null && 'stored' in value
        ? (value as Remembered)
        : null,
    )
  const remember = () =>
    stored.value &&
    keepHere(rememberKey(id), {
      stored: stored.value,
      batches: [...batches.value],
      runs: [...runs.value],
      others: others.value,
      waiting: waiting.value,
    } satisfies Remembered)
  /** The batches of a day, with their runs once it has begun. */
  async function loadBatches({ batches: wanted, startedAt }: MakingDay) {
    const all = await Promise.all(
      wanted.map(
        async ({ id: one }) => [one, await api.get<Batch>(`/api/batches/${one}`)] as const,
      ),
    )
    batches.value = new Map(all)
    if (!startedAt) return
    const begun = await Promise.all(
      wanted.map(
        async ({ id: one }) => [one, await api.get<Run>(`/api/batches/${one}/run`)] as const,
      ),
    )
    runs.value = new Map(begun)
  }

  const day = computed(() => stored.value?.document ?? null)

  /** Changes the day: at once here, on the server as soon as it answers; what another device changed meanwhile stays, but for these keys. */
  async function change(to: Partial<MakingDay>): Promise<void> {
    if (!stored.value) return
    stored.value = { ...stored.value, document: { ...stored.value.document, ...to } }
    waiting.value = { ...waiting.value, ...to }
    remember()
    await send()
  }
  let sending: Promise<void> | null = null
  const send = (): Promise<void> => (sending ??= sendNow().finally(() => (sending = null)))
  let retry: ReturnType<typeof setTimeout> | undefined
  async function sendNow(): Promise<void> {
    clearTimeout(retry)
    for (let round = 0; waiting.value && round < 6; round++) {
      const now = waiting.value
      const { revision, document } = stored.value!
      try {
        kept.value = 'sending'
        const saved = await days.save(id, revision, { ...document, ...now })
        const more = waiting.value === now ? null : waiting.value
        waiting.value = more
        stored.value = { ...saved, document: { ...saved.document, ...more } }
        kept.value = 'kept'
        remember()
      } catch (error) {
        if (!(error instanceof ApiError)) throw error
        if (error.status === 409 && 'theirs' in error.body) {
          const theirs = error.body.theirs as Stored<MakingDay>
          stored.value = { ...theirs, document: { ...theirs.document, ...now } }
          continue
        }
        if (error.status === 0 || error.status >= 500) {
          kept.value = 'cut-off'
          retry = setTimeout(() => void send(), retryAfter)
          return
        }
        toasts.show(sentenceOf(error), { bad: true })
        waiting.value = null
        remember()
        kept.value = 'kept'
        await load()
        return
      }
    }
  }
  /** What another device changed. */
  async function look() {
    if (waiting.value) return
    const now = await api.get<Stored<MakingDay>>(`/api/days/${id}`).catch(() => null)
    if (now && !waiting.value && now.revision !== stored.value?.revision) {
      stored.value = now
      remember()
    }
  }
  onScopeDispose(() => clearTimeout(retry))

  /** Batches that are still on it. */
  const onIt = computed(() => {
    const gone = new Set(day.value?.dropped.map(({ id: one }) => one))
    return day.value?.batches.filter((one) => !gone.has(one.id)) ?? []
  })
  const sources = computed((): DayBatchSource[] =>
    onIt.value.flatMap(({ id: one, mould }) => {
      const batch = batches.value.get(one)
      if (!batch) return []
      const run = runs.value.get(one)
      return [
        {
          id: one,
          number: batch.number,
          name: batch.name,
          mould,
          frozen: batch.frozen,
          setup: run?.setup ?? { ...usualRunSetup(settings.value), day: id },
          scale: run?.scale ?? settings.value.scale,
        },
      ]
    }),
  )
  const made = computed(() => sources.value.map((source) => dayBatch(source, say.value)))

  /** The instant of minute 0, ms: when it began, or when it is to. */
  const beginsAt = computed(() => {
    if (!day.value) return 0
    const { startedAt } = day.value
    return startedAt ? Date.parse(startedAt) : instantOfMinute(day.value, beginOf(day.value))
  })
  const instantOfMinute = ({ day: date }: MakingDay, minute: number): number =>
    Date.parse(instantAt(date, clockOf(minute), settings.value.timeZone))
  /** A minute of the day as people read it. */
  const timeAt = (minute: number): string =>
    timeText(new Date(beginsAt.value + minute * 60_000).toISOString(), settings.value.timeZone)
  const came = computed(() => others.value.flatMap((other) => other.came))
  const people = computed((): DayPerson[] => {
    const of = day.value
    if (!of) return []
    return of.people.map(({ name, until }) => ({
      name,
      from: dressing,
      until:
        until === null
          ? null
          : Math.floor((instantOfMinute(of, until) - beginsAt.value) / 60_000) - closing,
      pace: paceOfPerson(came.value, name),
    }))
  })
  const things = computed(() => ({ ...day.value!.things, vessels: settings.value.vessels }))
  const sent = computed((): SentDay | null =>
    day.value && sources.value.length === onIt.value.length && sources.value.length
      ? { batches: sources.value, people: people.value, things: things.value }
      : null,
  )
  /** The problem of the plan that is kept. */
  const known = computed(() => {
    const plan = day.value?.plan
    return plan && made.value.length && made.value.length === onIt.value.length
      ? problemOf(made.value, people.value, things.value, plan.together)
      : null
  })
  const bars = computed(() => sumOf(onIt.value, ({ id: one }) => batches.value.get(one)?.bars ?? 0))
  return {
    id,
    stored,
    day,
    batches,
    runs,
    problem,
    kept,
    load,
    loadBatches,
    look,
    change,
    onIt,
    made,
    sent,
    known,
    people,
    things,
    beginsAt,
    timeAt,
    bars,
    came,
    settings,
    say,
    today,
  }
}
export type MakingDayHere = ReturnType<typeof useMakingDay>

/** When a day begins, minutes after midnight: earlier where that is what matters. */
export const beginOf = ({ wish, begins, earliest }: MakingDay, of: DayWish = wish): number =>
  of === 'early' ? Math.min(begins, earliest) : begins
