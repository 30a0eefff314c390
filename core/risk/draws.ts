import { naohPerKoh } from '../chemistry/elements'
import { randomSource } from '../statistics/randomSource'
import { weighingSigma, type Uncertainty } from './uncertainty'
import { sumOf } from '../statistics/sum'

/** Real superfats of so many batches, and the smallest superfat with which each would not have been lye-heavy. */
export interface Draws {
  superfats: Float64Array
  needed: Float64Array
}

/** Several lots of draws as one. */
export function joinDraws(lots: Draws[]): Draws {
  const count = sumOf(lots, ({ superfats }) => superfats.length)
  const all = { superfats: new Float64Array(count), needed: new Float64Array(count) }
  let at = 0
  for (const { superfats, needed } of lots) {
    all.superfats.set(superfats, at)
    all.needed.set(needed, at)
    at += superfats.length
  }
  return all
}

/**
 * Draws batches: each fat with a saponification value of its own within its range, each alkali with its purity (never above
 * 1), each weighing with the error of the scale. The same seed gives the same figures.
 * @param count how many batches, 1 or more
 * @param seed a whole number
 */
export function drawSuperfats(spread: Uncertainty, count: number, seed: number): Draws {
  const { uniform, normal } = randomSource(seed)
  const { fats, alkalis, acids, scale } = spread
  const fatCount = fats.length
  const alkaliCount = alkalis.length
  const grams = Float64Array.from(fats, (fat) => fat.grams)
  const saps = Float64Array.from(fats, (fat) => fat.sap)
  const sigmas = Float64Array.from(fats, (fat) => fat.sigma)
  const lyeGrams = Float64Array.from(alkalis, (alkali) => alkali.grams)
  const purities = Float64Array.from(alkalis, (alkali) => alkali.purity)
  const puritySigmas = Float64Array.from(alkalis, (alkali) => alkali.sigma)
  const factors = Float64Array.from(alkalis, (alkali) => alkali.asNaoh)
  const perKoh = naohPerKoh / 1000
  let demandAsPlanned = 0
  for (let i = 0; i < fatCount; i++) demandAsPlanned += grams[i]! * saps[i]! * perKoh
  let alkaliAsPlanned = 0
  for (let i = 0; i < alkaliCount; i++) alkaliAsPlanned += lyeGrams[i]! * purities[i]! * factors[i]!

  const superfats = new Float64Array(count)
  const needed = new Float64Array(count)
  for (let at = 0; at < count; at++) {
    let demand = 0
    for (let i = 0; i < fatCount; i++) {
      const weight = grams[i]!
      const weighed = weight + (uniform() - 0.5) * scale + normal() * weight * weighingSigma
      demand += weighed * (saps[i]! + normal() * sigmas[i]!)
    }
    demand *= perKoh
    let alkali = 0
    for (let i = 0; i < alkaliCount; i++) {
      const weight = lyeGrams[i]!
      const weighed = weight + (uniform() - 0.5) * scale + normal() * weight * weighingSigma
      const purity = purities[i]! + normal() * puritySigmas[i]!
      alkali += weighed * (purity > 1 ? 1 : purity) * factors[i]!
    }
    superfats[at] = 1 - (alkali - acids) / demand
    // With the planned alkali cut so far that this very batch would just have been free of lye.
    needed[at] = 1 - ((demand + acids) * (alkaliAsPlanned / alkali) - acids) / demandAsPlanned
  }
  return { superfats, needed }
}
