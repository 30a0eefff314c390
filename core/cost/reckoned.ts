import type { BatchCost, KeptMove, Need, Prices, StoredLot } from '#contracts/store'
import type { Workshop } from '#contracts/workshop'
import { unitCost } from '../stores/stock'
import { goodsNames, isCounted, thingIn } from '../stores/things'
import type { Library } from '../materials/library'
import { batchCost } from './batchCost'

/** What the workshop reckons with besides what is in a bar. */
export type Costing = Workshop['costing']

/** What a batch is reckoned by. */
export interface Reckoned {
  costing: Costing
  prices: Prices
  /** Bars that can leave. */
  bars: number
  hours: number
  /** Days on the rack. */
  days: number
}

/** Prices are for a kilogram or a hundred pieces. */
const unitNow = (prices: Prices, thing: string): number | null => {
  const now = prices[thing]
  return now ? now.price / (isCounted(thing) ? 100 : 1000) : null
}

function rest({ costing, prices, bars, hours, days }: Reckoned) {
  return {
    wraps: costing.uses.map(({ thing, count, per }) => ({
      thing,
      says: goodsNames[thing].name,
      pieces: count * (per === 'bar' ? bars : 1),
      unit: unitNow(prices, thing),
    })),
    hours,
    hourly: costing.hourly,
    overhead: costing.overhead,
    tiedUp: costing.tiedUp,
    days,
    bars,
  }
}

/**
 * What a batch would cost today: what it needs at what things cost now. Water without a price costs nothing.
 * @example costToday([{ thing: 'olive', name: 'Olive oil', grams: 500 }], { costing, prices: { olive: { price: 940, from: 'typed', lotId: null } }, bars: 5, hours: 0, days: 0 }).bar
 *   // 94
 */
export const costToday = (needs: readonly Need[], by: Reckoned): BatchCost =>
  batchCost({
    ...rest(by),
    goods: needs.map(({ thing, name, grams }) => ({
      thing,
      says: name,
      grams,
      unit: unitNow(by.prices, thing) ?? (thing === 'water' ? 0 : null),
    })),
  })

/**
 * What a batch did cost: each gram at the price of its own lot. Null where nothing was written down as drawn.
 * @param lots behind the batch, those inside made-up ones too
 * @example costMade([], [], shipped, { costing, prices: {}, bars: 5, hours: 0, days: 0 }) // null
 */
export function costMade(
  moves: readonly Pick<KeptMove, 'lotId' | 'grams'>[],
  lots: readonly StoredLot[],
  library: Library,
  by: Reckoned,
): BatchCost | null {
  const drawn = new Map<string, number>()
  for (const { lotId, grams } of moves) drawn.set(lotId, (drawn.get(lotId) ?? 0) - grams)
  const byId = new Map(lots.map((lot) => [lot.id, lot]))
  const goods = [...drawn].flatMap(([lotId, grams]) => {
    const lot = byId.get(lotId)
    if (!lot || grams < 1e-6) return []
    const { thing, code } = lot.document
    return [
      {
        thing,
        says: `${thingIn(library, thing).name} ${code}`,
        grams,
        unit: unitCost(lot, (id) => byId.get(id)),
      },
    ]
  })
  if (!goods.length) return null
  // Wraps that were drawn are reckoned as drawn; those that nobody writes down by what a bar usually takes.
  const counted = goods.filter(({ thing }) => isCounted(thing))
  const others = rest(by)
  return batchCost({
    ...others,
    goods: goods.filter(({ thing }) => !isCounted(thing)),
    wraps: [
      ...counted.map(({ thing, says, grams, unit }) => ({ thing, says, pieces: grams, unit })),
      ...others.wraps.filter(({ thing }) => !counted.some((one) => one.thing === thing)),
    ],
  })
}
