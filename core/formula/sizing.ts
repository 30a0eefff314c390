import type { AdditiveLine, FormulaDocument, Size } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { Library } from '../materials/library'
import { waterFloor } from '../water/ways'
import { computeFormula } from './compute'
import { toShares } from './edit'
import type { Measure } from './measure'
import { sumOf } from '../statistics/sum'

/*
 * One formula at another size. Whatever it says in grams becomes a proportion first, with the exact ratio it has, so that
 * nothing is lost and nothing stays behind when the rest grows.
 */

/** A weight or a spoon of an extra as a rate of its pot's oils; rates and amounts "per" stay as they are said. */
function proportional<T extends Measure>(line: T, grams: number, oils: number): T {
  if (!(oils > 0)) return line
  if (line.grams != null) return { ...line, grams: undefined, rate: grams / oils, of: 'oils' }
  if (line.amount && !line.amount.per && line.amount.value !== null)
    return {
      ...line,
      amount: { ...line.amount, value: (line.amount.value / oils) * 1000, per: 'kg' },
    }
  return line
}

/** Water in a ratio where it was held by weight. */
const ratioOf = (
  water: FormulaDocument['water'],
  result: FormulaResult,
): FormulaDocument['water'] =>
  water.held === 'grams' && result.water.ratio > 0
    ? { held: 'ratio', value: result.water.ratio }
    : water

/**
 * The formula with every weight in it as a proportion: it weighs the same, and grows as a whole.
 * @example toProportions(soap({ additives: [{ id: 'honey', grams: 20 }] }), shipped).additives
 *   // [{ id: 'honey', grams: undefined, rate: 0.02, of: 'oils' }]
 */
export function toProportions(document: FormulaDocument, library: Library): FormulaDocument {
  const result = computeFormula(document, library)
  const { liquids, water, additives, scents, oils } = result
  const allLiquid = water.weighed + water.inSolution + sumOf(liquids, ({ grams }) => grams)
  const common = (index: number) =>
    result.parts.length
      ? sumOf(result.parts, (part) => part.result.additives[index]?.grams ?? 0)
      : (additives[index]?.grams ?? 0)
  // Pots with water or without scent of their own are no measure of what the others share.
  const sharing = document.parts.findIndex(({ water: own }) => !own)
  const scentedOils = result.parts.length
    ? sumOf(result.parts, ({ result: pot }, place) => (document.parts[place]!.scent ? pot.oils : 0))
    : oils
  return {
    ...toShares(document),
    water: ratioOf(document.water, result.parts[sharing]?.result ?? result),
    liquids: document.liquids.map((line, index) =>
      line.grams == null || !(allLiquid > 0)
        ? line
        : { ...line, grams: undefined, share: liquids[index]!.grams / allLiquid },
    ),
    iceShare:
      document.iceGrams == null || !(water.weighed > 0)
        ? document.iceShare
        : water.ice / water.weighed,
    iceGrams: undefined,
    additives: document.additives.map((line, index) => proportional(line, common(index), oils)),
    scents: document.scents.map((line, index) =>
      proportional(line, scents[index]?.grams ?? 0, scentedOils),
    ),
    parts: document.parts.map((part, place) => {
      const own = result.parts[place]!.result
      const first = document.additives.length
      return {
        ...part,
        ...(part.water ? { water: ratioOf(part.water, own) } : {}),
        additives: part.additives.map((line, index): AdditiveLine =>
          proportional(line, own.additives[first + index]?.grams ?? 0, own.oils),
        ),
      }
    }),
  }
}

/**
 * The formula at another size: nothing of its ratios moves. By the weight of each fat it stays what it is.
 * @example sizedAs(example, { by: 'oils', grams: 500 }, shipped).size // { by: 'oils', grams: 500 }
 */
export function sizedAs(document: FormulaDocument, size: Size, library: Library): FormulaDocument {
  if (size.by === 'lines') return document
  return { ...toProportions(document, library), size }
}

/** What keeps a share of fatty matter from holding, and the water with which it does. */
export interface FattyMatterWater {
  /** Share now, of the batter at pour. */
  share: number
  /** Water to lye with which the wanted share holds with these fats; null where not even 1 : 1 is dry enough. */
  ratio: number | null
}

/**
 * How much water leaves a share of fatty matter at pour, with fats and lye as they are. The batter is affine in the water.
 * @param of what counts as fatty matter: fatty acids bound or free, or the oils as weighed
 * @example waterForFattyMatter(example, 0.65, 'oils', shipped) // { share: 0.708334, ratio: 3.18462 }
 */
export function waterForFattyMatter(
  document: FormulaDocument,
  share: number,
  of: 'fattyAcids' | 'oils',
  library: Library,
): FattyMatterWater {
  const now = computeFormula(document, library)
  const matter = of === 'oils' ? now.oils : now.fattyMatter
  const held: FormulaDocument = { ...document, size: { by: 'oils', grams: now.oils } }
  const fats = toShares(document).fats
  const batterAt = (ratio: number) =>
    computeFormula({ ...held, fats, water: { held: 'ratio', value: ratio } }, library).batter
  const low = batterAt(1)
  const perRatio = batterAt(2) - low
  const ratio = perRatio > 0 && share > 0 ? 1 + (matter / share - low) / perRatio : 0
  return {
    share: now.batter > 0 ? matter / now.batter : 0,
    ratio: ratio >= waterFloor ? ratio : null,
  }
}
