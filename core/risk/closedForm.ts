import { naohPerKoh } from '../chemistry/elements'
import { weighingSigma, type Uncertainty } from './uncertainty'
import { sumOf } from '../statistics/sum'

/** Mean and sigma of the real superfat, and what share of the variance each source has. */
export interface ClosedForm {
  /** Superfat with everything at its likely value. */
  nominal: number
  mean: number
  sigma: number
  /** Largest first; shares sum to 1. */
  sources: { name: string; share: number }[]
}

/** Variance of a weighing: uniform within half the resolution to either side, and a relative error. */
const weighingVariance = (grams: number, scale: number) =>
  scale ** 2 / 12 + (grams * weighingSigma) ** 2

/** Purity is taken as a plain normal: that it cannot pass 1 is left to the draws. */
function alkaliMoments({ alkalis, scale }: Uncertainty) {
  const parts = alkalis.map(({ name, grams, purity, sigma, asNaoh }) => ({
    name,
    mean: grams * purity * asNaoh,
    ofPurity: (grams * sigma * asNaoh) ** 2,
    ofWeighing: weighingVariance(grams, scale) * (purity * asNaoh) ** 2,
  }))
  return { parts, mean: sumOf(parts, (part) => part.mean) }
}

/**
 * First-order propagation of every error to the superfat `1 − (N − A)/D`, N the alkali and D what the fats take, both as
 * NaOH; the mean to second order: `1 − (N − A)/D · (1 + var D/D²)`. The Monte Carlo figures are held against it.
 */
export function closedForm(spread: Uncertainty): ClosedForm {
  const alkali = alkaliMoments(spread)
  const fats = spread.fats.map(({ name, grams, sap, sigma }) => ({
    name,
    mean: (grams * sap * naohPerKoh) / 1000,
    ofValue: ((grams * sigma * naohPerKoh) / 1000) ** 2,
    ofWeighing: weighingVariance(grams, spread.scale) * ((sap * naohPerKoh) / 1000) ** 2,
  }))
  const demand = sumOf(fats, (fat) => fat.mean)
  if (!(demand > 0)) return { nominal: 0, mean: 0, sigma: 0, sources: [] }
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
    mean: 1 - (net / demand) * (1 + demandVariance / demand ** 2),
    sigma: Math.sqrt(variance),
    sources: variances
      .map(({ name, variance: own }) => ({ name, share: variance > 0 ? own / variance : 0 }))
      .sort((a, b) => b.share - a.share),
  }
}
