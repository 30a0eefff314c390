import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { inverse, Matrix } from 'ml-matrix'
import type { RandomSource } from './randomSource'

/** One thing that is known: a reading, or what was to be expected beforehand. */
export interface Observation {
  /** What the parameters say it should be. */
  predict: (parameters: number[]) => number
  value: number
  /** Standard deviation, above 0. */
  sd: number
}

/** What observations leave of the parameters, as a normal distribution. */
export interface Posterior {
  likeliest: number[]
  draw: (random: RandomSource) => number[]
}

/** Step of a parameter by which slopes are taken. */
const step = 1e-5

/** Lower triangle L with L·Lᵀ = the matrix; tiny negative pivots count as 0. */
function lowerRoot(matrix: Matrix): number[][] {
  const size = matrix.rows
  const root = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  for (let i = 0; i < size; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix.get(i, j)
      for (let k = 0; k < j; k++) sum -= root[i]![k]! * root[j]![k]!
      root[i]![j] =
        i === j ? Math.sqrt(Math.max(0, sum)) : root[j]![j]! > 0 ? sum / root[j]![j]! : 0
    }
  return root
}

/**
 * Regularised least squares by Levenberg and Marquardt, in which what is known beforehand counts as further observations; the
 * posterior is taken as normal around the likeliest parameters. Scale parameters so that each is near 1 or a logarithm.
 * @param initial parameters to begin at, one observation at least for each
 * @example
 * fitPosterior([{ predict: ([x]) => x, value: 3, sd: 1 }, { predict: ([x]) => x, value: 5, sd: 1 }], [0]).likeliest
 * // [3.99999]
 */
export function fitPosterior(observations: readonly Observation[], initial: number[]): Posterior {
  // Everything in units of its own standard deviation, so that all weigh the same.
  const residuals = observations.map(
    ({ predict, sd }) =>
      (parameters: number[]) =>
        predict(parameters) / sd,
  )
  const likeliest = levenbergMarquardt(
    { x: residuals.map((_, index) => index), y: observations.map(({ value, sd }) => value / sd) },
    (parameters: number[]) => (x: number) => residuals[x]!(parameters),
    {
      initialValues: initial,
      damping: 1e-2,
      gradientDifference: 1e-4,
      centralDifference: true,
      maxIterations: 60,
      errorTolerance: 1e-9,
    },
  ).parameterValues
  const jacobian = new Matrix(
    residuals.map((predict) =>
      likeliest.map((value, place) => {
        const moved = (by: number) =>
          predict(likeliest.map((other, index) => (index === place ? value + by : other)))
        return (moved(step) - moved(-step)) / (2 * step)
      }),
    ),
  )
  const root = lowerRoot(inverse(jacobian.transpose().mmul(jacobian)))
  return {
    likeliest,
    draw: (random) => {
      const noise = likeliest.map(() => random.normal())
      return likeliest.map(
        (value, row) => value + root[row]!.reduce((sum, part, at) => sum + part * noise[at]!, 0),
      )
    },
  }
}
