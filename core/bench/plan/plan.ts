import type { FormulaDocument } from '#contracts/formula'
import type { Frozen } from '#contracts/result'
import type { RunSetup } from '#contracts/run'
import type { Tool } from '#contracts/words'
import { barColour, partColour } from '../../batter/colours'
import { frozenLibrary } from '../../formula/frozen'
import { onScale as roundToScale } from '../../formula/onScale'
import { libraryIn } from '../../materials/inUnits'
import { openJugPeak, type LyeJug } from '../../heat/dissolving'
import type { Formatter } from '../../units/formatter'
import { scorchingLiquids } from '../../water/milk'
import { batterSteps, mouldSteps } from './batterSteps'
import { toleranceOf, type PlanContext } from './context'
import { fatSteps, lyeMayMelt } from './fatSteps'
import { lyeJugOf, lyeJugsOf } from './jug'
import { lyeSteps } from './lyeSteps'
import { dividingOf, lyeByPot, potsOf, type Dividing } from './pots'
import { readySteps } from './readySteps'
import { median } from '../../statistics/quantile'
import { sumOf } from '../../statistics/sum'
import type { PotPlan, Step, VesselPlan } from './step'
import { timelineOf, type TimedStep } from './timeline'
import { toolsOf, vesselsOf } from './vessels'
import { planWindow, type PlanWindow } from './window'
import { workingTime } from '../../batter/workingTime'

/** A batch as an ordered list of steps for its own method. */
export interface Plan {
  steps: Step[]
  pots: PotPlan[]
  dividing: Dividing
  vessels: VesselPlan[]
  tools: string[]
  times: TimedStep[]
  /** Minutes from the first step to the last. */
  minutes: number
  window: PlanWindow
  /** One of each pot, or the one for all; and the largest of them. */
  jugs: LyeJug[]
  jug: LyeJug
  peak: { low: number; high: number }
  /** Minutes from emulsion to too thick, by the model. */
  working: number
  /** Both ways of working out the lye agree; without it no lye step shows its number. */
  agrees: boolean
  /** g to which everything was rounded. */
  scale: number
}

/**
 * Everything the plan is made from: a batch's frozen formula, the day's setup, the workshop's scale.
 * @example contextOf(frozen, bench().ctx.setup, 1, say).window // { lye: { low: 32, high: 38 }, oils: { low: 32, high: 38 }, apart: 5, asItIs: null }
 */
export function contextOf(
  frozen: Frozen,
  setup: RunSetup,
  scale: number,
  say: Formatter,
): PlanContext {
  const library = libraryIn(frozenLibrary(frozen), say)
  const document = madeWith(frozen.document, setup.tool)
  const onScale = roundToScale(document, library, scale)
  const scorches = scorchingLiquids(document, library).length > 0
  const pots = potsOf(document, onScale)
  const jugs = lyeJugsOf({ document, onScale, pots, setup })
  return {
    document,
    library,
    onScale,
    pots,
    jugs,
    dividing: dividingOf(document, setup.divide),
    setup,
    say,
    scorches,
    meltsByLye: setup.meltBy === 'lye' && lyeMayMelt({ document, library, onScale, scorches }),
    window: planWindow(document, jugs, scorches ? setup.guardC : null),
  }
}

/** How lye is brought together with oils that is not waited for. */
const meetsAsItIs = ({ document, say, window }: PlanContext, how: 'milk' | 'room'): string =>
  how === 'milk'
    ? `The milk-lye goes in as soon as it is smooth, under ${say.temperature(window.lye.high)}; the oils warm, at about ${say.temperature(document.method.oilsC)}. Together they are warm enough.`
    : `Ready-mixed lye stays as warm as the room: only the oils are brought to it, to about ${say.temperature(document.method.oilsC)}.`

/** A formula made with what is at hand today; as it says where nobody chose. */
const madeWith = (document: FormulaDocument, tool: Tool | null): FormulaDocument =>
  tool === null ? document : { ...document, method: { ...document.method, tool } }

/**
 * The lye jug of a pot, or the one for all.
 * @example jugOf(bench().plan, null).naoh // 128
 */
export const jugOf = ({ jugs }: Pick<Plan, 'jugs'>, pot: number | null): LyeJug =>
  jugs[pot ?? 0] ?? jugs[0]!

/**
 * The step after which there is a lye, of a pot or for all: it is dissolved or thinned, or ready-mixed and weighed.
 * @example lyeMadeBy(bench().plan, null).id // 'dissolve'
 */
export function lyeMadeBy({ steps }: Pick<Plan, 'steps'>, pot: number | null): Step | undefined {
  const own = steps.filter((step) => pot === null || (step.weigh?.pot ?? step.pot ?? pot) === pot)
  return (
    own.find(({ kind }) => kind === 'dissolve') ??
    own.find(({ weigh }) => weigh?.kind === 'solution')
  )
}

function usualSteps(ctx: PlanContext): Step[] {
  const { document, onScale, pots, setup, say } = ctx
  const first: Step[] = [
    {
      id: 'gate',
      kind: 'safety-check',
      says: 'Clear the room, dress',
      short: 'Clear the room, dress',
      how: 'Every point is confirmed before any lye is shown.',
      minutes: 3,
      after: [],
      needed: true,
    },
    {
      id: 'mould',
      kind: 'do',
      says: 'Line or grease the mould, set it level',
      short: 'Line the mould',
      how: 'Now, not when the batter is running away. Lid and cover beside it.',
      minutes: 5,
      after: [],
      needed: false,
    },
    {
      id: 'lay-out',
      kind: 'do',
      says: 'Lay everything out',
      short: 'Lay everything out',
      how: 'Vessels by size, bottles loosened, pots labelled. Smell every fat; look at dates and that there is enough.',
      minutes: 5,
      after: [],
      needed: false,
    },
  ]
  const lye = lyeByPot(document)
    ? pots.flatMap(({ result }, pot) => lyeSteps(ctx, result, pot))
    : lyeSteps(ctx, onScale.result, null)
  const fats = fatSteps(ctx)
  const ready = readySteps(ctx)
  const { method } = document
  const meet: Step = {
    id: 'meet',
    kind: 'meet',
    says: ctx.meltsByLye ? 'Stir until it is one warm, clear liquid' : 'Let the temperatures meet',
    short: ctx.meltsByLye ? 'One warm liquid' : 'Temperatures meet',
    how: ctx.meltsByLye
      ? 'The hot lye is in the fats already; what is left of it goes in now.'
      : !setup.thermometer
        ? 'No thermometer: both vessels warm to the hand, not hot, and alike.'
        : ctx.window.asItIs
          ? meetsAsItIs(ctx, ctx.window.asItIs)
          : `Lye ${say.temperature(method.lyeC)} and oils ${say.temperature(method.oilsC)}, ${say.degreesApart(3)} to either side.`,
    why: 'Far apart or too cold, hard fat sets before there is soap: false trace.',
    minutes: 1,
    after: [...lye, ...fats].map(({ id }) => id),
    needed: true,
    lye: true,
  }
  const rest = batterSteps(ctx, ready)
  // Where the lye has melted the fats the two are one already.
  const again: Step[] = ctx.meltsByLye
    ? []
    : [
        {
          id: 'weigh-again',
          kind: 'check',
          says: lyeByPot(document)
            ? 'Weigh the pan of oils once more'
            : 'Weigh lye jug and pan once more',
          short: 'Weigh once more',
          how: 'Each with its vessel, before lye meets oils: what was forgotten, doubled or swapped shows now.',
          minutes: 1,
          after: ['meet'],
          needed: false,
          lye: true,
        },
      ]
  first.splice(2, 0, ...mouldSteps(ctx, ['mould']))
  return merged(ctx, [...first, ...lye, ...fats, ...ready, meet, ...again, ...rest])
}

/** The same material twice for the same vessel is weighed once. */
function merged({ onScale }: PlanContext, steps: Step[]): Step[] {
  const byId = new Map<string, Step>()
  for (const step of steps) {
    const before = byId.get(step.id)
    if (!before?.weigh || !step.weigh) {
      if (!before) byId.set(step.id, step)
      continue
    }
    const grams = before.weigh.grams + step.weigh.grams
    const tolerance = toleranceOf(before.weigh.kind, grams, onScale.scale)
    byId.set(step.id, { ...before, weigh: { ...before.weigh, grams, tolerance } })
  }
  return [...byId.values()]
}

/**
 * The steps with what the maker changed: own ones put in, some left out, in the maker's order where nothing stands against it.
 * @example arrange([{ id: 'a', after: [], needed: true }, { id: 'b', after: [], needed: true }], { order: ['b', 'a'], leftOut: [], own: [] }).map(({ id }) => id)
 *   // ['b', 'a']
 */
export function arrange(
  steps: Step[],
  { order, leftOut, own }: Pick<RunSetup, 'order' | 'leftOut' | 'own'>,
): Step[] {
  const gone = new Set(leftOut)
  const list = steps.filter(({ id, needed }) => needed || !gone.has(id))
  for (const { id, after, says, minutes } of own) {
    const step: Step = {
      id,
      kind: 'do',
      says,
      short: says,
      how: 'Your own step.',
      minutes,
      after: [],
      needed: false,
    }
    const place = after === null ? -1 : list.findIndex((other) => other.id === after)
    list.splice(after !== null && place < 0 ? list.length : place + 1, 0, step)
  }
  const here = new Set(list.map(({ id }) => id))
  const known = list.map((step) => ({ ...step, after: step.after.filter((id) => here.has(id)) }))
  if (!order.length) return known
  const rank = new Map(order.map((id, index) => [id, index]))
  // A step that the order does not name keeps its place behind the one before it.
  let last = -1
  const wanted = known.map((step) => {
    last = rank.get(step.id) ?? last
    return { step, rank: last }
  })
  const sorted = wanted.sort((a, b) => a.rank - b.rank).map(({ step }) => step)
  return fitting(sorted)
}

/** Steps in the order given, each as early as what it waits for allows. */
function fitting(steps: Step[]): Step[] {
  const done = new Set<string>()
  const left = [...steps]
  const out: Step[] = []
  while (left.length) {
    const next = Math.max(
      0,
      left.findIndex(({ after }) => after.every((id) => done.has(id))),
    )
    const [step] = left.splice(next, 1)
    done.add(step!.id)
    out.push(step!)
  }
  return out
}

/**
 * Whether a step may stand at another place in the list: behind all it waits for, before all that wait for it.
 * @example mayMove([{ id: 'a', after: [] }, { id: 'b', after: ['a'] }], 1, 0) // false
 */
export function mayMove(steps: Step[], from: number, to: number): boolean {
  const step = steps[from]
  if (!step || to < 0 || to >= steps.length || step.kind === 'safety-check') return false
  const moved = steps.filter((_, index) => index !== from)
  moved.splice(to, 0, step)
  const place = new Map(moved.map(({ id }, index) => [id, index]))
  return moved.every(({ id, after }) =>
    after.every((before) => place.get(before)! < place.get(id)!),
  )
}

/** How much sooner than the others a pot may be too thick before it is said to race. */
const racesAt = 0.5

/** What the plan says of each pot. */
function potPlans({ document, library, pots, dividing }: PlanContext, steps: Step[]): PotPlan[] {
  const base = barColour(document, library)
  const workings = pots.map((pot) => workingTime(pot.document, pot.result, library).minutes)
  return pots.map(({ name, share, result }, index) => {
    const part = document.parts[index]
    const working = workings[index]!
    // Of one batter that was divided, the last pot waits while the others are poured.
    const own = steps.filter(
      ({ pot, kind, until }) =>
        (pot === index || (dividing === 'batter' && pot !== undefined && pot < index)) &&
        (kind === 'stir-in' || kind === 'pour' || (kind === 'batter' && until !== 'emulsion')),
    )
    const takes = own.some(({ kind, pot }) => kind === 'pour' && pot === index)
      ? sumOf(own, ({ minutes }) => minutes)
      : null
    return {
      name,
      share,
      colour: part ? partColour(document, part, library) : base,
      batter: result.batter,
      working,
      takes,
      races:
        pots.length > 1 &&
        ((takes !== null && working < takes) || working < median(workings) * racesAt),
    }
  })
}

/**
 * The plan of a batch, for this method, this scale and this day.
 * @example planFor(bench().ctx).steps.length // 16
 */
export function planFor(ctx: PlanContext): Plan {
  const { document, library, onScale } = ctx
  const steps = arrange(usualSteps(ctx), ctx.setup)
  const times = timelineOf(ctx, steps)
  const jug = lyeJugOf(ctx.jugs)
  return {
    steps,
    pots: potPlans(ctx, steps),
    dividing: ctx.dividing,
    vessels: vesselsOf(ctx, steps),
    tools: toolsOf(ctx),
    times,
    minutes: times.at(-1)?.to ?? 0,
    window: ctx.window,
    jugs: ctx.jugs,
    jug,
    peak: openJugPeak(jug),
    working: workingTime(document, onScale.result, library).minutes,
    agrees: onScale.secondOpinion.agrees,
    scale: onScale.scale,
  }
}
