import type { Fault } from '#contracts/faults'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { pureAlkaliIn } from '../chemistry/alkali'
import type { Library } from '../materials/library'
import { byWeights, computeFormula, divideOils } from './compute'
import { oilsForSize } from './size'

/** Pairs of evaluations for the one ratio of several pots; it is all but affine. */
const mostSteps = 8

/** A formula whose lye and water are known, with the superfat and water that follow. */
export interface Checked {
  document: FormulaDocument
  result: FormulaResult
}

/**
 * What superfat and water a document has whose lye and water were weighed. Whatever the size is given by, the oils are solved with
 * lye and water as constants: both stay what they are, so that all else is affine in the oils, and the lye in the superfat.
 * @param lyeGrams everything alkaline as weighed, at the document's purity and potash share, or of its ready-mixed solution
 * @param waterGrams water weighed as water
 * @returns faults when these weights do not fit the size, or pots have water of their own
 * @example checkFormula(example, 130, 286, shipped).document.superfat // 0.040227
 */
export function checkFormula(
  document: FormulaDocument,
  lyeGrams: number,
  waterGrams: number,
  library: Library,
): Checked | { faults: Fault[] } {
  const own = document.parts.findIndex(({ water }) => water)
  if (own >= 0)
    return {
      faults: [
        {
          path: `parts[${own}].water`,
          says: 'With known lye and water the pots cannot have water of their own: check each pot by itself.',
        },
      ],
    }
  const pure = pureAlkaliIn(lyeGrams, document.alkali)
  type Water = FormulaDocument['water']
  /** The formula by its fats and so much water, with the superfat that makes its lye the given one. */
  const settled = (sized: FormulaDocument, water: Water) => {
    const wet = { ...sized, water }
    const lyeAt = (superfat: number) => computeFormula({ ...wet, superfat }, library).lye.pureAsNaoh
    const atNone = lyeAt(0)
    const perFat = atNone - lyeAt(1)
    const found = { ...wet, superfat: perFat > 0 ? (atNone - pure) / perFat : 0 }
    return { document: found, result: computeFormula(found, library) }
  }
  const held: Water = { held: 'grams', value: waterGrams }
  /** With so many oils; null where every fat has its weight. */
  const withOils = (oils: number | null) => {
    const sized = oils === null ? document : byWeights(document, divideOils(document, oils))
    if (!document.parts.length) return settled(sized, held)
    // Pots share one jug: each gets its part of the lye *with* its water, so it is the ratio that is the same in all.
    const at = (ratio: number) => settled(sized, { held: 'ratio', value: ratio })
    let ratio = 2
    for (let step = 0; step < mostSteps; step++) {
      const now = at(ratio).result.water.weighed
      const slope = (at(ratio * 1.01).result.water.weighed - now) / (ratio * 0.01)
      if (!(slope > 0) || Math.abs(waterGrams - now) <= waterGrams * 1e-12) break
      ratio += (waterGrams - now) / slope
    }
    return at(Math.max(1e-6, ratio))
  }
  const direct = document.size.by === 'lines'
  const oils = direct ? null : oilsForSize(document, library, (trial) => withOils(trial).result)
  if (oils !== null && !(oils > 0))
    return {
      faults: [
        {
          path: 'size',
          says: 'Lye, water and what is given in grams already weigh more than this size.',
        },
      ],
    }
  const found = withOils(oils)
  return {
    document: { ...document, water: found.document.water, superfat: found.document.superfat },
    result: found.result,
  }
}
