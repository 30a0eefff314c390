import type { FormulaDocument } from '#contracts/formula'
import { workingTime } from '../batter/workingTime'
import { computeFormula } from '../formula/compute'
import type { Fat } from '../materials/fat'
import type { Library } from '../materials/library'
import { traitIds, traitsOf, type Traits } from '../character/traits'

/** A fat in place of another, with what the formula then is. */
export interface Substitute {
  fat: Fat
  traits: Traits
  /** g NaOH to weigh, or of solution. */
  lye: number
  minutes: number
  /** Points that the traits move together: root of the sum of squares. */
  apart: number
}

/**
 * The formula with another fat in one line.
 * @example withFat(example, 0, 'rapeseed').fats[0].id // 'rapeseed'
 */
export function withFat(document: FormulaDocument, index: number, id: string): FormulaDocument {
  return {
    ...document,
    fats: document.fats.map((line, place) => {
      if (place !== index) return line
      const { name: _name, sap: _sap, ...rest } = line
      return { ...rest, id }
    }),
  }
}

/**
 * The fats that would change the bar least in place of one line, nearest first; the fat itself leads as what it is now.
 * @example substitutesFor(example, 0, shipped).slice(0, 3).map(({ fat }) => fat.id) // ['olive', 'olive-pomace', 'camellia-seed']
 */
export function substitutesFor(
  document: FormulaDocument,
  index: number,
  library: Library,
): Substitute[] {
  const look = (of: FormulaDocument) => {
    const result = computeFormula(of, library)
    return {
      traits: traitsOf(result, library),
      lye: result.lye.solution ?? result.lye.naoh,
      minutes: workingTime(of, result, library).minutes,
    }
  }
  const now = look(document)
  const taken = new Set(document.fats.map(({ id }) => id))
  const current = library.fats.get(document.fats[index]?.id ?? '')
  const others = [...library.fats.values()]
    .filter(({ id, chemistry }) => !taken.has(id) && chemistry === 'triglyceride')
    .map((fat): Substitute => {
      const then = look(withFat(document, index, fat.id))
      const apart = Math.hypot(...traitIds.map((trait) => then.traits[trait] - now.traits[trait]))
      return { fat, ...then, apart }
    })
    .sort((a, b) => a.apart - b.apart)
  return current ? [{ fat: current, ...now, apart: 0 }, ...others] : others
}
