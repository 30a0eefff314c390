import type { Size } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { mouldMillilitres } from './capacity'
import { sumOf } from '../statistics/sum'

export interface Filling {
  name: string
  /** ml that goes in, and ml that it takes. */
  millilitres: number
  capacity: number
  grams: number
  /** g and count for each cavity, where it has cavities. */
  each: { count: number; grams: number } | null
}

/**
 * The moulds that a size names, with a name for each; none for sizes that are not by mould.
 * @example mouldsOf({ by: 'oils', grams: 500 }) // []
 */
export function mouldsOf(size: Size) {
  if (size.by === 'moulds') return size.moulds
  return size.by === 'mould' ? [{ name: '', mould: size.mould, fill: size.fill }] : []
}

/**
 * ml that the moulds of a size take at their fill.
 * @example fillMillilitres({ by: 'mould', mould: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 60 }, fill: 0.5 }) // 600
 */
export const fillMillilitres = (size: Size): number =>
  sumOf(mouldsOf(size), ({ mould, fill }) => mouldMillilitres(mould) * (fill ?? 0))

/**
 * How the batter is shared out over the moulds it was sized for: each to its own fill, by volume.
 * @example fillings({ by: 'oils', grams: 500 }, made) // []
 */
export function fillings(size: Size, result: FormulaResult): Filling[] {
  const whole = fillMillilitres(size)
  return mouldsOf(size).map(({ name, mould, fill }) => {
    const capacity = mouldMillilitres(mould)
    const millilitres = capacity * (fill ?? 0)
    const grams = whole > 0 ? (result.batter * millilitres) / whole : 0
    const each =
      mould.shape === 'cavities' && mould.count
        ? { count: mould.count, grams: grams / mould.count }
        : null
    return { name, millilitres, capacity, grams, each }
  })
}
