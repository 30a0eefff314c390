import type { FirstQuestion } from '#contracts/words'
import type { Workshop, WorkshopNow } from '#contracts/workshop'
import { dayIn } from '#core/units/days'
import { speaker } from '#core/units/say'
import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'

/** What holds for the whole workshop: its settings, today by its clock, and how it says figures. */
export const useWorkshop = defineStore('workshop', () => {
  const settings = ref<Workshop>({
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
    prices: {},
    currency: 'EUR',
    lyeRisk: 0.001,
    leastFattyMatter: null,
    bench: {},
    rack: { humidity: 0.55, turnEvery: 5, cures: [], places: [], sensor: null },
    vessels: [],
  })
  const today = ref('')
  /** Humidity that bars dry in, 0–1. */
  const humidity = ref(0.55)
  const ready = ref(false)
  const problem = ref('')
  const dialogOpen = ref(false)

  const say = computed(() =>
    speaker({
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

  function take({ now, today: day, humidity: damp, ...workshop }: WorkshopNow) {
    behind = Date.parse(now) - Date.now()
    settings.value = workshop
    today.value = day
    humidity.value = damp
    problem.value = ''
    ready.value = true
  }

  async function load() {
    try {
      take(await api.get<WorkshopNow>('/api/workshop'))
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  /** Keeps what is changed of the settings. Throws an ApiError that says what is wrong. */
  async function save(changes: Partial<Workshop>) {
    const workshop = { ...settings.value, ...changes }
    take(await api.put<WorkshopNow>('/api/workshop', workshop))
  }

  /** Answers a first question: its setting is kept, and nobody asks it again. */
  const answer = (question: FirstQuestion, changes: Partial<Workshop>) =>
    save({ ...changes, said: [...new Set([...settings.value.said, question])] })

  // A screen that stays open overnight has to notice the new day.
  useIntervalFn(() => void load(), 5 * 60_000)

  /** The day of an instant (ISO, UTC) by the workshop's clock. */
  const dayOf = (instant: string) => dayIn(settings.value.timeZone, new Date(instant))

  return {
    settings,
    today,
    humidity,
    clock,
    dayOf,
    ready,
    problem,
    dialogOpen,
    say,
    load,
    save,
    answer,
  }
})
