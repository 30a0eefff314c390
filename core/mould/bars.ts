import type { WorkshopMould } from '#contracts/mould'
import { capacityOf } from './capacity'

export interface Bars {
  count: number
  /** ml of batter in one bar. */
  millilitres: number
  /** Sides of a bar as cut, mm, the longest last; null for cavities, whose sides are not told. */
  sidesMm: [number, number, number] | null
}

/** The bars that a mould gives when it is full and cut as planned; the blade takes nothing. */
export function barsOf(record: WorkshopMould): Bars {
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
