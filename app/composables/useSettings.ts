import type { Workshop, WorkshopChanges } from '#contracts/workshop'
import { keptByField, type FirstQuestion } from '#contracts/words'
import { createSharedComposable } from '@vueuse/core'

/** A change that was kept: what it was of, when, and what takes it back. */
interface LastChange {
  says: string
  at: string
  back: WorkshopChanges
}

/** The settings as they are changed on their page: each by itself and at once, the last one with a way back. */
export const useSettings = createSharedComposable(() => {
  const workshop = useWorkshop()
  const last = ref<LastChange | null>(null)
  /** What a setting could not become, by its name. */
  const faults = ref<Record<string, string>>({})
  /** What is looked for among the settings. */
  const find = ref('')

  /** What the settings are now where changes touch them. */
  function nowOf(changes: WorkshopChanges): WorkshopChanges {
    const settings = plain(workshop.settings) as unknown as Record<string, unknown>
    return Object.fromEntries(
      Object.entries(changes).map(([key, value]) => {
        if (!keptByField.has(key)) return [key, settings[key]]
        const was = settings[key] as Record<string, unknown>
        return [
          key,
          Object.fromEntries(Object.keys(value as object).map((field) => [field, was[field]])),
        ]
      }),
    )
  }

  /** One after the other, so that a quick second press does not meet the first on its way. */
  let queue: Promise<unknown> = Promise.resolve()
  /**
   * Keeps changes at once. What cannot be is said beside the setting of that name, and what was typed stays.
   * @param question that is answered by this, so that no formula asks it any more
   */
  function set(says: string, changes: WorkshopChanges, question?: FirstQuestion) {
    const task = async () => {
      const said = question && [...new Set([...workshop.settings.said, question])]
      const all = said ? { ...changes, said } : changes
      const back = nowOf(all)
      try {
        await workshop.save(all)
        faults.value = { ...faults.value, [says]: '' }
        if (JSON.stringify(back) !== JSON.stringify(nowOf(all)))
          last.value = { says, at: new Date(workshop.clock()).toISOString(), back }
      } catch (error) {
        faults.value = { ...faults.value, [says]: sentenceOf(error) }
      }
    }
    return (queue = queue.then(task))
  }
  /** The same for what is typed: once the fingers rest from that setting. */
  const timers = new Map<string, ReturnType<typeof setTimeout>>()
  function setSoon(says: string, changes: WorkshopChanges) {
    clearTimeout(timers.get(says))
    timers.set(
      says,
      setTimeout(() => void set(says, changes), 400),
    )
  }

  function takeBack() {
    const { value } = last
    if (!value) return
    last.value = null
    queue = queue
      .then(() => workshop.save(value.back))
      .catch((error) => (faults.value = { ...faults.value, [value.says]: sentenceOf(error) }))
  }

  const has = computed(() => hasWords(find.value))
  /** Whether a setting is among what is looked for. */
  const isFound = (text: string) => has.value(text)
  return { last, faults, find, isFound, set, setSoon, takeBack }
})

/** A number among the settings: what is typed is kept once the fingers rest; an empty field keeps nothing. */
export function useNumberSetting(
  says: string,
  is: (settings: Workshop) => number | null,
  changes: (value: number) => WorkshopChanges,
) {
  const { settings } = storeToRefs(useWorkshop())
  const { setSoon } = useSettings()
  const typed = ref<number | null>(is(settings.value))
  watch(
    () => is(settings.value),
    (value) => (typed.value = value),
  )
  return computed({
    get: () => typed.value,
    set: (value: number | null) => {
      typed.value = value
      if (value !== null) setSoon(says, changes(value))
    },
  })
}
