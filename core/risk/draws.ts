import { naohPerKoh } from '../chemistry/elements'
import { randomSource } from '../statistics/randomSource'
import { sumOf } from '../statistics/sum'
import { likelyPurity } from './closedForm'
import { weighingSigma, type Uncertainty } from './uncertainty'

/** Real superfats of so many batches, and the smallest superfat with which each would not have been lye-heavy. */
export interface Draws {
  superfats: Float64Array
  needed: Float64Array
}

/**
 * Several lots of draws as one.
 * @example joinDraws([drawSuperfats(spread, 100, 1), drawSuperfats(spread, 50, 2)]).superfats.length // 150
 */
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

/** How the values of a batch's fats stray together, and how far out. */
export interface Straying {
  /** Correlation of the fats of one batch, 0–1: one supplier, one harvest, one laboratory. */
  together: number
  /** Whether far-off lots are likelier than a normal distribution has them: a t of 6 degrees, of the same standard deviation. */
  tails: boolean
}
/** As lots of fats stray (judgement). */
export const asLotsStray: Straying = { together: 0.3, tails: true }

/**
 * Draws batches: each fat with a saponification value of its own about its typical one, further to the side to which its range
 * reaches further; each alkali with its purity (never above 1), each weighing with the error of the scale. The same seed gives
 * the same figures.
 * @param count how many batches, 1 or more
 * @param seed a whole number
 * @example drawSuperfats(spread, 100, 1).superfats.length // 100
 */
export function drawSuperfats(
  spread: Uncertainty,
  count: number,
  seed: number,
  { together, tails }: Straying = asLotsStray,
): Draws {
  const { uniform, normal } = randomSource(seed)
  const { fats, alkalis, acids, scale } = spread
  const fatCount = fats.length
  const alkaliCount = alkalis.length
  const grams = Float64Array.from(fats, (fat) => fat.grams)
  const saps = Float64Array.from(fats, (fat) => fat.sap)
  const below = Float64Array.from(fats, (fat) => fat.below)
  const above = Float64Array.from(fats, (fat) => fat.above)
  const common = Math.sqrt(together)
  const alone = Math.sqrt(1 - together)
  // One over the root of χ² over its 6 degrees, by which a normal becomes a t, and over the root of the 6/4 that its variance is.
  const tail = () => Math.sqrt(-2 / Math.log(uniform() * uniform() * uniform()))
  const lyeGrams = Float64Array.from(alkalis, (alkali) => alkali.grams)
  const factors = Float64Array.from(alkalis, (alkali) => alkali.asNaoh)
  const perKoh = naohPerKoh / 1000
  let demandAsPlanned = 0
  for (let i = 0; i < fatCount; i++) demandAsPlanned += grams[i]! * saps[i]! * perKoh
  let alkaliAsPlanned = 0
  for (let i = 0; i < alkaliCount; i++)
    alkaliAsPlanned += lyeGrams[i]! * likelyPurity(alkalis[i]!) * factors[i]!

  const superfats = new Float64Array(count)
  const needed = new Float64Array(count)
  for (let at = 0; at < count; at++) {
    let demand = 0
    const shared = common * normal()
    for (let i = 0; i < fatCount; i++) {
      const weight = grams[i]!
      const weighed = weight + (uniform() - 0.5) * scale + normal() * weight * weighingSigma
      const strays = (shared + alone * normal()) * (tails ? tail() : 1)
      demand += weighed * (saps[i]! + strays * (strays < 0 ? below[i]! : above[i]!))
    }
    demand *= perKoh
    let alkali = 0
    for (let i = 0; i < alkaliCount; i++) {
      const weight = lyeGrams[i]!
      const weighed = weight + (uniform() - 0.5) * scale + normal() * weight * weighingSigma
      const { purities } = alkalis[i]!
      const one = purities[purities.length > 1 ? Math.floor(uniform() * purities.length) : 0]!
      const purity = one.purity + normal() * one.sigma
      alkali += weighed * (purity > 1 ? 1 : purity) * factors[i]!
    }
    superfats[at] = 1 - (alkali - acids) / demand
    // With the planned alkali cut so far that this very batch would just have been free of lye.
    needed[at] = 1 - ((demand + acids) * (alkaliAsPlanned / alkali) - acids) / demandAsPlanned
  }
  return { superfats, needed }
}
