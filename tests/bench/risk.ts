import { demoFormulas } from '../../demo/formulas'
import { demoLibrary as library } from '../../demo/materials'
import { computeFormula } from '../../core/formula/compute'
import { closedForm } from '../../core/risk/closedForm'
import { drawSuperfats } from '../../core/risk/draws'
import { lyeRisk } from '../../core/risk/lyeRisk'
import { uncertaintyOf, type Uncertainty } from '../../core/risk/uncertainty'
import { naohPerKoh } from '../../core/chemistry/elements'
import { randomSource, type RandomSource } from '../../core/statistics/randomSource'

/*
 * How often lye is really left over at the superfat that Mantle tells for 1 in 100, when lots stray otherwise than it draws them:
 * evenly over their whole range; by triangles; all of one laboratory that measures low, on top of lots of their own; and now and
 * then a lot from outside its range. Over the formulas of the demo workshop.
 */
const draws = 40_000
type Lots = (random: RandomSource) => (fat: Uncertainty['fats'][number]) => number
/** Ends of the published range lie two deviations away. */
const truths: Record<string, Lots> = {
  'evenly over the range': (random) => (fat) => {
    const at = random.uniform() * 2 - 1
    return fat.sap + (at < 0 ? at * 2 * fat.below : at * 2 * fat.above)
  },
  triangles: (random) => (fat) => {
    const at = random.uniform() + random.uniform() - 1
    return fat.sap + (at < 0 ? at * 2 * fat.below : at * 2 * fat.above)
  },
  'a laboratory that is off': (random) => {
    const laboratory = 1 + random.normal() * 0.006
    return (fat) => {
      const own = random.normal() * 0.8
      return (fat.sap + own * (own < 0 ? fat.below : fat.above)) * laboratory
    }
  },
  'lots from outside': (random) => (fat) => {
    const own = random.normal() * 0.8
    const outside = random.uniform() < 0.02 ? -3 * fat.below : 0
    return fat.sap + own * (own < 0 ? fat.below : fat.above) + outside
  },
}

const chosen = 0.01
/** The most that may be left over in any formula and truth. */
const limit = 0.02
let missed = false
console.log(
  `Lye left over at the superfat told for 1 in 100, ${draws} batches a formula, ${demoFormulas.length} formulas:`,
)
for (const [name, lots] of Object.entries(truths)) {
  const found: number[] = []
  for (const [place, { document }] of demoFormulas.entries()) {
    const result = computeFormula(document, library)
    const spread = uncertaintyOf(document, result, library, 0.1, 'fresh')
    if (!spread.fats.length || !spread.alkalis.length) continue
    const drawn = drawSuperfats(spread, 100_000, 7)
    const { smallest } = lyeRisk(drawn, spread, result.superfat.total, chosen)
    const { nominal } = closedForm(spread)
    // Alkali cut so that the formula has just that superfat, on the footing of the lye's likely purity.
    const factor = (1 - smallest) / (1 - result.superfat.total)
    const random = randomSource(90 + place)
    let heavy = 0
    for (let batch = 0; batch < draws; batch++) {
      const lot = lots(random)
      let demand = 0
      for (const fat of spread.fats) demand += (fat.grams * lot(fat) * naohPerKoh) / 1000
      let alkali = 0
      for (const { grams, purities, asNaoh } of spread.alkalis) {
        const { purity, sigma } = purities[Math.floor(random.uniform() * purities.length)]!
        alkali += grams * Math.min(1, purity + sigma * random.normal()) * asNaoh
      }
      const wanted = (alkali - spread.acids) * factor
      if (wanted > demand) heavy++
    }
    if (Number.isFinite(nominal)) found.push(heavy / draws)
  }
  found.sort((a, b) => a - b)
  const worst = found.at(-1)!
  console.log(
    `  ${name.padEnd(26)} median ${(found[found.length >> 1]! * 100).toFixed(2)} %, worst ${(worst * 100).toFixed(2)} % (limit ${limit * 100} %)`,
  )
  if (worst > limit) missed = true
}
if (missed) {
  console.error('Lye is left over more often than was told.')
  process.exitCode = 1
}
