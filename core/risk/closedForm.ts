import { naohPerKoh } from '../chemistry/elements'
import { weighingSigma, type UncertainAlkali, type Uncertainty } from './uncertainty'
import { mean, sumOf } from '../statistics/sum'

/** Mean and sigma of the real superfat, and what share of the variance each source has. */
export interface ClosedForm {
  /** Superfat with everything at its likely value. */
  nominal: number
  mean: number
  sigma: number
  /** Largest first; shares sum to 1. */
  sources: { name: string; share: number }[]
}

/** Mean of the part of a standard normal above 0: 1/√(2π). */
const halfNormal = 1 / Math.sqrt(2 * Math.PI)
/** Variance of a weighing: uniform within half the resolution to either side, and a relative error. */
const weighingVariance = (grams: number, scale: number) =>
  scale ** 2 / 12 + (grams * weighingSigma) ** 2

/** Mean and variance of a purity that may be one of several. */
function purityMoments({ purities }: UncertainAlkali): { purity: number; variance: number } {
  const purity = mean(purities.map((one) => one.purity))
  return {
    purity,
    variance: mean(purities.map((one) => one.sigma ** 2 + (one.purity - purity) ** 2)),
  }
}
/**
 * The pure share of an alkali as it is likeliest: the mean of what it may be.
 * @example likelyPurity({ purities: [{ purity: 0.98, sigma: 0.004 }, { purity: 0.94, sigma: 0.01 }] }) // 0.96
 */
export const likelyPurity = (alkali: UncertainAlkali): number => purityMoments(alkali).purity

/** Purity is taken as a plain normal: that it cannot pass 1 is left to the draws. */
function alkaliMoments({ alkalis, scale }: Uncertainty) {
  const parts = alkalis.map((alkali) => {
    const { name, grams, asNaoh } = alkali
    const { purity, variance } = purityMoments(alkali)
    return {
      name,
      mean: grams * purity * asNaoh,
      ofPurity: variance * (grams * asNaoh) ** 2,
      ofWeighing: weighingVariance(grams, scale) * (purity * asNaoh) ** 2,
    }
  })
  return { parts, mean: sumOf(parts, (part) => part.mean) }
}

/**
 * First-order propagation of every error, each by itself and normal on either side, to the superfat `1 − (N − A)/D`, N the alkali and D what the fats take, both as
 * NaOH; the mean to second order: `1 − (N − A)/D · (1 + var D/D²)`. The Monte Carlo figures are held against it.
 * @example closedForm(spread).sigma // 0.0153962
 */
export function closedForm(spread: Uncertainty): ClosedForm {
  const alkali = alkaliMoments(spread)
  const fats = spread.fats.map(({ name, grams, sap, below, above }) => ({
    name,
    mean: (grams * sap * naohPerKoh) / 1000,
    shift: (grams * (above - below) * halfNormal * naohPerKoh) / 1000,
    // Half the time to one side, half to the other, about a mean that lies to the longer one.
    ofValue:
      ((below ** 2 + above ** 2) / 2 - ((above - below) * halfNormal) ** 2) *
      ((grams * naohPerKoh) / 1000) ** 2,
    ofWeighing: weighingVariance(grams, spread.scale) * ((sap * naohPerKoh) / 1000) ** 2,
  }))
  const demand = sumOf(fats, (fat) => fat.mean)
  if (!(demand > 0)) return { nominal: 0, mean: 0, sigma: 0, sources: [] }
  const middle = demand + sumOf(fats, (fat) => fat.shift)
  const net = alkali.mean - spread.acids
  const ofDemand = (net / demand ** 2) ** 2
  const ofAlkali = 1 / demand ** 2
  const variances = [
    ...fats.map((fat) => ({ name: fat.name, variance: fat.ofValue * ofDemand })),
    ...alkali.parts.map((part) => ({ name: part.name, variance: part.ofPurity * ofAlkali })),
    {
      name: 'The scale',
      variance:
        sumOf(fats, (fat) => fat.ofWeighing) * ofDemand +
        sumOf(alkali.parts, (part) => part.ofWeighing) * ofAlkali,
    },
  ]
  const variance = sumOf(variances, (source) => source.variance)
  const demandVariance = sumOf(fats, (fat) => fat.ofValue + fat.ofWeighing)
  return {
    nominal: 1 - net / demand,
    mean: 1 - (net / middle) * (1 + demandVariance / middle ** 2),
    sigma: Math.sqrt(variance),
    sources: variances
      .map(({ name, variance: own }) => ({ name, share: variance > 0 ? own / variance : 0 }))
      .sort((a, b) => b.share - a.share),
  }
}
