import type { KeptMove } from '#contracts/store'
import { sumOf } from '../statistics/sum'
import type { LotNow } from './stock'

/** A move as it is traced. */
export type TracedMove = Pick<KeptMove, 'lotId' | 'kind' | 'grams' | 'batchId' | 'intoLot'>

/** g of one lot in a batch, by the way it took: nothing, or the made-up lots from the first to the last. */
export interface Flow {
  batchId: string
  via: string[]
  grams: number
}

/** Where a lot went. All g are of that lot, also inside what was made up of it. */
export interface Forward {
  flows: Flow[]
  /** Made-up lots that it is in: g of it that went in, and that are still in there. */
  blends: { lotId: string; grams: number; left: number }[]
  /** Spilled, thrown away, or missing when it was counted; negative where more was found. */
  lost: number
  left: number
}

const lossKinds = new Set<KeptMove['kind']>(['counted', 'spilled', 'thrown', 'back', 'undone'])

/**
 * Follows a lot forward, through what was made up of it.
 * @param lots of the workshop that it may be in, itself included
 * @param moves of all of them
 * @example traced('castor', [lot({}, 930)], [{ lotId: 'castor', kind: 'drawn', grams: -140, batchId: 'b', intoLot: null }]).flows
 *   // [{ batchId: 'b', via: [], grams: 140 }]
 */
export function traced(
  lotId: string,
  lots: readonly LotNow[],
  moves: readonly TracedMove[],
): Forward {
  const byId = new Map(lots.map((lot) => [lot.id, lot]))
  const byLot = new Map<string, TracedMove[]>()
  for (const move of moves) byLot.set(move.lotId, [...(byLot.get(move.lotId) ?? []), move])
  const flows: Flow[] = []
  const blends = new Map<string, { lotId: string; grams: number; left: number }>()
  function follow(id: string, share: number, via: string[]) {
    const into = new Map<string, number>()
    const batches = new Map<string, number>()
    for (const { grams, batchId, intoLot } of byLot.get(id) ?? []) {
      if (batchId) batches.set(batchId, (batches.get(batchId) ?? 0) - grams * share)
      else if (intoLot) into.set(intoLot, (into.get(intoLot) ?? 0) - grams * share)
    }
    for (const [batchId, grams] of batches) if (grams > 1e-6) flows.push({ batchId, via, grams })
    for (const [blendId, grams] of into) {
      const blend = byId.get(blendId)
      if (!blend || grams <= 1e-6 || via.includes(blendId)) continue
      const part = grams / blend.document.amount
      const before = blends.get(blendId) ?? { lotId: blendId, grams: 0, left: 0 }
      blends.set(blendId, {
        lotId: blendId,
        grams: before.grams + grams,
        left: before.left + Math.max(0, blend.stock) * part,
      })
      follow(blendId, part, [...via, blendId])
    }
  }
  follow(lotId, 1, [])
  const own = byLot.get(lotId) ?? []
  return {
    flows,
    blends: [...blends.values()],
    lost: -sumOf(own, ({ kind, grams, batchId, intoLot }) =>
      lossKinds.has(kind) && !batchId && !intoLot ? grams : 0,
    ),
    left: byId.get(lotId)?.stock ?? 0,
  }
}

/** A lot behind a batch: g of it, and the made-up lots it came by. */
export interface Behind {
  lotId: string
  via: string[]
  grams: number
}

/**
 * The lots behind a batch, each with its g: those that were drawn, and what made-up ones were made of.
 * @example lotsBehind('b', [lot({}, 930)], [{ lotId: 'castor', kind: 'drawn', grams: -140, batchId: 'b', intoLot: null }])
 *   // [{ lotId: 'castor', via: [], grams: 140 }]
 */
export function lotsBehind(
  batchId: string,
  lots: readonly LotNow[],
  moves: readonly TracedMove[],
): Behind[] {
  const byId = new Map(lots.map((lot) => [lot.id, lot]))
  const drawn = new Map<string, number>()
  for (const move of moves)
    if (move.batchId === batchId) drawn.set(move.lotId, (drawn.get(move.lotId) ?? 0) - move.grams)
  function behind(lotId: string, grams: number, via: string[]): Behind[] {
    const { parts = [], amount = 1 } = byId.get(lotId)?.document ?? {}
    return [
      { lotId, via, grams },
      ...(via.includes(lotId)
        ? []
        : parts.flatMap((part) =>
            behind(part.lotId, (grams * part.grams) / amount, [...via, lotId]),
          )),
    ]
  }
  return [...drawn].flatMap(([lotId, grams]) => (grams > 1e-6 ? behind(lotId, grams, []) : []))
}
