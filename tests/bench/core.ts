import type { FormulaDocument } from '#contracts/formula'
import { xoroshiro128plus } from 'pure-rand'
import { usualRegions } from '#core/character/regions'
import { traitsOf } from '#core/character/traits'
import { candidatesOf, findFormula } from '#core/finder/find'
import { programme } from '#core/finder/model'
import type { Wish } from '#core/finder/wish'
import { blankFormula } from '#core/formula/blank'
import { computeFormula } from '#core/formula/compute'
import { remarksOn } from '#core/remarks/index'
import { library } from '#core/materials/library'
import { drawSuperfats } from '#core/risk/draws'
import type { Uncertainty } from '#core/risk/uncertainty'
import { formatter } from '#core/units/formatter'
import { highsSolver } from '../support/solver'

/* A formula of 20 lines: 14 fats, 1 milk, 3 extras, 2 scents. Medians over many rounds, after a warm-up. */

const ids = [...library.fats.keys()].slice(0, 14)
const document: FormulaDocument = {
  ...blankFormula('Twenty lines'),
  fats: ids.map((id) => ({ id, share: 1 / ids.length, moment: 'pot', inLye: true })),
  liquids: [{ id: 'goat-milk', share: 0.3, moment: 'oils', way: 'poured' }],
  additives: ['citric-acid-monohydrate', 'sodium-lactate', 'rose-clay'].map((id) => ({
    id,
    rate: 0.01,
    of: 'oils' as const,
    carrier: null,
  })),
  scents: ['fir', 'smoke'].map((id) => ({
    id,
    rate: 0.015,
    of: 'oils' as const,
    moment: 'trace' as const,
    maxOfBar: 0.03,
  })),
}
const say = formatter()

/** Median milliseconds of one call, from rounds of a hundred. */
function median(act: () => unknown, rounds = 301): number {
  for (let warm = 0; warm < 2000; warm++) act()
  const times = Array.from({ length: rounds }, () => {
    const since = performance.now()
    for (let call = 0; call < 100; call++) act()
    return (performance.now() - since) / 100
  })
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!
}

const figures = median(() => computeFormula(document, library))
const whole = median(() => {
  const result = computeFormula(document, library)
  return [traitsOf(result, library), remarksOn(document, result, library, say)]
})
const show = (name: string, ms: number, limit: number) =>
  console.log(
    `${name.padEnd(52)} ${ms.toFixed(4)} ms   (limit ${limit} ms)  ${ms < limit ? 'within' : 'OVER'}`,
  )
show('20-line formula, figures', figures, 0.2)
show('20-line formula, figures, traits and remarks', whole, 1)

/** 200 000 draws for eight fats, against the same arithmetic in a bare loop over typed arrays. */
const drawCount = 200_000
const eight: Uncertainty = {
  fats: [...library.fats.values()].slice(0, 8).map((fat) => ({
    name: fat.name,
    grams: 125,
    sap: fat.sap.typical,
    below: (fat.sap.typical - fat.sap.low) / 2,
    above: (fat.sap.high - fat.sap.typical) / 2,
  })),
  alkalis: [{ name: 'lye', grams: 138, purities: [{ purity: 0.9875, sigma: 0.00375 }], asNaoh: 1 }],
  acids: 0,
  scale: 0.1,
}
function bare(): number {
  const generator = xoroshiro128plus(1)
  const uniform = () => (generator.unsafeNext() >>> 0) / 4294967296
  let spare = Number.NaN
  const normal = () => {
    if (!Number.isNaN(spare)) {
      const value = spare
      spare = Number.NaN
      return value
    }
    let a: number, b: number, square: number
    do {
      a = uniform() * 2 - 1
      b = uniform() * 2 - 1
      square = a * a + b * b
    } while (square >= 1 || square === 0)
    const factor = Math.sqrt((-2 * Math.log(square)) / square)
    spare = b * factor
    return a * factor
  }
  const saps = Float64Array.from(eight.fats, ({ sap }) => sap)
  const below = Float64Array.from(eight.fats, (fat) => fat.below)
  const above = Float64Array.from(eight.fats, (fat) => fat.above)
  const out = new Float64Array(drawCount)
  for (let at = 0; at < drawCount; at++) {
    let demand = 0
    const shared = Math.sqrt(0.3) * normal()
    for (let fat = 0; fat < 8; fat++) {
      const strays =
        (shared + Math.sqrt(0.7) * normal()) *
        Math.sqrt(-2 / Math.log(uniform() * uniform() * uniform()))
      demand +=
        (125 + (uniform() - 0.5) * 0.1 + normal() * 125 * 0.0005) *
        (saps[fat]! + strays * (strays < 0 ? below[fat]! : above[fat]!))
    }
    const weighed = 138 + (uniform() - 0.5) * 0.1 + normal() * 138 * 0.0005
    out[at] = 1 - (weighed * (0.9875 + normal() * 0.00375)) / (demand * 0.000712888)
  }
  return out[drawCount - 1]!
}
function once(act: () => unknown, rounds = 7): number {
  act()
  const times = Array.from({ length: rounds }, () => {
    const since = performance.now()
    act()
    return performance.now() - since
  })
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!
}
const loop = once(bare)
const drawn = once(() => drawSuperfats(eight, drawCount, 1))
show(`200 000 lye-risk draws, eight fats (bare loop ${loop.toFixed(0)} ms)`, drawn, 3 * loop)

/** Sixty fats, at most six of them, all seven regions. */
const solve = await highsSolver()
const wish: Wish = {
  choices: [...library.fats.values()]
    .filter(({ chemistry }) => chemistry === 'triglyceride')
    .slice(0, 60)
    .map(({ id }, index) => ({ id, least: 0, most: 0.6, price: 200 + ((index * 37) % 900) })),
  regions: usualRegions.body,
  exclude: [],
  atMost: 6,
  superfat: 0.05,
  keeper: false,
  aim: 'nearest',
}
const candidates = candidatesOf(wish, library)
show(
  'finder, best of 60 fats, six at most, seven bands',
  once(() => solve(programme(wish, candidates)), 3),
  2000,
)
show(
  'finder, with its runner-ups',
  once(() => findFormula(wish, library, solve), 1),
  8000,
)
