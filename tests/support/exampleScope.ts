import { labelDesignSchema } from '#contracts/label'
import { labelShopOf, labelWords } from './labelWords'
import { beginDesign } from '#core/label/designs'
import type { LabelKnown } from '#core/label/subject'
import { usualSetup } from '#contracts/benchWords'
import type { NewBatchEvent } from '#contracts/batch'
import type { FormulaDocument } from '#contracts/formula'
import { freeze } from '#core/batch/freeze'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { runOf } from '#core/bench/run/run'
import { regionsFor } from '#core/character/regions'
import { traitsOf } from '#core/character/traits'
import { blankFormula } from '#core/formula/blank'
import { computeFormula } from '#core/formula/compute'
import { heatTakenBy } from '#core/heat/dissolving'
import { library as shipped } from '#core/materials/library'
import { dryingPrior } from '#core/rack/drying/fit'
import { standingOf } from '#core/rack/standing'
import { madeAsPlanned } from '#core/rack/wrong'
import { readRecipe } from '#core/recipe/read'
import { uncertaintyOf } from '#core/risk/uncertainty'
import { randomSource } from '#core/statistics/randomSource'
import { caseOf } from '#core/troubles/case'
import { indexed, timesOf } from '#core/day/times'
import { formatter } from '#core/units/formatter'
import { lineOf } from '#core/words/line'
import { readLine } from '#core/words/reading'
import { batchOf, exponential, told } from './batchOf'
import { lotOf } from './lotOf'
import { highsSolver } from './solver'

/* What the examples that stand with the functions of the core may speak of. */

type Plain = Record<string, unknown>
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const over = (base: Plain, changes: Plain): Plain => ({
  ...base,
  ...Object.fromEntries(
    Object.entries(changes).map(([key, value]) => [
      key,
      isPlain(value) && isPlain(base[key]) ? over(base[key], value) : value,
    ]),
  ),
})

const fats = (shares: Record<string, number>): FormulaDocument['fats'] =>
  Object.entries(shares).map(([id, share]) => ({ id, share, moment: 'pot', inLye: true }))

/** 1000 g of olive oil at 5 % superfat and 2.2 : 1 water to lye. */
const example: FormulaDocument = { ...blankFormula('Salt Flat'), fats: fats({ olive: 1 }) }

/** The same with some of it changed. */
const soap = (changes: Plain): FormulaDocument =>
  over(example as unknown as Plain, changes) as unknown as FormulaDocument

const scent = (name: string, rate: number, more: Plain = {}): Plain => ({
  id: name.toLowerCase(),
  name,
  rate,
  of: 'oils',
  moment: 'trace',
  ...more,
})
const extra = (id: string, rate: number, more: Plain = {}): Plain => ({
  id,
  rate,
  of: 'oils',
  carrier: null,
  ...more,
})
const pot = (name: string, share: number, more: Plain = {}): Plain => ({
  name,
  share,
  scent: true,
  additives: [],
  ...more,
})

const say = formatter()
const made = computeFormula(example, shipped)
const frozen = freeze(example, shipped)
const reading = { library: shipped }

/** A formula as a remark looks at it. */
const subject = (changes: Plain = {}, limits: Plain = { leastFattyMatter: null }): Plain => {
  const document = soap(changes)
  return { document, result: computeFormula(document, shipped), library: shipped, say, limits }
}

/** Minutes after the lye at which its batter usually reaches each stage. */
const usually = { cloudy: 0.3, emulsion: 1.5, light: 8, medium: 15, thick: 24, 'too-far': 28 }

/** A day at the bench: a formula planned on a scale that shows 1 g, and what was told of it by 12:00. */
const bench = (changes: Plain = {}, setup: Plain = {}, events: Plain[] = []): Plain => {
  const ctx = contextOf(
    freeze(soap(changes), shipped),
    { ...usualSetup, ...setup } as typeof usualSetup,
    1,
    say,
  )
  const plan = planFor(ctx)
  const state = runOf(plan, '2026-03-01T09:00:00Z', events as never)
  const about = { ctx, plan, usually, lyeC: 35, oilsC: 35, pot: null }
  return { ctx, plan, state, about, step: (id: string) => plan.steps.find((one) => one.id === id) }
}

/** A batch poured on 1 March, twelve bars of olive and coconut, with what happened since. */
const batch = (...events: NewBatchEvent[]) => batchOf(events.map(told))

/** Poured on 1 March and cut the day after. */
const cut: NewBatchEvent[] = [
  { kind: 'poured', day: '2026-03-01' },
  { kind: 'cut', day: '2026-03-02', bars: 12 },
]

/** A batch that is to be labelled, and all that its label goes by. */
const labelBatch = { ...batch(...cut), id: 'hostel-41', name: 'Hostel Bar', number: 41 }
const labelShop = labelShopOf()
const labelKnown: LabelKnown = {
  shop: labelShop,
  scents: new Map(),
  batch: (id) => (id === labelBatch.id ? labelBatch : null),
  gift: () => null,
  soap: () => null,
}

export const exampleScope: Record<string, unknown> = {
  labelBatch,
  labelShop,
  labelKnown,
  example,
  made,
  shipped,
  say,
  soap,
  fats,
  scent,
  extra,
  pot,
  frozen,
  madeAsPlanned,
  subject,
  bench,
  // A formula of three fats to find, for a body bar: 20 to 60 % of each, at a price a kilogram.
  wish: {
    choices: ['olive', 'coconut', 'shea'].map((id) => ({ id, least: 0.2, most: 0.6, price: 600 })),
    regions: regionsFor('body'),
    exclude: [],
    atMost: null,
    superfat: 0.05,
    keeper: false,
    aim: 'nearest',
  },
  solve: await highsSolver(),
  lot: lotOf,
  // Nothing but what is in the bars.
  costing: {
    hourly: 0,
    hours: null,
    overhead: { cost: 0, per: 'batch' },
    uses: [],
    keep: 0.6,
    tiedUp: 0,
    outlets: [],
  },
  body: regionsFor('body'),
  traits: traitsOf(made, shipped),
  castor: shipped.fats.get('castor'),
  spread: uncertaintyOf(example, made, shipped, 1, 'fresh'),
  prior: dryingPrior(0.25, 110, 0.5),
  // Half of what a bar loses, 16 % of it, is gone after ten days.
  shape: exponential(0.16, Math.LN2 / 10),
  told,
  batch,
  cut: batch(...cut),
  standing: standingOf(batch(...cut), '2026-03-15'),
  // Its case of trouble, ten days after the pour.
  trouble: caseOf(batch(...cut), '2026-03-11', 0.5, say),
  reading,
  line: (text: string) => lineOf(text, reading),
  recipe: (text: string) => readRecipe(text, reading),
  // 136 g of soda in 272 g of water, in 150 g of plastic.
  jug: {
    naoh: 136,
    koh: 0,
    readyNaoh: 0,
    readyWater: 0,
    water: 272,
    ice: 0,
    other: 0,
    roomC: 20,
    iceC: 0,
    jugHeat: heatTakenBy({ grams: 150, stuff: 'plastic' }),
  },
  // 60 °C at first, 2 % of what is above the room's 20 °C lost a minute; combined at 32 to 38 °C, 5 K apart.
  curve: { from: 0, startC: 60, perMinute: 0.02, roomC: 20 },
  window: { lye: { low: 32, high: 38 }, oils: { low: 32, high: 38 }, apart: 5 },
  labelDesign: labelDesignSchema.parse(beginDesign('rectangle', 'Rectangle')),
  labelWords,
  random: randomSource(1),
  dayThings: {
    scales: 1,
    thermometers: 2,
    plates: 2,
    iceBaths: 1,
    blenders: 1,
    warmPlaces: 2,
    coolPlaces: 2,
    vessels: [],
  },
  indexed,
  timesOf,
  // Two pieces of work of a day, the second after the first, one pair of hands.
  twoTasks: {
    tasks: [
      { id: 'a', kind: 'lye', batches: ['36'], steps: [], minutes: 5, quiet: 0 },
      { id: 'b', kind: 'batter', batches: ['36'], steps: [], minutes: 10, quiet: 0 },
    ],
    people: [{ name: 'Idris', from: 0, until: null, pace: {} }],
    lags: [{ from: 'a', to: 'b', least: 0, most: null, of: 'order' }],
    holds: [],
    things: {},
  },
  effort: { first: 400, chains: 20, rounds: 64, kept: 8 },
  blankFormula,
  computeFormula,
  readLine,
  readRecipe,
}
