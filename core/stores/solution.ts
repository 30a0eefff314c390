import { clamp } from '../statistics/clamp'

/**
 * g/ml of sodium hydroxide solutions at 20 °C by their strength, as a mass fraction. Handbook values; between them a straight line.
 */
const table: readonly [strength: number, density: number][] = [
  [0, 0.998],
  [0.1, 1.109],
  [0.2, 1.219],
  [0.25, 1.274],
  [0.3, 1.328],
  [0.4, 1.43],
  [0.5, 1.525],
]

/** Between the points of a table, on a straight line; beyond its ends as at the nearest. */
function along(points: readonly (readonly [number, number])[], x: number): number {
  const last = points.length - 1
  const at = clamp(
    points.findIndex(([from]) => from > x),
    1,
    last,
  )
  const upper = x >= points[last]![0] ? last : at
  const [x0, y0] = points[upper - 1]!
  const [x1, y1] = points[upper]!
  return y0 + ((y1 - y0) * (clamp(x, points[0]![0], points[last]![0]) - x0)) / (x1 - x0)
}

/**
 * g/ml of a lye solution at 20 °C.
 * @param strength mass fraction of sodium hydroxide, 0–0.5
 * @example solutionDensity(0.3) // 1.328
 */
export const solutionDensity = (strength: number): number => along(table, strength)

/**
 * The strength that a weighed volume of solution says, as a mass fraction, and how far it may be off.
 * @param cylinder measured in a 100 ml cylinder read to 0.5 ml at 20 ± 3 °C; a kitchen jug tells much less
 * @example strengthOf({ millilitres: 100, grams: 132.8, celsius: 20, cylinder: true }) // { strength: 0.3, within: 0.01 }
 */
export function strengthOf({
  millilitres,
  grams,
  celsius,
  cylinder,
}: {
  millilitres: number
  grams: number
  celsius: number
  cylinder: boolean
}): { strength: number; within: number } {
  const swapped = table.map(([strength, density]) => [density, strength] as const)
  const fine = cylinder && Math.abs(celsius - 20) <= 3
  return {
    strength: along(swapped, grams / millilitres),
    within: fine ? 0.01 : cylinder ? 0.03 : 0.065,
  }
}

/**
 * What a check by volume says of a strength by weight: it agrees, it is weaker, or it cannot be, since what is dissolved and is no
 * lye, carbonate too, weighs as well. It never makes a solution stronger than it was weighed.
 * @example judged({ strength: 0.325, within: 0.01 }, 0.333) // 'agrees'
 */
export function judged(
  { strength, within }: { strength: number; within: number },
  byWeight: number,
): 'agrees' | 'weaker' | 'heavier' {
  if (Math.abs(strength - byWeight) <= within) return 'agrees'
  return strength < byWeight ? 'weaker' : 'heavier'
}
