import type { CurvePoint, Findings } from '#core/finder/find'
import type { Wish } from '#core/finder/wish'
import type { Remote } from 'comlink'
import type { FinderWorker } from '~/workers/finder.worker'

/** Looks for formulas in a worker, so that the page stays alive; calling off ends the worker. */
export function useFinder() {
  const { library } = storeToRefs(useMaterials())
  const findings = shallowRef<Findings | null>(null)
  const curve = shallowRef<CurvePoint[]>([])
  const state = ref<'idle' | 'finding' | 'curve'>('idle')
  const problem = ref('')
  let worker: Worker | null = null
  let remote: Remote<FinderWorker> | null = null

  async function start() {
    const own = await startFinder()
    worker = own.worker
    remote = own.remote
    return own.remote
  }
  function stop() {
    worker?.terminate()
    worker = null
    remote = null
    state.value = 'idle'
  }

  /** Finds the best formula and its runner-ups, then the curve of price against character where prices are known. */
  async function find(wish: Wish) {
    stop()
    problem.value = ''
    findings.value = null
    curve.value = []
    state.value = 'finding'
    try {
      const own = await start()
      const asked = plain(wish)
      const ids = new Set(wish.choices.map(({ id }) => id))
      const fats = plain([...library.value.fats.values()].filter(({ id }) => ids.has(id)))
      const found = await own.find(asked, fats)
      if (remote !== own) return
      findings.value = found
      state.value = 'curve'
      const points = await own.curve(asked, fats)
      if (remote !== own) return
      curve.value = points
      state.value = 'idle'
    } catch {
      problem.value = 'The search broke off. Try again, with fewer fats if it does so again.'
      stop()
    }
  }
  onScopeDispose(stop)
  return { find, stop, findings, curve, state, problem }
}
