import type { Fault } from '#contracts/faults'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { pureAlkaliIn } from '../chemistry/alkali'
import type { Library } from '../materials/library'
import { computeFormula, divideOils } from './compute'
import { oilsForSize } from './size'

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
  const water: FormulaDocument['water'] = { held: 'grams', value: waterGrams }
  /** The formula with so many oils and the superfat that makes its lye the given one. */
  const withOils = (oils: number | null) => {
    const sized: FormulaDocument =
      oils === null
        ? { ...document, water }
        : {
            ...document,
            water,
            size: { by: 'lines' },
            fats: document.fats.map(({ share: _, ...line }, index) => ({
              ...line,
              grams: divideOils(document, oils)[index]!,
            })),
          }
    const lyeAt = (superfat: number) =>
      computeFormula({ ...sized, superfat }, library).lye.pureAsNaoh
    const atNone = lyeAt(0)
    const perFat = atNone - lyeAt(1)
    const superfat = perFat > 0 ? (atNone - pure) / perFat : 0
    const settled = { ...sized, superfat }
    return { document: settled, result: computeFormula(settled, library) }
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
    document: { ...document, water, superfat: found.document.superfat },
    result: found.result,
  }
}
