import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { naohPerKoh } from '../chemistry/elements'
import type { Library } from '../materials/library'

/** How old the lye in the tin is: what its purity may really be. Fractions; a quarter of the range is one sigma. */
export const lyeAges = {
  fresh: { says: 'fresh, sealed', low: 0.98, high: 0.995 },
  old: { says: 'opened long ago', low: 0.94, high: 0.98 },
} as const
export type LyeAge = keyof typeof lyeAges

/** Relative sigma of a ready-mixed solution's strength, and of potash about its stated purity: half a per cent each. */
const solutionSigma = 0.005
/** Relative sigma of every weighing, on top of the scale's resolution. */
export const weighingSigma = 0.0005

/** A fat as weighed: g, and its saponification value with its sigma, mg KOH per g. */
export interface UncertainFat {
  name: string
  grams: number
  sap: number
  sigma: number
}
/** An alkali as weighed: g, pure share with its sigma, and g NaOH that a pure gram counts as. */
export interface UncertainAlkali {
  name: string
  grams: number
  purity: number
  sigma: number
  asNaoh: number
}

/** Everything that decides the real superfat, with how well each is known. */
export interface Uncertainty {
  fats: UncertainFat[]
  alkalis: UncertainAlkali[]
  /** g NaOH that acids take; acids are weighed too, but their error is that of the scale on a few grams. */
  acids: number
  /** g. */
  scale: number
}

/** A published range is taken as four sigmas wide. */
const sigmaOf = (low: number, high: number) => (high - low) / 4

/**
 * What is known, and how well, of every weight that decides the superfat of a formula: saponification values by their
 * published ranges (a certificate narrows its own), lye by its age, the scale by its resolution.
 */
export function uncertaintyOf(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
  scale: number,
  age: LyeAge,
): Uncertainty {
  const sapOf = (id: string, grams: number, name: string): UncertainFat => {
    const sap = library.fats.get(id)?.sap
    return sap
      ? { name, grams, sap: sap.typical, sigma: sigmaOf(sap.low, sap.high) }
      : { name, grams, sap: 0, sigma: 0 }
  }
  const lineFats = result.fats.map((fat, index): UncertainFat => {
    const own = document.fats[index]?.sap
    if (own == null) return sapOf(fat.id, fat.grams, fat.name)
    // A value of one's own without a range: as sure as a certificate, half a per cent.
    return { name: fat.name, grams: fat.grams, sap: own, sigma: own * 0.0025 }
  })
  const milk = result.liquids
    .filter(({ fatGrams }) => fatGrams > 0)
    .map(({ id, name, fatGrams }): UncertainFat => {
      const sap = library.liquids.get(id)?.fatSap ?? 0
      return { name: `fat of ${name}`, grams: fatGrams, sap, sigma: sap * 0.01 }
    })
  const extra = result.carriers
    .filter(({ from }) => from === 'extra')
    .map(({ id, grams, name }) => sapOf(id, grams, name))
  const { low, high } = lyeAges[age]
  const { lye } = result
  const alkalis: UncertainAlkali[] = []
  if (lye.solution !== null)
    alkalis.push({
      name: 'Ready-mixed lye',
      grams: lye.solution,
      purity: document.alkali.solutionStrength!,
      sigma: document.alkali.solutionStrength! * solutionSigma,
      asNaoh: 1,
    })
  if (lye.naoh > 0)
    alkalis.push({
      name: 'Purity of the lye',
      grams: lye.naoh,
      purity: (low + high) / 2,
      sigma: sigmaOf(low, high),
      asNaoh: 1,
    })
  if (lye.koh > 0)
    alkalis.push({
      name: 'Purity of the potash',
      grams: lye.koh,
      purity: document.alkali.kohPurity,
      sigma: document.alkali.kohPurity * solutionSigma,
      asNaoh: naohPerKoh,
    })
  return {
    fats: [...lineFats, ...milk, ...extra].filter(({ grams, sap }) => grams > 0 && sap > 0),
    alkalis,
    acids: lye.acidDemand,
    scale,
  }
}
