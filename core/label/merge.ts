import type { LabelDesign } from '#contracts/label'

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** Of two values that both began at a third the one that was changed; mine where both were. */
const changed = <T>(base: T, mine: T, theirs: T): T => (same(base, mine) ? theirs : mine)

/**
 * Two designs that both began at a third: what only one of them changed goes together, figure by figure; what both changed stays mine.
 * What one took off stays off, unless the other changed it.
 * @example mergedDesign(labelDesign, { ...labelDesign, width: 80 }, { ...labelDesign, height: 40 }).height // 40
 */
export function mergedDesign(
  base: LabelDesign,
  mine: LabelDesign,
  theirs: LabelDesign,
): LabelDesign {
  const whole = <T extends object>(was: T, own: T, other: T): T =>
    Object.fromEntries(
      Object.keys(own).map((key) => [
        key,
        changed(was[key as keyof T], own[key as keyof T], other[key as keyof T]),
      ]),
    ) as T
  const byId = ({ elements }: LabelDesign) => new Map(elements.map((one) => [one.id, one]))
  const [was, own, other] = [byId(base), byId(mine), byId(theirs)]
  const order = [...new Set([...own.keys(), ...other.keys()])]
  return {
    ...whole(base, mine, theirs),
    elements: order.flatMap((id) => {
      const [before, here, there] = [was.get(id), own.get(id), other.get(id)]
      if (here && there) return [before ? whole(before, here, there) : here]
      const left = (here ?? there)!
      return before && same(before, left) ? [] : [left]
    }),
  }
}
