import { molarMass } from '../chemistry/elements'

/*
 * The heat of a lye jug. Integral heat of solution of solid NaOH at 25 °C, kJ evolved per mol, by mol water per mol NaOH
 * (standard thermochemical tables); below 3 extrapolated. Heat capacities in J/gK, melting in J/g.
 */
const heatOfSolution = [
  [2.2, 22.5],
  [3, 28.89],
  [4, 34.43],
  [5, 37.76],
  [10, 42.51],
  [20, 42.84],
] as const

/** Potash gives off about 57.6 kJ per mol in much water where soda gives 44.5. */
const potashHeat = 57.6 / 44.5
const solidAlkali = 1.49
const waterHeat = 4.18
const iceHeat = 2.1
const melting = 334
/** Sugar, protein and fat of milks and juices. */
const otherHeat = 2
const tableC = 25

/** Slopes at the points such that the cubic between them never overshoots (Fritsch and Carlson). */
function monotoneSlopes(points: readonly (readonly [number, number])[]): number[] {
  const secants = points
    .slice(1)
    .map(([x, y], index) => (y - points[index]![1]) / (x - points[index]![0]))
  const slopes = points.map((_, index) => {
    const before = secants[index - 1]
    const after = secants[index]
    if (before === undefined) return after!
    if (after === undefined) return before
    return before * after <= 0 ? 0 : (before + after) / 2
  })
  secants.forEach((secant, index) => {
    const a = slopes[index]! / secant
    const b = slopes[index + 1]! / secant
    const length = Math.hypot(a, b)
    if (length <= 3) return
    slopes[index] = (3 * a * secant) / length
    slopes[index + 1] = (3 * b * secant) / length
  })
  return slopes
}
const slopes = monotoneSlopes(heatOfSolution)

/**
 * Heat given off when a mol of solid NaOH dissolves, kJ.
 * @param molesOfWater per mol of NaOH; below 2.2 and above 20 as at those ends
 */
export function heatPerMol(molesOfWater: number): number {
  const first = heatOfSolution[0]
  const last = heatOfSolution.at(-1)!
  if (molesOfWater <= first[0]) return first[1]
  if (molesOfWater >= last[0]) return last[1]
  const index = heatOfSolution.findIndex(([x]) => x > molesOfWater) - 1
  const [x0, y0] = heatOfSolution[index]!
  const [x1, y1] = heatOfSolution[index + 1]!
  const width = x1 - x0
  const t = (molesOfWater - x0) / width
  return (
    y0 * (1 + 2 * t) * (1 - t) ** 2 +
    slopes[index]! * width * t * (1 - t) ** 2 +
    y1 * t * t * (3 - 2 * t) +
    slopes[index + 1]! * width * t * t * (t - 1)
  )
}

/** J/gK of a soda solution by strength, 0.25–0.5; outside as at the ends. */
export const solutionHeat = (strength: number): number =>
  waterHeat - 1.9 * Math.min(0.5, Math.max(0.25, strength))

/** What meets in the lye jug. g and °C; pure alkali. */
export interface LyeJug {
  /** Dry soda and potash, pure. */
  naoh: number
  koh: number
  /** Pure soda that comes as a ready-mixed solution, with that solution's own water. */
  readyNaoh: number
  readyWater: number
  /** Liquid water content, and what of it is ice or frozen liquid. */
  water: number
  ice: number
  /** Solids that milk or juice brings. */
  other: number
  /** Of liquids, lye and jug. */
  roomC: number
  iceC: number
  /** J/K of the jug itself; 0 for none. */
  jugHeat: number
}

/** The usual jug: 150 g of PP, 1.9 J/gK. */
export const usualJugHeat = 285

/**
 * °C at which everything dissolved would arrive if no heat were lost: one enthalpy balance about 25 °C.
 * Gives the room's temperature when there is no alkali or no water.
 */
export function peakWithoutLoss(jug: LyeJug): number {
  const fresh = (jug.naoh + (jug.koh * molarMass.naoh) / molarMass.koh) / molarMass.naoh
  const ready = jug.readyNaoh / molarMass.naoh
  const water = jug.water + jug.ice + jug.readyWater
  if (fresh + ready <= 0 || water <= 0) return jug.roomC
  const diluted = heatPerMol(water / molarMass.water / (fresh + ready))
  const asKoh = jug.koh / molarMass.koh
  const evolved = 1000 * (jug.naoh / molarMass.naoh + asKoh * potashHeat) * diluted
  const dilution =
    ready > 0 ? 1000 * ready * (diluted - heatPerMol(jug.readyWater / molarMass.water / ready)) : 0
  const aboveTable = jug.roomC - tableC
  const readyGrams = jug.readyNaoh + jug.readyWater
  const readyHeat = readyGrams > 0 ? readyGrams * solutionHeat(jug.readyNaoh / readyGrams) : 0
  const start =
    ((jug.naoh + jug.koh) * solidAlkali +
      jug.water * waterHeat +
      readyHeat +
      jug.other * otherHeat +
      jug.jugHeat) *
      aboveTable +
    jug.ice * (iceHeat * jug.iceC - melting - waterHeat * tableC)
  const alkali = jug.naoh + jug.koh + jug.readyNaoh
  const capacity =
    (alkali + water) * solutionHeat(alkali / (alkali + water)) + jug.other * otherHeat + jug.jugHeat
  return tableC + (evolved + dilution + start) / capacity
}

/** J/K of what is in the jug once dissolved, the jug included. */
export function jugCapacity(jug: LyeJug): number {
  const alkali = jug.naoh + jug.koh + jug.readyNaoh
  const solution = alkali + jug.water + jug.ice + jug.readyWater
  if (solution <= 0) return jug.jugHeat
  return solution * solutionHeat(alkali / solution) + jug.other * otherHeat + jug.jugHeat
}

/**
 * The range in which the peak of an open jug is to be expected, °C: 10 to 20 K are lost while it is stirred, though never
 * more than a quarter to a half of what it warms. It boils at about 110 °C at these strengths.
 */
export function openJugPeak(jug: LyeJug): { low: number; high: number } {
  const peak = Math.min(118, peakWithoutLoss(jug))
  const rise = Math.max(0, peak - jug.roomC)
  return { low: peak - Math.min(20, rise / 2), high: peak - Math.min(10, rise / 4) }
}

/** A probe's own error and a jug that stands in a draught: this much under the range is still no sign, K. */
const slack = 3

/**
 * Whether a peak lies so far below what this lye should give that the lye is suspected to be weak. It is a sign only: it
 * never raises a weighed amount.
 */
export const suspectsWeakLye = (jug: LyeJug, measuredPeakC: number): boolean =>
  openJugPeak(jug).low - jug.roomC > 8 && measuredPeakC < openJugPeak(jug).low - slack
