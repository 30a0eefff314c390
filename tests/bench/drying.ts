import { randomSource } from '../../core/statistics/randomSource'
import { dryingForecast, dryingPrior, fitDrying } from '../../core/rack/drying'
import { dryDay, leftAfter } from '../../core/rack/dryingModel'

/*
 * How well the dry date is foretold: batches whose loss and pace are drawn from the stated prior, three to five marked bars
 * that differ as the prior says, three to eight weigh-ins in the first weeks, each reading with a noise of 0.2 g. Counted is how
 * often the true day lies in the 90 % band, and how often 97.5 of 100 bars meet the net weight that is said.
 */
const runs = Number(process.argv[2] ?? 300)
const random = randomSource(2026)
let held = 0
const widths: number[] = []
let met = 0
let bars = 0
for (let run = 0; run < runs; run++) {
  const water = 0.22 + random.uniform() * 0.13
  const prior = dryingPrior(water, 90 + random.uniform() * 60, 0.4 + random.uniform() * 0.3)
  const truth = {
    loss: Math.max(0.02, prior.loss + random.normal() * prior.lossSd),
    perDay: prior.perDay * Math.exp(random.normal() * prior.lnPerDaySd),
  }
  const mean = prior.grams * (1 + random.normal() * 0.06)
  const own = () => mean * (1 + random.normal() * prior.spread)
  const marked = Array.from({ length: 3 + Math.floor(random.uniform() * 3) }, own)
  const times = 3 + Math.floor(random.uniform() * 6)
  const last = 10 + random.uniform() * 20
  const weighIns = Array.from(
    { length: times },
    (_, time) => 1 + (last * time) / (times - 1),
  ).flatMap((day) =>
    marked.map((grams, bar) => ({
      day,
      bar,
      grams: grams * leftAfter(truth, day) + random.normal() * 0.2,
    })),
  )
  const drying = fitDrying(prior, weighIns)
  const { dry, netGrams } = dryingForecast(drying, randomSource(run + 1))
  const day = dryDay(truth)
  if (day >= dry.from - 0.5 && day <= dry.to + 0.5) held++
  widths.push(dry.to - dry.from)
  for (let bar = 0; bar < 100; bar++) {
    bars++
    if (own() * (1 - truth.loss) >= netGrams) met++
  }
}
const percent = (share: number) => `${(share * 100).toFixed(1)} %`
widths.sort((a, b) => a - b)
console.log(`Drying, ${runs} batches, 3 to 8 weigh-ins of 3 to 5 bars:`)
console.log(`  the 90 % band of the dry date holds in ${percent(held / runs)} (85 to 95 %)`)
console.log(`  half of the bands are at most ${widths[runs >> 1]} days wide`)
console.log(`  ${percent(met / bars)} of bars meet the net weight that is said (wanted 97.5 %)`)
if (held / runs < 0.85 || held / runs > 0.95) {
  console.error('The drying fit misses its limits.')
  process.exitCode = 1
}
