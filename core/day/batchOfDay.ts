import type { Frozen } from '#contracts/result'
import type { RunSetup } from '#contracts/run'
import type { PlanContext } from '../bench/plan/context'
import { contextOf, planFor, type Plan } from '../bench/plan/plan'
import { lyeByPot } from '../bench/plan/pots'
import type { Step } from '../bench/plan/step'
import { sumOf } from '../statistics/sum'
import type { Formatter } from '../units/formatter'

/** What a batch brings to a day. */
export interface DayBatch {
  id: string
  number: number
  name: string
  /** The mould it goes into, as the workshop calls it; null where nobody says. */
  mould: string | null
  ctx: PlanContext
  plan: Plan
  /** The steps of its plan by the work that they are part of. */
  parts: Parts
}

/** A batch as the day knows it: what it is, how its run is set up, where it goes. */
export interface DayBatchSource {
  id: string
  number: number
  name: string
  mould: string | null
  frozen: Frozen
  setup: RunSetup
  /** Resolution of the scale, g. */
  scale: number
}

/**
 * A batch with its own plan of the bench.
 * @example dayBatch({ id: 'a', number: 36, name: 'Hostel Bar', mould: null, frozen, setup: bench().ctx.setup, scale: 1 }, say).plan.steps.length // 16
 */
export function dayBatch(
  { id, number, name, mould, frozen, setup, scale }: DayBatchSource,
  say: Formatter,
): DayBatch {
  const ctx = contextOf(frozen, setup, scale, say)
  const plan = planFor(ctx)
  return { id, number, name, mould, ctx, plan, parts: partsOf({ ctx, plan }) }
}

/** The work of a batch as a day deals it out. */
export interface Parts {
  gate: Step[]
  lye: Step[]
  /** What is stirred into lye that has cooled, and the weighing of it. */
  lateLye: Step[]
  /** Fats that go into the pan before it is warmed. */
  weigh: Step[]
  /** The plate: melting or warming. */
  melt: Step[]
  /** Mould, table, cups. */
  ready: Step[]
  /** From the last of the oils to a mould that is covered: nobody leaves it. */
  batter: Step[]
  rinse: Step[]
}

const ofLye = /^(lye-jug|lye-cup|koh-cup)/

/**
 * The steps of a batch by the work that they are part of, each in the order of its plan.
 * @example partsOf({ ctx: bench().ctx, plan: bench().plan }).lye.map(({ id }) => id) // ['weigh:water', 'weigh:naoh', 'dissolve']
 */
export function partsOf({ ctx, plan }: Pick<DayBatch, 'ctx' | 'plan'>): Parts {
  const parts: Parts = {
    gate: [],
    lye: [],
    lateLye: [],
    weigh: [],
    melt: [],
    ready: [],
    batter: [],
    rinse: [],
  }
  const meet = plan.steps.findIndex(({ kind }) => kind === 'meet')
  const late = new Set<string>()
  let part: keyof Parts = 'ready'
  plan.steps.forEach((step, nth) => {
    const { id, kind, vessel = '', after } = step
    const waitsForCool = kind === 'cool' && vessel.startsWith('lye-jug')
    if (waitsForCool || after.some((one) => late.has(one)) || vessel.startsWith('milk-jug'))
      if (nth < meet) late.add(id)
    if (kind === 'safety-check') part = 'gate'
    else if (kind === 'rinse') part = 'rinse'
    else if (nth >= meet) part = 'batter'
    else if (late.has(id)) part = 'lateLye'
    else if (kind === 'melt') part = ctx.meltsByLye ? 'batter' : 'melt'
    else if (ofLye.test(vessel)) part = 'lye'
    else if (vessel === 'pan') part = parts.melt.length || kind === 'cool' ? 'batter' : 'weigh'
    // What the maker put in stands where the step before it does.
    else if (!id.startsWith('own:') || part === 'gate') part = 'ready'
    parts[part].push(step)
  })
  return parts
}

/**
 * Minutes with hands on some steps.
 * @example minutesOf(bench().plan.steps.slice(0, 2)) // 8
 */
export const minutesOf = (steps: readonly Pick<Step, 'minutes'>[]): number =>
  sumOf(steps, ({ minutes }) => minutes)

/**
 * Minutes from a batter's emulsion until it is poured, as planned: what its working time must cover.
 * @example pourTakes(bench().plan) // 5
 */
export function pourTakes({ steps }: Pick<Plan, 'steps'>): number {
  const emulsion = steps.findIndex(({ until }) => until === 'emulsion')
  const poured = steps.findLastIndex(({ kind }) => kind === 'pour')
  return minutesOf(steps.slice(emulsion + 1, poured + 1))
}

/** How much sooner a batter may be too thick, nine times in ten, as a factor: as the bench foretells its stages. */
export const mayRunBy = 1.6
/** Minutes of spare working time below which a batter is said to race (judgement). */
const racesUnder = 5

/** How a batter's time compares with what its pour takes. */
export interface Pace {
  /** Minutes from emulsion to too thick, by the model; and as short as it may be nine times in ten. */
  working: number
  low: number
  /** Minutes of it that the plan takes. */
  takes: number
  spare: number
  races: boolean
}

/**
 * @example paceOf(bench().plan).takes // 5
 */
export function paceOf(plan: Plan): Pace {
  const takes = pourTakes(plan)
  const { working } = plan
  return {
    working,
    low: working / mayRunBy,
    takes,
    spare: working - takes,
    races: working - takes < racesUnder || plan.pots.some(({ races }) => races),
  }
}

/** How far the water to lye of two batches may differ to be of one jug, as a share: what rounding to the scale does. */
const sameStrength = 0.01

/** What makes lye of one jug: only water and soda, mixed alike; null where it must be its own. */
function jugOf({ ctx }: DayBatch): { ratio: number; purity: number } | null {
  const { document, onScale, setup } = ctx
  const { lye, water, liquids, additives } = onScale.result
  const inJug = new Set(['water', 'lye', 'cooled-lye'])
  if (
    lyeByPot(document) ||
    ctx.meltsByLye ||
    setup.oilsOntoLye ||
    lye.solution !== null ||
    lye.koh > 0 ||
    !(lye.naoh > 0) ||
    water.ice > 0 ||
    liquids.some(({ moment, grams }) => moment === 'lye' && grams > 0) ||
    additives.some(({ moment, grams }) => inJug.has(moment) && grams > 0)
  )
    return null
  return { ratio: water.weighed / lye.naoh, purity: document.alkali.naohPurity }
}

/**
 * Batches whose lye may be made in one jug: nothing but water and soda, of the same strength. Groups of two and more.
 * @example sharedLye([]) // []
 */
export function sharedLye(batches: readonly DayBatch[]): string[][] {
  const groups: { ratio: number; purity: number; ids: string[] }[] = []
  for (const batch of batches) {
    const own = jugOf(batch)
    if (!own) continue
    const group = groups.find(
      ({ ratio, purity }) =>
        Math.abs(ratio / own.ratio - 1) <= sameStrength && purity === own.purity,
    )
    if (group) group.ids.push(batch.id)
    else groups.push({ ...own, ids: [batch.id] })
  }
  return groups.map(({ ids }) => ids).filter(({ length }) => length > 1)
}
