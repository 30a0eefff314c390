import type { Mould } from '#contracts/formula'
import type { WorkshopMould } from '#contracts/mould'

/**
 * ml that a mould takes by its measures when full to its depth. Missing measures count as nothing.
 * @example mouldMillilitres({ shape: 'box', lengthMm: 250, widthMm: 90, depthMm: 70 }) // 1575
 */
export function mouldMillilitres(mould: Mould): number {
  switch (mould.shape) {
    case 'box':
      return ((mould.lengthMm ?? 0) * (mould.widthMm ?? 0) * (mould.depthMm ?? 0)) / 1000
    case 'cylinder':
      return (Math.PI * ((mould.diameterMm ?? 0) / 2) ** 2 * (mould.depthMm ?? 0)) / 1000
    case 'cavities':
      return (mould.count ?? 0) * (mould.millilitres ?? 0)
  }
}

/**
 * ml that a workshop's mould takes: what was measured, or else what its measures say.
 * @example capacityOf({ mould: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 60 }, trueMillilitres: null }) // 1200
 */
export const capacityOf = ({ mould, trueMillilitres }: WorkshopMould): number =>
  trueMillilitres ?? mouldMillilitres(mould)

/**
 * The mould as a formula carries it. Where the true capacity is known the depth (or the size of a cavity) is the one that
 * gives it, so that the document computes the same anywhere.
 * @example mouldForFormula({ mould: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 60 }, trueMillilitres: 1100 })
 *   // { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 55 }
 */
export function mouldForFormula({ mould, trueMillilitres }: WorkshopMould): Mould {
  if (trueMillilitres === null) return mould
  if (mould.shape === 'cavities') return { ...mould, millilitres: trueMillilitres / mould.count }
  const depthMm = (mould.depthMm * trueMillilitres) / mouldMillilitres(mould)
  return { ...mould, depthMm }
}
