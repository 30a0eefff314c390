import type { LotNow } from './stock'

/** Share of what is missing, or g, by which a count may differ without being asked about. */
const agreesWithin = { share: 0.01, grams: 2 }
/** How near the need of a batch has to be to what is missing, to be offered as where it went. */
const nearBatch = 0.05

/**
 * g in a vessel by the scale; null where its empty weight is not known.
 * @example inVessel(5119, 640) // 4479
 */
export const inVessel = (gross: number, tare: number | null): number | null =>
  tare === null ? null : Math.max(0, gross - tare)

/**
 * How a count compares with what the moves say: g more than expected, negative when some is missing; 0 where it agrees within what
 * a scale and a drip make.
 * @param about it was judged by eye, to about a tenth of what came
 * @example difference(lot({}, 4707), 4479) // -228
 */
export function difference(
  { stock, document }: Pick<LotNow, 'stock' | 'document'>,
  found: number,
  about = false,
): number {
  const apart = found - stock
  const within = Math.max(
    agreesWithin.grams,
    stock * agreesWithin.share,
    about ? document.amount * 0.1 : 0,
  )
  return Math.abs(apart) <= within ? 0 : apart
}

/** A batch whose need of a thing nobody wrote down as drawn. */
export interface Unwritten {
  batchId: string
  grams: number
}

/**
 * The batch that what is missing most likely went into: exactly one that drew none is within 5 % of it. Null where none or several
 * are.
 * @param missing g, above 0
 * @example whereItWent(228, [{ batchId: 'a', grams: 230 }, { batchId: 'b', grams: 700 }])?.batchId // 'a'
 */
export function whereItWent(missing: number, unwritten: readonly Unwritten[]): Unwritten | null {
  const near = unwritten.filter(({ grams }) => Math.abs(grams - missing) <= missing * nearBatch)
  return near.length === 1 ? near[0]! : null
}
