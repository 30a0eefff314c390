import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { Library } from '../materials/library'
import { fillMillilitres } from '../mould/fillings'
import { batterMillilitres } from './volume'

/** Water left in a bar when long dried, the mean at half humidity: 0.05 + 0.1·0.5 (docs/science.md, drying). */
export const driedWaterShare = 0.1

/**
 * g of a result's bars together when long dried: all but the water, over what stays.
 * @example driedGrams(made) // 1254.08
 */
export function driedGrams(result: FormulaResult): number {
  return Math.min(result.batter, (result.batter - result.water.content) / (1 - driedWaterShare))
}

/** Pairs of evaluations that straighten what the density of the lye bends; two are nearly always enough. */
const mostSteps = 8

interface Target {
  value: number
  of: (result: FormulaResult) => number
}

/** What the size wants, and the figure of a result that has to meet it; null when oils are given outright. */
function targetOf(document: FormulaDocument, library: Library): Target | null {
  const { size } = document
  switch (size.by) {
    case 'batter':
      return { value: size.grams ?? 0, of: (result) => result.batter }
    case 'bars':
      return { value: (size.count ?? 0) * (size.grams ?? 0), of: driedGrams }
    case 'fattyMatter':
      return {
        value: (size.batterGrams ?? 0) * (size.share ?? 0),
        of: size.of === 'oils' ? (result) => result.oils : (result) => result.fattyMatter,
      }
    case 'mould':
    case 'moulds':
      return {
        value: fillMillilitres(size),
        of: (result) => batterMillilitres(result, library),
      }
    default:
      return null
  }
}

/**
 * g of oils for which a formula meets its size. Every weight is affine in the oils (shares and rates grow with them,
 * grams stay), so two evaluations give the exact answer. Only the density of the lye bends the line, where its strength moves
 * with the oils (water by weight, or by the oils beside acids in grams); pairs beside the last answer settle that.
 * @returns 0 when what is given in grams is already more than the size
 * @example oilsForSize(example, shipped, (oils) => ({ ...made, oils })) // 1000
 */
export function oilsForSize(
  document: FormulaDocument,
  library: Library,
  weigh: (oils: number) => FormulaResult,
): number {
  const { size } = document
  if (size.by === 'oils') return size.grams ?? 0
  const target = targetOf(document, library)
  if (!target || target.value <= 0) return 0
  const line = (low: number, high: number) => {
    const atLow = target.of(weigh(low))
    const slope = (target.of(weigh(high)) - atLow) / (high - low)
    return slope > 0 ? low + (target.value - atLow) / slope : 0
  }
  let oils = line(target.value * 0.5, target.value)
  for (let step = 0; step < mostSteps && oils > 0; step++) {
    const before = oils
    oils = line(oils, oils * 1.001)
    if (Math.abs(oils - before) <= before * 1e-12) break
  }
  return Math.max(0, oils)
}
