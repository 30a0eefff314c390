import type { FormulaDocument } from '#contracts/formula'
import type { KnownScent } from '#contracts/scent'
import type { FormulaResult, Frozen, FrozenMaterial, Remark } from '#contracts/result'
import type { Additive } from '../materials/additives'
import type { Fat } from '../materials/fat'
import type { Library } from '../materials/library'
import type { Liquid } from '../materials/liquids'

/**
 * The ids a document names by kind, pots and dispersing oils included.
 * @example libraryIds(example) // { fats: ['olive'], liquids: [], additives: [] }
 */
export function libraryIds(document: FormulaDocument) {
  const extras = [document, ...document.parts].flatMap(({ additives }) => additives)
  return {
    fats: [
      ...document.fats.map(({ id }) => id),
      ...extras.flatMap(({ carrier }) => (carrier ? [carrier.id] : [])),
    ],
    liquids: document.liquids.map(({ id }) => id),
    additives: extras.map(({ id }) => id),
  }
}

/**
 * Every material that a document names, by id.
 * @example [...materialsUsed(example)] // ['olive']
 */
export const materialsUsed = (document: FormulaDocument): Set<string> =>
  new Set(Object.values(libraryIds(document)).flat())

/** One pot's figures with what figures of earlier days did not name. */
function filledUp(result: FormulaResult): FormulaResult {
  return {
    ...result,
    unknownFats: result.unknownFats ?? [],
    liquids: result.liquids.map((line) => ({ ...line, naohTaken: line.naohTaken ?? 0 })),
    additives: result.additives.map((line) => ({ ...line, fatGrams: line.fatGrams ?? 0 })),
    parts: result.parts.map((part) => ({ ...part, result: filledUp(part.result) })),
  }
}

/**
 * What a batch kept, as today's core reads it: its figures untouched. Its document is in today's version already.
 * @example thaw(frozen).document.version // 2
 */
export function thaw(kept: Frozen): Frozen {
  return {
    ...kept,
    result: filledUp(kept.result),
    remarks: kept.remarks.map((remark) =>
      'mayOverrule' in remark ? { ...remark, overridable: true } : remark,
    ),
  }
}

/**
 * The library as a batch knew it.
 * @example frozenLibrary(frozen).fats.get('olive').sap.typical // 190
 */
export function frozenLibrary(frozen: Frozen): Library {
  const of = <T>(wanted: FrozenMaterial['kind']) =>
    new Map(
      frozen.materials
        .filter(({ kind }) => kind === wanted)
        .map(({ id, name, kind, values }) => [id, { id, name, kind, ...(values as object) } as T]),
    )
  return {
    fats: of<Fat>('fat'),
    liquids: of<Liquid>('liquid'),
    additives: of<Additive>('additive'),
    scents: of<KnownScent>('scent'),
    spoons: frozen.spoons,
    offsets: frozen.offsets,
  }
}

/**
 * Stops that still hold: neither lifted nor, where that is allowed, overruled with a reason.
 * @example openStops([{ id: 'water-below-floor', severity: 'stop' }], {}) // [{ id: 'water-below-floor', severity: 'stop' }]
 */
export function openStops(remarks: Remark[], overruled: Record<string, string>): Remark[] {
  return remarks.filter(
    (remark) => remark.severity === 'stop' && !(remark.overridable && overruled[remark.id]?.trim()),
  )
}
