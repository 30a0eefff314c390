import type { FormulaDocument, Mould } from '#contracts/formula'
import type { WorkshopMould } from '#contracts/mould'
import { capacityOf } from './capacity'
import { mouldsOf } from './fillings'
import { sumOf } from '../statistics/sum'

export interface Bars {
  count: number
  /** ml of batter in one bar. */
  millilitres: number
  /** Sides of a bar as cut, mm, the longest last; null for cavities, whose sides are not told. */
  sidesMm: [number, number, number] | null
}

/**
 * The bars that a mould gives when it is full and cut as planned; the blade takes nothing.
 * @example barsIn({ mould: { shape: 'cavities', count: 6, millilitres: 90 } }) // { count: 6, millilitres: 90, sidesMm: null }
 */
export function barsIn(record: WorkshopMould): Bars {
  const { mould, cuts } = record
  const millilitres = capacityOf(record)
  if (mould.shape === 'cavities')
    return { count: mould.count, millilitres: millilitres / mould.count, sidesMm: null }
  const tube = mould.shape === 'cylinder'
  const count = tube ? cuts.along : cuts.along * cuts.across
  const sides = tube
    ? [mould.depthMm / cuts.along, mould.diameterMm, mould.diameterMm]
    : [mould.lengthMm / cuts.along, mould.widthMm / cuts.across, mould.depthMm]
  return {
    count,
    millilitres: millilitres / count,
    sidesMm: sides.sort((a, b) => a - b) as [number, number, number],
  }
}

/** g of a fresh bar where nothing says how large they are. */
const usualBar = 125

/**
 * Bars to expect of a formula: as many as it is sized for, the cavities of its moulds, the cuts of those the workshop knows
 * by name; else the batter at about 125 g of fresh soap each.
 * @param moulds the workshop's moulds
 * @example barsOf(example, 1500) // 12
 */
export function barsOf(
  { size }: FormulaDocument,
  batterGrams: number,
  moulds: readonly WorkshopMould[] = [],
): number {
  const whole = (count: number) => Math.max(1, Math.round(count))
  if (size.by === 'bars' && size.count) return whole(size.count)
  const inMould = (mould: Mould, name = '') => {
    const known = moulds.find((record) => record.name === name)
    if (known) return barsIn(known).count
    return mould.shape === 'cavities' ? mould.count : null
  }
  const lines = mouldsOf(size)
  const counts = lines.map(({ mould, name }) => inMould(mould, name))
  if (lines.length && counts.every((count) => count)) return whole(sumOf(counts, (count) => count!))
  return whole(batterGrams / usualBar)
}
