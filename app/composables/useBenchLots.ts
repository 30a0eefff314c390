import type { StoredLot } from '#contracts/store'
import { lotsStanding } from '#core/bench/run/lots'
import { valuesOf } from '#core/stores/stock'
import { watchDebounced } from '@vueuse/core'
import type { AtHand } from '~/utils/lotsAtHand'
import type { Bench } from './useBench'

/** Which lots a run is weighed from. A rehearsal draws from nothing. */
export function useBenchLots(bench: Bench) {
  const lots = useLots()
  if (!bench.practising) void lots.load()
  // What was weighed goes off its lot once the server has taken it.
  watchDebounced(
    () => bench.keeper.events.value.filter(({ kind }) => kind === 'scooped').length,
    () => !bench.practising && void lots.load(),
    { debounce: 1500 },
  )
  const standing = computed(() => lotsStanding(bench.keeper.events.value))
  const atHand = computed((): AtHand[] =>
    bench.practising
      ? []
      : lotsAtHand(bench.plan.value.steps, lots.list, (thing) => standing.value.get(thing)?.lotId),
  )
  const of = (thing: string | null) =>
    thing ? (atHand.value.find((one) => one.thing === thing) ?? null) : null
  function stand(thing: string, lot: StoredLot) {
    if (!bench.keeper.leading.value) return
    const { code } = lot.document
    bench.tell({ kind: 'stood', thing, lotId: lot.id, code, ...valuesOf(lot.document) })
  }
  /** The next of several lots of a thing. */
  function next(thing: string) {
    const one = of(thing)
    if (!one || one.lots.length < 2) return
    const place = one.lots.findIndex(({ id }) => id === one.lot.id)
    stand(thing, one.lots[(place + 1) % one.lots.length]!)
  }
  /** Tells which lots stand there, as they were laid out. */
  function layOut() {
    for (const { thing, lot, told } of atHand.value) if (!told) stand(thing, lot)
  }
  return { atHand, of, stand, next, layOut }
}
