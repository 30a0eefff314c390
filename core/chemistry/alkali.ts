import { molarMass, naohPerKoh } from './elements'

/** Potash is never sold pure: flakes take up water and carbonate; 90 % is what labels usually say. */
export const usualKohPurity = 0.9

/**
 * g pure NaOH that saponifies 1 g of a fat in full.
 * @param sap saponification value, mg KOH per g
 * @example naohPerGramOfFat(190) // 0.135449
 */
export function naohPerGramOfFat(sap: number): number {
  return (sap / 1000) * naohPerKoh
}

export interface AlkaliChoice {
  /** Share of pure NaOH in the flakes, 0.80–1. */
  naohPurity: number
  /** Share of the moles of alkali that is KOH, 0–1. */
  kohShare: number
  /** Share of pure KOH in the flakes, 0.80–1. */
  kohPurity: number
  /** g pure NaOH per g of a ready-mixed solution, or null when the lye is dry. */
  solutionStrength: number | null
}

export interface Alkali {
  pureNaoh: number
  pureKoh: number
  /** Weighed at the stated purity; 0 when a solution is used. */
  naoh: number
  koh: number
  /** Ready-mixed solution to weigh; null when the lye is dry. */
  solution: number | null
  /** Water that the solution brings. */
  waterInSolution: number
}

/**
 * Splits an alkali demand into what is weighed. All grams.
 * The share of potash divides the moles, acids included; potash is weighed dry even beside a soda solution,
 * and purity does not apply to a solution, whose strength already counts pure NaOH.
 * @param pureAsNaoh demand counted as pure NaOH
 * @example weighAlkali(100, { naohPurity: 0.98, kohShare: 0, kohPurity: 0.9, solutionStrength: null }).naoh // 102.041
 */
export function weighAlkali(pureAsNaoh: number, choice: AlkaliChoice): Alkali {
  const pureNaoh = pureAsNaoh * (1 - choice.kohShare)
  const pureKoh = (pureAsNaoh * choice.kohShare) / naohPerKoh
  const solution = choice.solutionStrength === null ? null : pureNaoh / choice.solutionStrength
  return {
    pureNaoh,
    pureKoh,
    naoh: solution === null ? pureNaoh / choice.naohPurity : 0,
    koh: pureKoh / choice.kohPurity,
    solution,
    waterInSolution: solution === null ? 0 : solution - pureNaoh,
  }
}

/**
 * Pure alkali, counted as g NaOH, in a weighed amount that holds both alkalis in the stated mole share.
 * The inverse of `weighAlkali` when all that is known is one figure on a scale.
 * @param weighed g of everything alkaline that was weighed, solution included
 * @example pureAlkaliIn(100, { naohPurity: 0.98, kohShare: 0, kohPurity: 0.9, solutionStrength: null }) // 98
 */
export function pureAlkaliIn(weighed: number, choice: AlkaliChoice): number {
  const perMole =
    ((1 - choice.kohShare) * molarMass.naoh) / (choice.solutionStrength ?? choice.naohPurity) +
    (choice.kohShare * molarMass.koh) / choice.kohPurity
  return (weighed / perMole) * molarMass.naoh
}
