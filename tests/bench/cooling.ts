import { fitCooling, usualPrior, type HeatReading } from '../../core/heat/cooling'
import { isIn, meetingRange, windowOf } from '../../core/heat/meeting'
import { randomSource, type RandomSource } from '../../core/statistics/randomSource'

/*
 * How well the meeting of lye and oils is foretold after five minutes of readings each 30 s with Gaussian noise of 0.3 °C, when
 * vessels cool by four laws, of which the fit knows none for certain: Newton's; natural convection; steaming, where vapour takes heat
 * by the difference of its pressures; and a lid, under which it cools by half and with the walls' own heat to give first. Counted are
 * runs in which the vessels do meet; those of which the bench says that they more likely will not are told apart.
 */
const runs = Number(process.argv[2] ?? 300)
const after = 5
const window = windowOf(35, 35, null)
const noiseC = 0.3

/** K a minute that a vessel loses; k is told at 20 K above the room. */
type Law = (celsius: number, roomC: number, k: number) => number
/** hPa of saturated vapour (Magnus). */
const vapour = (celsius: number) => 6.112 * Math.exp((17.62 * celsius) / (243.12 + celsius))
const steams = (celsius: number, roomC: number) =>
  (vapour(celsius) - 0.5 * vapour(roomC)) / (vapour(roomC + 20) - 0.5 * vapour(roomC))
const laws: Record<string, (random: RandomSource) => { lye: Law; oils: Law }> = {
  "Newton's law": () => {
    const law: Law = (celsius, roomC, k) => k * (celsius - roomC)
    return { lye: law, oils: law }
  },
  'natural convection': () => {
    const law: Law = (celsius, roomC, k) =>
      k * (celsius - roomC) * (Math.abs(celsius - roomC) / 20) ** 0.25
    return { lye: law, oils: law }
  },
  // Oils do not steam; lye's vapour pressure is that of water less a third.
  steaming: (random) => {
    const share = 0.15 + 0.2 * random.uniform()
    return {
      lye: (celsius, roomC, k) =>
        k * ((1 - share) * (celsius - roomC) + share * 20 * steams(celsius, roomC) * 0.67),
      oils: (celsius, roomC, k) => k * (celsius - roomC) * (Math.abs(celsius - roomC) / 20) ** 0.25,
    }
  },
  lidded: (random) => {
    const covers = 0.45 + 0.25 * random.uniform()
    const law: Law = (celsius, roomC, k) => covers * k * (celsius - roomC)
    return { lye: law, oils: law }
  },
}
const step = 0.1
/** °C of a vessel by minutes, by a law, its wall lagging behind what it holds. */
function course(law: Law, startC: number, roomC: number, k: number, wall: number): number[] {
  const list = [startC]
  let celsius = startC
  let wallC = startC - 12 * wall
  for (let at = 0; at < 12 * 60; at += step) {
    const toWall = 0.4 * wall * (celsius - wallC)
    celsius -= (law(celsius, roomC, k) + toWall) * step
    wallC += 0.4 * (celsius - wallC) * step
    list.push(celsius)
  }
  return list
}
const percent = (share: number) => `${(share * 100).toFixed(1)} %`.padStart(7)

let missed = false
console.log(`Cooling, ${runs} runs a law, after ${after} minutes of readings each 30 s:`)
for (const [place, [name, lawOf]] of Object.entries(laws).entries()) {
  const random = randomSource(2026 + place)
  const errors: number[] = []
  const widths: number[] = []
  let held = 0
  let doubted = 0
  let total = 0
  for (let run = 0; errors.length < runs; run++) {
    const roomC = 20 + random.normal()
    const { lye, oils } = lawOf(random)
    const sizes = [0.012 + random.uniform() * 0.012, 0.008 + random.uniform() * 0.01]
    const starts = [78 + random.uniform() * 14, 55 + random.uniform() * 15]
    const courses = [lye, oils].map((law, index) =>
      course(
        law,
        starts[index]!,
        roomC,
        sizes[index]! * Math.exp(random.normal() * 0.3),
        name === 'lidded' ? 0.1 * random.uniform() : 0,
      ),
    )
    const at = (index: number, minutes: number) => courses[index]![Math.round(minutes / step)]!
    let truth: number | null = null
    for (let minutes = after; minutes < 11.9 * 60 && truth === null; minutes += step) {
      const [a, b] = [at(0, minutes), at(1, minutes)]
      if (isIn(window.lye, a) && isIn(window.oils, b) && Math.abs(a - b) <= window.apart)
        truth = minutes
    }
    if (truth === null || truth <= after + 1) continue
    const since = performance.now()
    const fit = fitCooling(
      courses.map((_, index) => ({
        perMinute: sizes[index]!,
        readings: Array.from({ length: after * 2 + 1 }, (__, half): HeatReading => ({
          minutes: half / 2,
          celsius: at(index, half / 2) + random.normal() * noiseC,
        })),
      })),
      usualPrior(20),
    )
    const said = meetingRange(fit, window, after, randomSource(run + 1))
    total += performance.now() - since
    if (said.at === null) {
      doubted++
      continue
    }
    errors.push(Math.abs(said.at - truth) / (truth - after))
    widths.push((said.to - said.from) / (truth - after))
    if (truth >= said.from && truth <= said.to) held++
  }
  const middle = (list: number[]) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!
  console.log(
    `  ${name.padEnd(20)} 90 % range holds in ${percent(held / runs)} (85 to 95), median error ${percent(middle(errors))} and width ${percent(middle(widths))} of the time to go; ${doubted} more met though thought unlikely; ${(total / (runs + doubted)).toFixed(0)} ms a fit`,
  )
  if (held / runs < 0.85 || held / runs > 0.95) missed = true
}
if (missed) {
  console.error('The cooling fit misses its limits.')
  process.exitCode = 1
}
