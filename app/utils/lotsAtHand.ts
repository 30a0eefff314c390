import type { StoredLot } from '#contracts/store'
import { thingOf } from '#core/bench/run/lots'
import type { Step } from '#core/bench/plan/step'
import { lotFor, usableLots } from '#core/stores/stock'

/** Something that is weighed in a batch and lies in the stores, and the lot of it that stands there. */
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

/**
 * What the steps of a plan weigh out of the stores, in their order.
 * @param told id of the lot that is known to stand there, of a thing
 */
export function lotsAtHand(
  steps: readonly Step[],
  lots: readonly StoredLot[],
  told: (thing: string) => string | undefined,
): AtHand[] {
  const wanted = new Map<string, { name: string; grams: number }>()
  for (const { weigh } of steps) {
    const thing = weigh && thingOf(weigh)
    if (!thing) continue
    const before = wanted.get(thing)
    wanted.set(thing, {
      name: before?.name ?? weigh.name,
      grams: (before?.grams ?? 0) + weigh.grams,
    })
  }
  return [...wanted].flatMap(([thing, { name, grams }]) => {
    const known = told(thing)
    const here = usableLots(lots, thing) as StoredLot[]
    const stands = lots.find(({ id }) => id === known)
    const lot = stands ?? (lotFor(lots, thing, grams) as StoredLot | null)
    if (!lot) return []
    const all = here.includes(lot) ? here : [lot, ...here]
    return [{ thing, name, grams, lots: all, lot, told: known !== undefined }]
  })
}
