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

/** A fat as weighed: g, and its saponification value with a standard deviation to each side, mg KOH per g. */
export interface UncertainFat {
  name: string
  grams: number
  sap: number
  below: number
  above: number
}
/** A pure share as it may be, with its standard deviation. */
export interface Purity {
  purity: number
  sigma: number
}
/** An alkali as weighed: g, what its pure share may be, each as likely as the others, and g NaOH that a pure gram counts as. */
export interface UncertainAlkali {
  name: string
  grams: number
  purities: Purity[]
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

/** Purity by the age of the lye: its range is taken as four sigmas wide. */
function purityAt(age: LyeAge): Purity {
  const { low, high } = lyeAges[age]
  return { purity: (low + high) / 2, sigma: (high - low) / 4 }
}
/** A stated purity below this is not what jars of soda hold: it is as likely that the label is wrong about it. */
const statedWeak = 0.98

/** Relative sigmas of a value of one's own without a range, as sure as a certificate, and of the fat in milk (judgement). */
const ownSigma = 0.0025
const milkSigma = 0.01
const evenly = (name: string, grams: number, sap: number, relative: number): UncertainFat => ({
  name,
  grams,
  sap,
  below: sap * relative,
  above: sap * relative,
})

/**
 * What is known, and how well, of every weight that decides the superfat of a formula: saponification values by their
 * published ranges (a certificate narrows its own), lye by its age and what is stated of it, the scale by its resolution.
 * @example uncertaintyOf(example, made, shipped, 1, 'fresh').fats[0].grams // 1000
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
    // Each end of a published range is taken as two sigmas away.
    return sap
      ? {
          name,
          grams,
          sap: sap.typical,
          below: (sap.typical - sap.low) / 2,
          above: (sap.high - sap.typical) / 2,
        }
      : { name, grams, sap: 0, below: 0, above: 0 }
  }
  const lineFats = result.fats.map((fat, index): UncertainFat => {
    const own = document.fats[index]?.sap
    if (own == null) return sapOf(fat.id, fat.grams, fat.name)
    // A value of one's own without a range: as sure as a certificate, half a per cent.
    return evenly(fat.name, fat.grams, own, ownSigma)
  })
  const milk = result.liquids
    .filter(({ fatGrams }) => fatGrams > 0)
    .map(({ id, name, fatGrams }): UncertainFat => {
      const sap = library.liquids.get(id)?.fatSap ?? 0
      return evenly(`fat of ${name}`, fatGrams, sap, milkSigma)
    })
  const extra = result.carriers
    .filter(({ from }) => from === 'extra')
    .map(({ id, grams, name }) => sapOf(id, grams, name))
  const { lye } = result
  const { solutionStrength, naohPurity, kohPurity } = document.alkali
  const alkalis: UncertainAlkali[] = []
  if (lye.solution !== null)
    alkalis.push({
      name: 'Ready-mixed lye',
      grams: lye.solution,
      purities: [{ purity: solutionStrength!, sigma: solutionStrength! * solutionSigma }],
      asNaoh: 1,
    })
  if (lye.naoh > 0)
    alkalis.push({
      name: 'Purity of the lye',
      grams: lye.naoh,
      purities:
        naohPurity < statedWeak && age === 'fresh'
          ? [{ purity: naohPurity, sigma: naohPurity * solutionSigma }, purityAt(age)]
          : [purityAt(age)],
      asNaoh: 1,
    })
  if (lye.koh > 0)
    alkalis.push({
      name: 'Purity of the potash',
      grams: lye.koh,
      purities: [{ purity: kohPurity, sigma: kohPurity * solutionSigma }],
      asNaoh: naohPerKoh,
    })
  return {
    fats: [...lineFats, ...milk, ...extra].filter(({ grams, sap }) => grams > 0 && sap > 0),
    alkalis,
    acids: lye.acidDemand,
    scale,
  }
}
