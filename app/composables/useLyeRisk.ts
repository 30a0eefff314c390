import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { LyeRisk } from '#core/risk/lyeRisk'
import { forCleaning, mostOdds } from '#core/risk/odds'
import { uncertaintyOf, type LyeAge } from '#core/risk/uncertainty'
import { useDebounceFn } from '@vueuse/core'
import type { Remote } from 'comlink'
import type { LyeRiskWorker } from '~/workers/lyeRisk.worker'

/** Always the same draws, so that a figure moves only when the formula does. */
const seed = 2026
const draws = 120_000
/** Chance by which the smallest superfat of a cleaning soap is told where the maker does not ask. */
const usualForCleaning = 0.05

/**
 * How likely a formula is to come out lye-heavy, drawn in a worker. A newer change calls off what is still being drawn.
 */
export function useLyeRisk(
  document: Readonly<Ref<FormulaDocument>>,
  result: Readonly<Ref<FormulaResult>>,
  age: Readonly<Ref<LyeAge>>,
) {
  const workshop = useWorkshop()
  const { library } = storeToRefs(useMaterials())
  const risk = shallowRef<LyeRisk | null>(null)
  /** Every change asks anew; what is on screen answers one of them. */
  const asked = ref(0)
  const answered = ref(0)
  const drawing = computed(() => answered.value !== asked.value)
  let worker: Worker | null = null
  let remote: Remote<LyeRiskWorker> | null = null

  async function start() {
    const { wrap } = await import('comlink')
    worker = new Worker(new URL('../workers/lyeRisk.worker.ts', import.meta.url), {
      type: 'module',
    })
    remote = wrap<LyeRiskWorker>(worker)
  }
  /** What the workshop puts up with for what this soap is for. */
  const most = () =>
    mostOdds(workshop.settings, forCleaning({ document: document.value })) ?? usualForCleaning
  const draw = useDebounceFn(async () => {
    try {
      if (!remote) await start()
    } catch {
      // The server is away, and with it the worker's script: the next change asks again.
      return
    }
    const own = asked.value
    const spreadAt = (open: LyeAge) =>
      uncertaintyOf(document.value, result.value, library.value, workshop.settings.scale, open)
    const spread = spreadAt(age.value)
    if (!spread.fats.length || !spread.alkalis.length) {
      risk.value = null
      answered.value = own
      return
    }
    const jobFor = (about: typeof spread) => ({
      spread: about,
      planned: result.value.superfat.total,
      risk: most(),
      draws,
      seed,
    })
    const found = await remote!.run(plain(jobFor(spread)))
    // Old lye is weak by chance, not for sure: what it needs is never less than what fresh lye would.
    const fresh =
      age.value === 'fresh' ? found : await remote!.run(plain(jobFor(spreadAt('fresh'))))
    if (!found || !fresh || own !== asked.value) return
    risk.value = { ...found, smallest: Math.max(found.smallest, fresh.smallest) }
    answered.value = own
  }, 120)
  watch(
    [result, age, most, () => workshop.settings.scale],
    () => {
      asked.value++
      void draw()
    },
    { immediate: true },
  )
  onScopeDispose(() => worker?.terminate())
  return { risk, drawing }
}
