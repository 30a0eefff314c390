import type { StoredLot } from '#contracts/store'
import { lotsStanding, thingOf } from '#core/bench/run/lots'
import { lotFor, usableLots, valuesOf } from '#core/stores/stock'
import { watchDebounced } from '@vueuse/core'
import type { Bench } from './useBench'

/** Something that is weighed in this batch and lies in the stores, and the lot of it that stands there. */
export interface AtHand {
  thing: string
  name: string
  /** g wanted in all. */
  grams: number
  lots: StoredLot[]
  /** The lot that stands there: as told, else what expires first. */
  lot: StoredLot
  told: boolean
}

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
  const atHand = computed((): AtHand[] => {
    if (bench.practising) return []
    const wanted = new Map<string, { name: string; grams: number }>()
    for (const { weigh } of bench.plan.value.steps) {
      const thing = weigh && thingOf(weigh)
      if (!thing) continue
      const before = wanted.get(thing)
      wanted.set(thing, {
        name: before?.name ?? weigh.name,
        grams: (before?.grams ?? 0) + weigh.grams,
      })
    }
    return [...wanted].flatMap(([thing, { name, grams }]) => {
      const told = standing.value.get(thing)
      const here = usableLots(lots.list, thing) as StoredLot[]
      const lot = lots.list.find(({ id }) => id === told?.lotId) ?? lotFor(lots.list, thing, grams)
      if (!lot) return []
      return [
        {
          thing,
          name,
          grams,
          lots: here.includes(lot) ? here : [lot, ...here],
          lot,
          told: told !== undefined,
        },
      ]
    })
  })
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
