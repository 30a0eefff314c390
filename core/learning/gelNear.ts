import type { BatchRecord } from '#contracts/learning'
import { isNo, isYes } from './figures'

/** Points of lye strength to either side within which batches are alike enough to be told of (judgement). */
const near = 0.03

/**
 * How own batches of about this lye strength gelled; what nobody saw is not counted.
 * @param strength of the lye, a mass fraction
 * @example gelNear([{ figures: { strength: 0.31, gelled: 1 } }, { figures: { strength: 0.4, gelled: 0 } }], 0.3)
 *   // { through: 1, part: 0, none: 0 }
 */
export function gelNear(
  records: readonly Pick<BatchRecord, 'figures'>[],
  strength: number,
): { through: number; part: number; none: number } {
  const seen = records.flatMap(({ figures }) =>
    figures.strength !== undefined && Math.abs(figures.strength - strength) <= near + 1e-9
      ? (figures.gelled ?? [])
      : [],
  )
  const count = (fits: (gelled: number) => boolean) => seen.filter(fits).length
  return {
    through: count(isYes),
    part: count((gelled) => !isYes(gelled) && !isNo(gelled)),
    none: count(isNo),
  }
}
