import type { FormulaDocument } from '#contracts/formula'
import type { Material } from '../materials/library'
import type { Amount } from '../units/readAmount'
import { computeFormula, fatGrams, fatWeights, sumOfShares } from './compute'
import type { Library } from '../materials/library'
import { scaleMeasure, type Measure } from './measure'
import { idFrom } from './typedLine'

/*
 * Changes a maker makes to a formula, as functions from document to document. None of them fails: what cannot be done
 * leaves the document as it is.
 */

/** Measures that a document can hold as they are said. */
const amountUnits = ['tsp', 'tbsp', 'ml', 'drop'] as const

const tidy = (value: number) => Number(value.toFixed(6))

/** g per ml to take when only a volume is given: oils about 0.92, scents 0.95. */
const densityOf = (material: Material | null) =>
  material?.kind === 'fat' ? material.density.value : 0.95

function gramsOf(amount: Amount, material: Material | null): number | null {
  if (amount.kind === 'grams') return amount.grams
  if (amount.kind === 'millilitres') return amount.millilitres * densityOf(material)
  return null
}

/** g of oils, as far as a draft tells: what the size gives once the shares are whole. */
function sizeOfOils(document: FormulaDocument, library: Library): number {
  if (document.size.by === 'oils') return document.size.grams ?? 0
  const sum = sumOfShares(document)
  const { oils } = computeFormula(document, library)
  return sum > 0 ? oils / sum : 0
}

function addFat(
  document: FormulaDocument,
  fat: { id: string; name?: string; sap?: number },
  amount: Amount | null,
  material: Material | null,
  library: Library,
): FormulaDocument {
  const line = { moment: 'pot' as const, inLye: true, ...fat }
  const grams = amount && gramsOf(amount, material)
  const starts = document.fats.length === 0
  if (document.size.by === 'lines' || (starts && grams !== null)) {
    const others = fatWeights(document).reduce((sum, value) => sum + value, 0)
    const share = amount?.kind === 'share' ? amount.share : null
    const weight =
      grams ?? (share !== null && share < 1 && others > 0 ? (share / (1 - share)) * others : null)
    return {
      ...document,
      size: { by: 'lines' },
      fats: [...document.fats, { ...line, grams: weight === null ? null : tidy(weight) }],
    }
  }
  const size = sizeOfOils(document, library)
  const share =
    amount?.kind === 'share' ? amount.share : grams !== null && size > 0 ? grams / size : null
  return {
    ...document,
    fats: [...document.fats, { ...line, share: share === null ? null : tidy(share) }],
  }
}

/** How much of an extra, in the words it was typed in: grams, spoons and drops, or a share of the oils. */
function measureOf(amount: Amount | null, usualRate: number) {
  if (amount?.kind === 'grams') return { grams: tidy(amount.grams) }
  if (amount?.kind === 'millilitres') {
    const unit = amountUnits.find((known) => known === amount.said.unit)
    return {
      amount: unit
        ? { value: tidy(amount.said.value), unit }
        : { value: tidy(amount.millilitres), unit: 'ml' as const },
    }
  }
  return { rate: tidy(amount?.share ?? usualRate), of: 'oils' as const }
}

/** Adds a material that was typed or picked, by its amount or, for additives, its usual rate. */
export function addMaterial(
  document: FormulaDocument,
  material: Material,
  amount: Amount | null,
  library: Library,
): FormulaDocument {
  if (material.kind === 'fat')
    return addFat(document, { id: material.id }, amount, material, library)
  const share = amount?.kind === 'share' ? amount.share : null
  if (material.kind === 'liquid')
    return {
      ...document,
      liquids: [
        ...document.liquids,
        { id: material.id, share: share ?? 0.5, moment: material.moment, way: material.way },
      ],
    }
  return {
    ...document,
    additives: [
      ...document.additives,
      { id: material.id, ...measureOf(amount, material.usualRate), carrier: null },
    ],
  }
}

/** Adds a scent by name; 3 % of the oils unless it says how much. */
export function addScent(
  document: FormulaDocument,
  name: string,
  amount: Amount | null,
): FormulaDocument {
  return {
    ...document,
    scents: [
      ...document.scents,
      { id: idFrom(name), name, ...measureOf(amount, 0.03), moment: 'trace' },
    ],
  }
}

/** Adds a fat that is not in the library, with its saponification value in mg KOH per g. */
export function addOwnFat(
  document: FormulaDocument,
  name: string,
  sap: number,
  amount: Amount | null,
  library: Library,
): FormulaDocument {
  return addFat(document, { id: `own-${idFrom(name)}`, name, sap }, amount, null, library)
}

/** Gives what is still missing from 100 % (or takes what is too much) to one fat; never below nothing. */
export function giveRemaining(document: FormulaDocument, index: number): FormulaDocument {
  const line = document.fats[index]
  if (!line || document.size.by === 'lines') return document
  const share = tidy(Math.max(0, (line.share ?? 0) + 1 - sumOfShares(document)))
  return {
    ...document,
    fats: document.fats.map((fat, place) => (place === index ? { ...fat, share } : fat)),
  }
}

/** Turns shares of a size into grams of each fat. The weights stay what they were. */
export function toGrams(document: FormulaDocument, library: Library): FormulaDocument {
  const grams = fatGrams(document, library)
  return {
    ...document,
    size: { by: 'lines' },
    fats: document.fats.map(({ share: _, ...fat }, index) => ({
      ...fat,
      grams: document.fats[index]!.share == null ? null : tidy(grams[index]!),
    })),
  }
}

/** Turns grams of each fat into shares of their sum. The weights stay what they were. */
export function toShares(document: FormulaDocument): FormulaDocument {
  if (document.size.by !== 'lines') return document
  const grams = fatWeights(document)
  const oils = grams.reduce((sum, value) => sum + value, 0)
  return {
    ...document,
    size: { by: 'oils', grams: oils > 0 ? tidy(oils) : 1000 },
    fats: document.fats.map(({ grams: _, ...fat }, index) => ({
      ...fat,
      share: document.fats[index]!.grams == null || oils === 0 ? null : grams[index]! / oils,
    })),
  }
}

/** A size so many times as large; bars stay whole, a mould is filled further. */
function scaleSize(size: FormulaDocument['size'], factor: number): FormulaDocument['size'] {
  const times = (value: number | null) => (value === null ? null : tidy(value * factor))
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

/** Multiplies the whole formula; shares and rates stay, weights scale. */
export function scaleFormula(document: FormulaDocument, factor: number): FormulaDocument {
  const times = <T extends Measure>(line: T) => scaleMeasure(line, factor, tidy)
  return {
    ...document,
    size: scaleSize(document.size, factor),
    fats: document.fats.map(times),
    additives: document.additives.map(times),
    scents: document.scents.map(times),
    parts: document.parts.map((part) => ({ ...part, additives: part.additives.map(times) })),
  }
}

/**
 * Sizes the formula so that one fat is used up: the rest of a drum, weighed. The other fats follow by their shares; only
 * in a formula by weights, whose lines are what they are, do all of them scale.
 * @param index the fat's line
 * @param grams what is left of it, above 0
 */
export function useUp(
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
  return { ...document, size: { by: 'oils', grams: tidy(grams / perOil) } }
}

/** Says the same water in another way and holds that from now on. */
export function holdWater(
  document: FormulaDocument,
  held: FormulaDocument['water']['held'],
  library: Library,
): FormulaDocument {
  const { water } = computeFormula(document, library)
  if (water.ratio <= 0) return { ...document, water: { held, value: null } }
  return { ...document, water: { held, value: Number(water[held].toFixed(10)) } }
}
