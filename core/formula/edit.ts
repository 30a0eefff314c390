import type { FormulaDocument } from '#contracts/formula'
import { byWeights, computeFormula, fatGrams, fatWeights, sumOfShares } from './compute'
import type { Library } from '../materials/library'
import { ratioFrom, waysFrom } from '../water/ways'
import { scaleMeasure, type Measure } from './measure'
import { sum } from '../statistics/sum'
import { roundTo } from '../statistics/roundTo'

/*
 * Changes a maker makes to a formula, as functions from document to document. None of them fails: what cannot be done
 * leaves the document as it is.
 */

/**
 * Gives what is still missing from 100 % (or takes what is too much) to one fat; never below nothing.
 * @example
 * giveRemaining({ ...example, fats: [{ id: 'olive', share: 0.6 }, { id: 'coconut', share: 0.3 }] }, 1).fats[1].share
 * // 0.4
 */
export function giveRemaining(document: FormulaDocument, index: number): FormulaDocument {
  const line = document.fats[index]
  if (!line || document.size.by === 'lines') return document
  const share = roundTo(Math.max(0, (line.share ?? 0) + 1 - sumOfShares(document)))
  return {
    ...document,
    fats: document.fats.map((fat, place) => (place === index ? { ...fat, share } : fat)),
  }
}

/**
 * Turns shares of a size into grams of each fat. The weights stay what they were.
 * @example toGrams(example, shipped).fats // [{ id: 'olive', moment: 'pot', inLye: true, grams: 1000 }]
 */
export function toGrams(document: FormulaDocument, library: Library): FormulaDocument {
  const grams = fatGrams(document, library)
  return byWeights(
    document,
    document.fats.map(({ share }, index) => (share == null ? null : roundTo(grams[index]!))),
  )
}

/**
 * Turns grams of each fat into shares of their sum. The weights stay what they were.
 * @example toShares(toGrams(example, shipped)).fats[0].share // 1
 */
export function toShares(document: FormulaDocument): FormulaDocument {
  if (document.size.by !== 'lines') return document
  const grams = fatWeights(document)
  const oils = sum(grams)
  return {
    ...document,
    size: { by: 'oils', grams: oils > 0 ? roundTo(oils) : 1000 },
    fats: document.fats.map(({ grams: _, ...fat }, index) => ({
      ...fat,
      share: document.fats[index]!.grams == null || oils === 0 ? null : grams[index]! / oils,
    })),
  }
}

/** A size so many times as large; bars stay whole, a mould is filled further. */
function scaleSize(size: FormulaDocument['size'], factor: number): FormulaDocument['size'] {
  const times = (value: number | null) => (value === null ? null : roundTo(value * factor))
  switch (size.by) {
    case 'oils':
    case 'batter':
      return { ...size, grams: times(size.grams) }
    case 'bars':
      return {
        ...size,
        count: size.count === null ? null : Math.max(1, Math.round(size.count * factor)),
      }
    case 'fattyMatter':
      return { ...size, batterGrams: times(size.batterGrams) }
    case 'mould':
      return { ...size, fill: times(size.fill) }
    case 'moulds':
      return {
        ...size,
        moulds: size.moulds.map((line) => ({ ...line, fill: times(line.fill) })),
      }
    case 'lines':
      return size
  }
}

/** Water held by weight grows with the formula; proportions stay. */
const scaleWater = (water: FormulaDocument['water'], factor: number): FormulaDocument['water'] =>
  water.held === 'grams' && water.value !== null
    ? { held: 'grams', value: roundTo(water.value * factor) }
    : water

/**
 * Multiplies the whole formula; shares and rates stay, weights scale.
 * @example scaleFormula(example, 2).size // { by: 'oils', grams: 2000 }
 */
export function scaleFormula(document: FormulaDocument, factor: number): FormulaDocument {
  const times = <T extends Measure>(line: T) => scaleMeasure(line, factor, roundTo)
  return {
    ...document,
    size: scaleSize(document.size, factor),
    fats: document.fats.map(times),
    water: scaleWater(document.water, factor),
    liquids: document.liquids.map(times),
    ...(document.iceGrams == null ? {} : { iceGrams: roundTo(document.iceGrams * factor) }),
    additives: document.additives.map(times),
    scents: document.scents.map(times),
    parts: document.parts.map((part) => ({
      ...part,
      ...(part.water ? { water: scaleWater(part.water, factor) } : {}),
      additives: part.additives.map(times),
    })),
  }
}

/**
 * Sizes the formula so that one fat is used up: the rest of a drum, weighed. The other fats follow by their shares; only
 * in a formula by weights, whose lines are what they are, do all of them scale.
 * @param index the fat's line
 * @param grams what is left of it, above 0
 * @example fillUp(soap({ fats: fats({ olive: 0.7, castor: 0.3 }) }), 1, 150, shipped).size // { by: 'oils', grams: 500 }
 */
export function fillUp(
  document: FormulaDocument,
  index: number,
  grams: number,
  library: Library,
): FormulaDocument {
  const line = document.fats[index]
  if (!line || !(grams > 0)) return document
  if (document.size.by === 'lines')
    return line.grams ? scaleFormula(document, grams / line.grams) : document
  const now = fatGrams(document, library)[index] ?? 0
  const perOil = now > 0 ? now / computeFormula(document, library).oils : (line.share ?? 0)
  if (!(perOil > 0)) return document
  return { ...document, size: { by: 'oils', grams: roundTo(grams / perOil) } }
}

const needsNoFat = (held: FormulaDocument['water']['held']) =>
  held === 'ratio' || held === 'strength'

/** Water said in another way where no fat tells the lye: ratio and strength follow from each other, all else is open. */
function withoutLye(
  { held, value }: FormulaDocument['water'],
  wanted: FormulaDocument['water']['held'],
): number | null {
  if (held === wanted) return value
  if (!value || !needsNoFat(held) || !needsNoFat(wanted)) return null
  return waysFrom(ratioFrom(held, value, 1, 1), 1, 1)[wanted]
}

/**
 * Says the same water in another way and holds that from now on.
 * @example holdWater(example, 'strength', shipped).water // { held: 'strength', value: 0.3125 }
 */
export function holdWater(
  document: FormulaDocument,
  held: FormulaDocument['water']['held'],
  library: Library,
): FormulaDocument {
  const { water, lye } = computeFormula(document, library)
  // Without lye there is nothing to weigh yet, but a strength is a ratio all the same.
  const value =
    lye.pureAsNaoh > 0 && water.ratio > 0
      ? held === 'grams'
        ? water.weighed
        : water[held]
      : withoutLye(document.water, held)
  return { ...document, water: { held, value: value === null ? null : roundTo(value, 10) } }
}
