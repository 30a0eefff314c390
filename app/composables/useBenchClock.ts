import type { RunEvent } from '#contracts/run'
import { useIntervalFn } from '@vueuse/core'

/**
 * The bench's clock, ms: the workshop's own, never before the last thing that happened, so that a reload or another tablet goes
 * on where the run stands. In a rehearsal it may run faster.
 */
export function useBenchClock(startedAt: string, events: () => RunEvent[], speed: Ref<number>) {
  const workshop = useWorkshop()
  const latest = Math.max(Date.parse(startedAt), ...events().map(({ at }) => Date.parse(at)))
  const now = ref(Math.max(workshop.clock(), latest))
  let since = performance.now()
  useIntervalFn(() => {
    const here = performance.now()
    now.value += (here - since) * speed.value
    since = here
  }, 200)
  /** Lets time pass at once. */
  const skip = (minutes: number) => {
    now.value += minutes * 60_000
  }
  /** Time of day of a minute of the run, as 10:21. */
  const timeOf = (minutes: number) =>
    workshop.timeOf(new Date(Date.parse(startedAt) + minutes * 60_000).toISOString())
  return { now, skip, timeOf }
}
