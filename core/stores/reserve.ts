import type { Need } from '#contracts/store'
import { addDays, type Day } from '../units/days'
import { firstToGo, takeFrom, type LotNow } from './stock'

/** A batch that is planned and not poured. */
export interface PlannedBatch {
  id: string
  number: number
  name: string
  /** The day it was planned for. */
  day: Day
  needs: readonly Need[]
}

/** Days after its day that a plan which was not poured still holds what it reserved. */
export const reservedFor = 7

/**
 * Whether a plan still reserves what it needs.
 * @example holds({ day: '2026-03-01' }, '2026-03-08') // true
 */
export const holds = ({ day }: Pick<PlannedBatch, 'day'>, today: Day): boolean =>
  today <= addDays(day, reservedFor)

/** What one plan is to take from one lot; from none where `lotId` is null. */
export interface Reserved {
  batchId: string
  thing: string
  name: string
  lotId: string | null
  grams: number
}

/**
 * What the plans reserve: the earliest day is served first, each from what expires first. What no lot has left is named too.
 * @param planned those that still hold are reckoned with, in any order
 * @example reserved([{ id: 'a', number: 1, name: 'Slab', day: '2026-03-02', needs: [{ thing: 'castor', name: 'Castor oil', grams: 70 }] }], [lot({}, 50)], '2026-03-01').map(({ grams }) => grams)
 *   // [50, 20]
 */
export function reserved(
  planned: readonly PlannedBatch[],
  lots: readonly LotNow[],
  today: Day,
): Reserved[] {
  const left = new Map(lots.map((lot) => [lot.id, lot.stock]))
  const inOrder = [...planned]
    .filter((batch) => holds(batch, today))
    .sort((a, b) => a.day.localeCompare(b.day) || a.number - b.number)
  const byThing = new Map<string, LotNow[]>()
  for (const lot of lots)
    byThing.set(lot.document.thing, [...(byThing.get(lot.document.thing) ?? []), lot])
  return inOrder.flatMap(({ id, needs }) =>
    needs.flatMap(({ thing, name, grams }): Reserved[] => {
      const own = (byThing.get(thing) ?? []).map((lot) => ({ ...lot, stock: left.get(lot.id)! }))
      const { takes, short } = takeFrom(own.sort(firstToGo), thing, grams)
      for (const take of takes) left.set(take.lotId, left.get(take.lotId)! - take.grams)
      const line = { batchId: id, thing, name }
      return [
        ...takes.map((take) => ({ ...line, ...take })),
        ...(short > 1e-6 ? [{ ...line, lotId: null, grams: short }] : []),
      ]
    }),
  )
}

/** How far a stock reaches for a formula. */
export interface Reach {
  /** g of all oils that it gives. */
  oils: number
  /** The fat that is out first. */
  thing: string
}

/**
 * The most oils that what is there gives, and the fat that ends it. Null where a fat is kept no stock of, or the formula has none.
 * @param fats of the formula, by their share of the oils
 * @param stock g of each that are there and not spoken for; null of what the workshop keeps no lots of
 * @example reachOf([{ id: 'olive', share: 0.7 }, { id: 'coconut', share: 0.3 }], (id) => (id === 'olive' ? 3500 : 1200))
 *   // { oils: 4000, thing: 'coconut' }
 */
export function reachOf(
  fats: readonly { id: string; share: number }[],
  stock: (thing: string) => number | null,
): Reach | null {
  let reach: Reach | null = null
  for (const { id, share } of fats) {
    if (share <= 0) continue
    const there = stock(id)
    if (there === null) return null
    const oils = Math.max(0, there) / share
    if (!reach || oils < reach.oils) reach = { oils, thing: id }
  }
  return reach
}
