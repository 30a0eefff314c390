import type { InjectionKey } from 'vue'

/** The key of a making day that goes to the batch that needs hands. */
export interface DayNeeds {
  hint: string
  /** The numbers of the batches that the step on screen is for. */
  whose: string
  go: () => void
}
const needsKey: InjectionKey<ComputedRef<DayNeeds>> = Symbol('who-needs-me')

export const provideDayNeeds = (needs: ComputedRef<DayNeeds>): void => provide(needsKey, needs)
/** That key, where a day is made; null at the bench of a single batch. */
export const useDayNeeds = (): ComputedRef<DayNeeds | null> =>
  inject(needsKey, null) ?? computed(() => null)
