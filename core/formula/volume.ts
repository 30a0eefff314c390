import type { FormulaResult } from '#contracts/result'
import type { Library } from '../materials/library'
import { sumOf } from '../statistics/sum'

/** Density of NaOH solution at 20 °C by mass fraction, g/ml (CRC Handbook); between them linearly. */
const solutionDensity = [
  [0, 0.998],
  [0.1, 1.109],
  [0.2, 1.219],
  [0.25, 1.274],
  [0.3, 1.328],
  [0.4, 1.43],
  [0.5, 1.525],
] as const

/**
 * g/ml of a soda solution at 20 °C; beyond 50 % as at 50 %.
 * @example lyeDensity(0.33) // 1.3586
 */
export function lyeDensity(strength: number): number {
  const upper = solutionDensity.findIndex(([at]) => at >= strength)
  if (upper <= 0) return upper === 0 ? solutionDensity[0][1] : solutionDensity.at(-1)![1]
  const [a, densityA] = solutionDensity[upper - 1]!
  const [b, densityB] = solutionDensity[upper]!
  return densityA + ((strength - a) / (b - a)) * (densityB - densityA)
}

/**
 * Volume of the batter at pour, ml: fats by their melted density, lye and all liquid as one solution, the rest at 1.
 * @example batterMillilitres(made, shipped) // 1415.76
 */
export function batterMillilitres(result: FormulaResult, library: Library): number {
  const fats = sumOf(
    result.fats,
    (fat) => fat.grams / (library.fats.get(fat.id)?.density.value ?? 0.91),
  )
  const solids = sumOf([...result.additives, ...result.scents], (part) => part.grams)
  const dissolved = result.batter - result.oils - solids
  return fats + dissolved / lyeDensity(result.water.strength) + solids
}

/** Pots a workshop has, in litres. */
const pots = [1, 1.5, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 65, 80]

/**
 * The smallest pot in which the batter leaves at least a fifth free for the blender, and how full it is.
 * @example potFor(1500) // { litres: 2, fill: 0.75 }
 */
export function potFor(millilitres: number): { litres: number; fill: number } {
  const litres = pots.find((pot) => millilitres <= pot * 800) ?? Math.ceil(millilitres / 800)
  return { litres, fill: millilitres / (litres * 1000) }
}
