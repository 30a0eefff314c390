import { proxy, wrap, type Remote } from 'comlink'
import type { KeptDayPlan } from '#contracts/day'
import type { Clash, WayOut } from '#core/day/fits'
import type { DayWish } from '#contracts/dayWords'
import type { DayPlan } from '#core/day/plan'
import type { Running, TaskState } from '#core/day/running'
import type { DayWorker, SentDay } from '~/workers/day.worker'

/** Plans days in a worker, so that the page stays alive; calling off ends the worker and keeps the best that was found. */
export function useDayPlanner() {
  const state = ref<'idle' | 'planning' | 'unfit'>('idle')
  const best = shallowRef<DayPlan | null>(null)
  const seconds = ref(0)
  const problem = ref('')
  let worker: Worker | null = null
  let remote: Remote<DayWorker> | null = null

  function start(): Remote<DayWorker> {
    if (remote) return remote
    worker = new Worker(new URL('../workers/day.worker.ts', import.meta.url), { type: 'module' })
    remote = wrap<DayWorker>(worker)
    return remote
  }
  function stop() {
    worker?.terminate()
    worker = null
    remote = null
    state.value = 'idle'
  }
  const sent = (day: SentDay): SentDay => plain(day)

  /** The best plan for a wish; null where it was called off before anything was found, or nothing can be found. */
  async function plan(day: SentDay, wish: DayWish): Promise<DayPlan | null> {
    stop()
    const own = start()
    best.value = null
    problem.value = ''
    state.value = 'planning'
    const since = performance.now()
    try {
      const found = await own.plan(
        sent(day),
        wish,
        proxy((so: DayPlan) => {
          if (remote === own) best.value = so
        }),
      )
      if (remote !== own) return null
      best.value = found
      seconds.value = (performance.now() - since) / 1000
      state.value = 'idle'
      return found
    } catch {
      if (remote === own) {
        problem.value = 'The planning broke off. Try again, with fewer batches if it does so again.'
        stop()
      }
      return null
    }
  }
  const quick = (day: SentDay, wish: DayWish): Promise<DayPlan | null> =>
    start().quick(sent(day), wish)
  async function unfit(
    day: SentDay,
    found: DayPlan,
    wish: DayWish,
    mayLeave: string[],
    mostEarlier: number,
  ): Promise<{ clash: Clash; ways: WayOut[] } | null> {
    const own = start()
    state.value = 'unfit'
    const answer = await own
      .unfit(sent(day), plain(found), wish, mayLeave, mostEarlier)
      .catch(() => null)
    if (remote === own) state.value = 'idle'
    return answer
  }
  const replan = (
    day: SentDay,
    kept: KeptDayPlan,
    states: ReadonlyMap<string, TaskState>,
    now: number,
  ): Promise<Running | null> => start().replan(sent(day), plain(kept), new Map(states), now)

  onScopeDispose(stop)
  return { plan, quick, unfit, replan, stop, state, best, seconds, problem }
}
