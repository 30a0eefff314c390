import type { FormulaDocument, MeasuredAmount } from '#contracts/formula'
import type { Library } from '../materials/library'
import { isAmountUnit } from '../units/measures'
import { gramsOfReading, isLyeKind, type LineReading } from './reading'
import { checkFormula } from '../formula/check'
import { byWeights, computeFormula, fatWeights, sumOfShares } from '../formula/compute'
import type { Measure } from '../formula/measure'
import { lyeWeighed } from '../formula/pot'
import { sum } from '../statistics/sum'
import { roundTo } from '../statistics/roundTo'

/*
 * What a typed line does to a formula, as functions from document to document. A doubtful line does nothing: it is asked about
 * first. Words for lye and water set the formula's own figures and never add a line.
 */

/**
 * How much of an extra or scent, as it was said.
 * @example measureOf(readLine('honey 2%', reading), 0.01) // { rate: 0.02, of: 'oils' }
 */
export function measureOf(line: Pick<LineReading, 'amount'>, usualRate: number): Measure {
  const { amount } = line
  if (amount?.kind === 'grams') return { grams: roundTo(amount.grams) }
  if (amount?.kind === 'share') return { rate: roundTo(amount.share), of: amount.of ?? 'oils' }
  if (amount?.kind === 'rate')
    return { amount: { value: roundTo(amount.value), unit: amount.unit, per: amount.per } }
  if (amount?.kind === 'volume') {
    // What a document cannot hold as it is said becomes millilitres.
    const said: MeasuredAmount = isAmountUnit(amount.unit)
      ? { value: roundTo(amount.value), unit: amount.unit, per: null }
      : { value: roundTo(amount.millilitres), unit: 'ml', per: null }
    return { amount: said }
  }
  return { rate: usualRate, of: 'oils' }
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
  fat: { id: string; name?: string; sap?: number | null },
  share: number | null,
  grams: number | null,
  library: Library,
): FormulaDocument {
  const line = { moment: 'pot' as const, inLye: true, ...fat }
  const starts = document.fats.length === 0
  if (document.size.by === 'lines' || (starts && grams !== null)) {
    const others = sum(fatWeights(document))
    const weight =
      grams ?? (share !== null && share < 1 && others > 0 ? (share / (1 - share)) * others : null)
    return {
      ...document,
      size: { by: 'lines' },
      fats: [...document.fats, { ...line, grams: weight === null ? null : roundTo(weight) }],
    }
  }
  const size = sizeOfOils(document, library)
  const part = share ?? (grams !== null && size > 0 ? grams / size : null)
  return {
    ...document,
    fats: [...document.fats, { ...line, share: part === null ? null : roundTo(part) }],
  }
}

/** What 65 g of lye would make of a formula: the superfat its fats then have, as asked for. */
export interface LyeCompared {
  /** g as weighed, at the formula's purity and potash share, or of its solution. */
  grams: number
  /** Superfat of the fats in the lye, to be asked for; and in all. */
  asked: number
  total: number
  /** g of lye that the formula weighs now. */
  now: number
}

/**
 * Compares a typed lye with the formula's own: what superfat it makes with these fats. Null without fats, or for a lye that this
 * formula does not use.
 * @example compareLye(example, readLine('132 g lye', reading), shipped).asked // 0.0254612
 */
export function compareLye(
  document: FormulaDocument,
  reading: LineReading,
  library: Library,
): LyeCompared | null {
  const found = gramsOfReading(reading, library)
  const now = computeFormula(document, library)
  if (!found || !(now.lye.pureAsNaoh > 0)) return null
  const { alkali } = document
  // What was typed, in pure alkali, then in the way this formula weighs its lye.
  const pure = found.grams * (reading.solution ?? reading.purity ?? alkali.naohPurity)
  const grams = pure / (alkali.solutionStrength ?? alkali.naohPurity)
  // Sized by anything but its oils, more lye would leave less room for fats: the fats are meant as they are.
  const fats = now.fats.map(({ grams: weight }) => weight)
  const byLines: FormulaDocument = {
    ...byWeights(document, fats),
    parts: document.parts.map(({ water: _, ...part }) => part),
  }
  const kept = checkFormula(byLines, grams, Math.max(1, now.water.weighed), library)
  if ('faults' in kept) return null
  return {
    grams,
    asked: kept.document.superfat ?? 0,
    total: kept.result.superfat.total,
    now: lyeWeighed(now),
  }
}

/**
 * Whether a reading is taken by one press: nothing of it is open, and it is no lye to compare first.
 * @example isTakeable(readLine('40 g honey', reading)) // true
 */
export const isTakeable = (reading: LineReading): boolean =>
  !reading.doubtful &&
  !isLyeKind(reading.kind) &&
  reading.kind !== 'title' &&
  reading.kind !== 'unknown'

/**
 * The formula with a typed line taken; unchanged when the line is doubtful or adds nothing.
 * @example
 * takeReading(example, readLine('kaolin 2%', { library: shipped, spoons: 'us' }), shipped).additives.map(({ id }) => id)
 * // ['kaolin']
 */
export function takeReading(
  document: FormulaDocument,
  reading: LineReading,
  library: Library,
  more: { sap?: number | null; maxOfBar?: number | null } = {},
): FormulaDocument {
  if (!isTakeable(reading)) return document
  const { amount, proportion, kind } = reading
  const weight = gramsOfReading(reading, library)?.grams ?? null
  const share = amount?.kind === 'share' ? amount.share : null
  switch (kind) {
    case 'superfat':
      return share === null ? document : { ...document, superfat: roundTo(share) }
    case 'ratio':
    case 'water':
      if (proportion)
        return {
          ...document,
          water: { held: proportion.held, value: roundTo(proportion.value, 9) },
        }
      return weight === null
        ? document
        : { ...document, water: { held: 'grams', value: roundTo(weight) } }
    case 'ice':
      if (share !== null) return { ...document, iceShare: roundTo(share), iceGrams: undefined }
      return weight === null ? document : { ...document, iceShare: 0, iceGrams: roundTo(weight) }
    case 'size':
      return weight === null
        ? document
        : { ...document, size: { by: 'oils', grams: roundTo(weight) } }
    case 'fat':
      return addFat(
        document,
        reading.own
          ? { id: reading.id!, name: reading.name, sap: more.sap ?? null }
          : { id: reading.id! },
        share,
        weight,
        library,
      )
    case 'liquid': {
      const liquid = library.liquids.get(reading.id!)!
      const { moment, way } = liquid
      const much = weight !== null ? { grams: roundTo(weight) } : { share: share ?? 0.5 }
      return {
        ...document,
        liquids: [...document.liquids, { id: reading.id!, ...much, moment, way }],
      }
    }
    case 'additive': {
      const usual = library.additives.get(reading.id!)?.usualRate ?? 0.01
      return {
        ...document,
        additives: [
          ...document.additives,
          { id: reading.id!, ...measureOf(reading, usual), carrier: null },
        ],
      }
    }
    case 'scent':
      return {
        ...document,
        scents: [
          ...document.scents,
          {
            id: reading.id!,
            name: reading.name,
            ...measureOf(reading, 0.03),
            moment: 'trace',
            ...(more.maxOfBar == null ? {} : { maxOfBar: more.maxOfBar }),
          },
        ],
      }
    default:
      return document
  }
}
