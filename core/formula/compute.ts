import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { Library } from '../materials/library'
import { documentOfPart, sumOfPots } from './parts'
import { weighPot } from './pot'
import { oilsForSize } from './size'
import { sum } from '../statistics/sum'

/** Shares may miss 1 by this much and still count as whole. */
export const shareTolerance = 0.0005

/**
 * Sum of the shares of fats that are given by share.
 * @example sumOfShares({ ...example, fats: [{ id: 'olive', share: 0.6 }, { id: 'coconut', share: 0.3 }] }) // 0.9
 */
export function sumOfShares(document: FormulaDocument): number {
  return sum(document.fats.map((fat) => fat.share ?? 0))
}

/**
 * How much of each fat there is relative to the others: shares or grams, whichever the lines carry.
 * @example fatWeights(soap({ fats: fats({ olive: 0.7, castor: 0.3 }) })) // [0.7, 0.3]
 */
export function fatWeights(document: FormulaDocument): number[] {
  return document.fats.map((fat) =>
    document.size.by === 'lines' ? (fat.grams ?? 0) : (fat.share ?? 0),
  )
}

/**
 * The formula by the weight of each fat, g; null where a fat has none yet.
 * @example byWeights(example, [450]).fats // [{ id: 'olive', moment: 'pot', inLye: true, grams: 450 }]
 */
export function byWeights(document: FormulaDocument, grams: (number | null)[]): FormulaDocument {
  return {
    ...document,
    size: { by: 'lines' },
    fats: document.fats.map(({ share: _, ...fat }, index) => ({ ...fat, grams: grams[index]! })),
  }
}

/**
 * g of each fat line for so many oils. Shares that are whole within the tolerance are made to fill them exactly.
 * @example divideOils({ ...example, fats: [{ id: 'olive', share: 0.75 }, { id: 'coconut', share: 0.25 }] }, 800) // [600, 200]
 */
export function divideOils(document: FormulaDocument, oils: number): number[] {
  const sum = sumOfShares(document)
  const misses = Math.abs(sum - 1)
  const whole = misses > 1e-12 && misses <= shareTolerance ? sum : 1
  return document.fats.map((fat) => ((fat.share ?? 0) / whole) * oils)
}

/** The formula with these fats in the pot: one pot, or the sum of its parts. */
function weigh(document: FormulaDocument, library: Library, grams: number[]): FormulaResult {
  if (document.parts.length === 0) return weighPot(document, library, grams)
  return sumOfPots(
    document,
    document.parts.map((part) => ({
      name: part.name,
      share: part.share ?? 0,
      result: weighPot(
        documentOfPart(document, part),
        library,
        grams.map((fat) => fat * (part.share ?? 0)),
      ),
    })),
  )
}

/**
 * g of each fat line, whichever way the formula is sized.
 * @example fatGrams(example, shipped) // [1000]
 */
export function fatGrams(document: FormulaDocument, library: Library): number[] {
  if (document.size.by === 'lines') return document.fats.map((fat) => fat.grams ?? 0)
  const oils = oilsForSize(document, library, (trial) =>
    weigh(document, library, divideOils(document, trial)),
  )
  return divideOils(document, oils)
}

/**
 * What a formula weighs. Grams and fractions at full precision.
 *
 * Total: a draft computes too, with what is missing counted as nothing; `faultsInFormula` says what is missing.
 * @example computeFormula(example, shipped).lye.naoh // 128.676
 */
export function computeFormula(document: FormulaDocument, library: Library): FormulaResult {
  return weigh(document, library, fatGrams(document, library))
}
