import type { FirstQuestion } from '#contracts/words'
import { keptByField } from '#contracts/words'
import type { Offsets } from '#contracts/learning'
import type { Workshop, WorkshopChanges, WorkshopNow } from '#contracts/workshop'
import { dayIn } from '#core/units/days'
import { formatter } from '#core/units/formatter'
import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'

/** What holds for the whole workshop: its settings, today by its clock, and how it says figures. */
export const useWorkshop = defineStore('workshop', () => {
  const settings = shallowRef<Workshop>({
    name: '',
    timeZone: 'UTC',
    units: 'metric',
    degrees: null,
    spoons: 'us',
    citricAcid: null,
    lyeTin: { label: null, open: null },
    said: [],
    scale: 0.1,
    regions: {},
    scentRate: 0.05,
    currency: 'EUR',
    lyeRisk: 0.01,
    lyeRiskCleaning: 0.05,
    leastFattyMatter: null,
    costing: {
      hourly: 0,
      hours: null,
      overhead: { cost: 0, per: 'batch' },
      uses: [],
      keep: 0.6,
      tiedUp: 0,
      outlets: [],
    },
    selling: {
      place: null,
      maker: '',
      person: '',
      country: '',
      step: 1,
      opened: 12,
      care: 'Let it dry between uses.',
      warnings: 'Keep out of eyes.',
      web: '',
      rules: {},
      names: {},
      allergens: [],
    },
    emergency: { ambulance: '112', poison: '' },
    begin: { superfat: 0.05, water: 2.2, naohPurity: 1 },
    dates: { locale: null, firstDay: 1 },
    bench: {},
    rack: { humidity: 0.55, turnEvery: 5, cures: [], places: [], fixtures: [], sensor: null },
    learning: { resets: {} },
    scaleCheck: null,
    vessels: [],
  })
  const today = ref('')
  /** Humidity that bars dry in, 0–1. */
  const humidity = ref(0.55)
  /** What own records move forecasts by. */
  const offsets = shallowRef<Offsets>({})
  const ready = ref(false)
  const problem = ref('')

  const say = computed(() =>
    formatter({
      locale: navigator.language,
      system: settings.value.units,
      degrees: settings.value.degrees,
      scale: settings.value.scale,
    }),
  )

  /** How far this device's clock is behind the server's, ms. */
  let behind = 0
  /** The workshop's time, ms. */
  const clock = () => Date.now() + behind

  /** The revision of what is shown: changes are made on it. */
  let revision = 0

  /** @param asked when it was asked for: the answer's clock stood about halfway between then and now */
  function take(answer: WorkshopNow, asked = Date.now()) {
    const { now, today: day, humidity: damp, offsets: moved, revision: at, ...workshop } = answer
    revision = at
    behind = Date.parse(now) - (asked + Date.now()) / 2
    settings.value = workshop
    writeDatesAs(workshop.dates.locale)
    today.value = day
    // The first day of a time zone takes long to name; lists ask for hundreds.
    dayIn(workshop.timeZone, new Date(now))
    humidity.value = damp
    offsets.value = moved
    problem.value = ''
    ready.value = true
  }

  async function load() {
    const asked = Date.now()
    try {
      take(await api.get<WorkshopNow>('/api/workshop'), asked)
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  /** What of changes is not so already; of some keys single fields. */
  function onlyNew(changes: WorkshopChanges): WorkshopChanges {
    const before = settings.value as unknown as Record<string, unknown>
    const differs = (was: unknown, is: unknown) => JSON.stringify(was) !== JSON.stringify(is)
    return Object.fromEntries(
      Object.entries(changes).flatMap(([key, value]): [string, unknown][] => {
        if (!keptByField.has(key)) return differs(before[key], value) ? [[key, value]] : []
        const was = before[key] as Record<string, unknown>
        const fields = Object.entries(value as object).filter(([field, set]) =>
          differs(was[field], set),
        )
        return fields.length ? [[key, Object.fromEntries(fields)]] : []
      }),
    )
  }

  /**
   * Keeps changes of the settings, each field by itself: what another window changed meanwhile stays. Where both changed the same
   * field, a change that is told as a function of the settings is worked out anew on theirs; any other is refused once, with theirs
   * taken, so that a second press is a choice. Throws an ApiError that says what is wrong.
   */
  async function save(changes: WorkshopChanges | ((now: Workshop) => WorkshopChanges)) {
    for (let attempt = 0; ; attempt++) {
      const wanted = typeof changes === 'function' ? changes(settings.value) : changes
      try {
        const body = { revision, changes: onlyNew(wanted) }
        return take(await api.patch<WorkshopNow>('/api/workshop', body))
      } catch (error) {
        if (!(error instanceof ApiError) || error.status !== 409) throw error
        take(error.body.theirs as WorkshopNow)
        if (typeof changes !== 'function' || attempt > 2) throw error
      }
    }
  }

  /** Answers a first question: its setting is kept, and nobody asks it again. */
  const answer = (question: FirstQuestion, changes: WorkshopChanges) =>
    save((now) => ({ ...changes, said: [...new Set([...now.said, question])] }))

  // A screen that stays open overnight has to notice the new day.
  useIntervalFn(() => void load(), 5 * 60_000)

  /** The day of an instant (ISO, UTC) by the workshop's clock. */
  const dayOf = (instant: string) => dayIn(settings.value.timeZone, new Date(instant))

  /** The time of day of an instant (ISO, UTC) by the workshop's clock. */
  const timeOf = (instant: string) => timeText(instant, settings.value.timeZone)

  return {
    settings,
    today,
    humidity,
    offsets,
    clock,
    dayOf,
    timeOf,
    ready,
    problem,
    say,
    load,
    save,
    answer,
  }
})
