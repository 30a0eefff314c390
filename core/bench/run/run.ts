import type { BatterStage, LyeFault, Rescue, Treatment, VesselKind } from '#contracts/benchWords'
import type { RunEvent } from '#contracts/run'
import type { FrozenState } from '#contracts/words'
import type { HeatReading } from '../../heat/cooling'
import type { PlanContext } from '../plan/context'
import { asWeighed, goesIntoLye, reallyThere, type AsWeighed } from './asWeighed'
import type { Plan } from '../plan/plan'
import type { Step } from '../plan/step'
import { safetyCheckOf } from './safetyCheck'
import { sum, sumOf } from '../../statistics/sum'
import { roundTo } from '../../statistics/roundTo'
import { standingEvents } from '../../units/standingEvents'

/** What happened at one step. Minutes count from the start of the run. */
export interface StepState {
  /** `assumed`: not on the paper, and taken as planned. */
  scoops: { id: string; grams: number; typed: boolean; assumed: boolean }[]
  grams: number
  doneAt: number | null
  doneBy: string | null
}

export interface Mark {
  id: string
  pot: number
  stage: BatterStage
  minutes: number
  /** Not where it was seen to part afterwards: that was hard fat setting, and no emulsion. */
  counted: boolean
}

/** Where a run stands, worked out from its plan and its events. */
export interface RunState {
  confirmed: Set<string>
  steps: Map<string, StepState>
  /** g wanted where an over-pour changed it. */
  targets: Record<string, number>
  choices: { step: string; choice: 'accept' | 'scale' | 'match'; minutes: number }[]
  /** `pot`: whose lye jug, where every pot has one. */
  readings: Record<VesselKind, (HeatReading & { typed: boolean; pot: number | null })[]>
  /** How each vessel stands, since when. */
  treated: Record<VesselKind, { how: Treatment; minutes: number }>
  /** Spoons of lye that went into milk, by the step; g left in the cup after each, where somebody weighed it. */
  spooned: Record<string, { minutes: number; left: number | null }[]>
  /** How frozen the milk was; as it was planned where nobody said otherwise. */
  frozen: FrozenState | null
  marks: Mark[]
  blended: Record<number, number>
  watered: Record<number, number>
  rescued: { pot: number; how: Rescue; minutes: number }[]
  notes: { id: string; says: string; minutes: number; photo?: string }[]
  /** g that jug and pan weighed once more; null where nobody weighed them. */
  checked: Record<VesselKind, number | null>
  /** Lyes that were thrown away, and when. */
  restarted: { because: LyeFault; minutes: number }[]
  /** For laundry and no skin, whatever the weights say. */
  laundry: boolean
  finished: { minutes: number; day: string; pouredAt: string | null } | null
  /** Ids of done steps in the order in which they were done. */
  order: string[]
  /** When lye and oils met and when a pour was done, in the order in which it was; for all pots at once where `pot` is null. */
  combined: AtPot[]
  poured: AtPot[]
}
interface AtPot {
  pot: number | null
  minutes: number
}

const blank = (): StepState => ({ scoops: [], grams: 0, doneAt: null, doneBy: null })

const scooped = ({ scoops }: StepState) => sumOf(scoops, ({ grams }) => grams)

/**
 * The state of a run. Total and repeatable: an event twice counts once; what concerns a step that is done already, or that
 * the plan does not have, changes nothing; after the end nothing does.
 * @param startedAt instant from which minutes count
 * @example runOf(bench().plan, '2026-03-01T09:00:00Z', []).finished // null
 */
export function runOf(
  plan: Pick<Plan, 'steps'>,
  startedAt: string,
  events: readonly RunEvent[],
): RunState {
  const zero = Date.parse(startedAt)
  const minutesOf = (event: RunEvent) => (Date.parse(event.at) - zero) / 60_000
  const known = new Map(plan.steps.map((step) => [step.id, step]))
  const state: RunState = {
    confirmed: new Set(),
    steps: new Map(),
    targets: {},
    choices: [],
    readings: { lye: [], oils: [] },
    treated: { lye: { how: 'air', minutes: 0 }, oils: { how: 'air', minutes: 0 } },
    spooned: {},
    frozen: null,
    marks: [],
    blended: {},
    watered: {},
    rescued: [],
    notes: [],
    checked: { lye: null, oils: null },
    restarted: [],
    laundry: false,
    finished: null,
    order: [],
    combined: [],
    poured: [],
  }
  const at = (id: string) => {
    if (!state.steps.has(id)) state.steps.set(id, blank())
    return state.steps.get(id)!
  }
  const open = (id: string) => known.has(id) && at(id).doneAt === null
  /** Forgets a step: what was weighed, what was wanted otherwise, that it was done. */
  const anew = (id: string) => {
    state.steps.delete(id)
    const { [id]: _spoons, ...spooned } = state.spooned
    state.spooned = spooned
    state.order = state.order.filter((done) => done !== id)
    const { [id]: _, ...targets } = state.targets
    state.targets = targets
  }
  for (const event of standingEvents(events)) {
    if (state.finished && event.kind !== 'noted') continue
    const minutes = minutesOf(event)
    switch (event.kind) {
      case 'confirmed':
        state.confirmed.add(event.point)
        break
      case 'scooped': {
        if (!open(event.step)) continue
        const step = at(event.step)
        step.scoops.push({
          id: event.id,
          grams: event.grams,
          typed: event.typed,
          assumed: event.assumed ?? false,
        })
        step.grams = scooped(step)
        break
      }
      case 'chose':
        state.choices.push({ step: event.step, choice: event.choice, minutes })
        for (const [id, grams] of Object.entries(event.targets)) {
          if (!known.has(id)) continue
          state.targets[id] = grams
          const step = at(id)
          const tolerance = known.get(id)!.weigh?.tolerance ?? 0
          if (step.doneAt !== null && grams > step.grams + tolerance) {
            step.doneAt = null
            state.order = state.order.filter((done) => done !== id)
          }
        }
        break
      case 'done':
        if (!open(event.step)) continue
        at(event.step).doneAt = minutes
        at(event.step).doneBy = event.id
        state.order.push(event.step)
        break
      case 'read':
        state.readings[event.vessel].push({
          minutes,
          celsius: event.celsius,
          typed: event.typed,
          pot: event.pot ?? null,
        })
        break
      case 'spooned':
        if (!open(event.step)) continue
        state.spooned[event.step] = [
          ...(state.spooned[event.step] ?? []),
          { minutes, left: event.left },
        ]
        break
      case 'chilled':
        state.frozen = event.how
        break
      case 'treated':
        state.treated[event.vessel] = { how: event.how, minutes }
        break
      case 'marked':
        state.marks.push({
          id: event.id,
          pot: event.pot,
          stage: event.stage,
          minutes,
          counted: true,
        })
        break
      case 'blended':
        state.blended[event.pot] = (state.blended[event.pot] ?? 0) + event.seconds
        break
      case 'watered':
        state.watered[event.pot] = (state.watered[event.pot] ?? 0) + event.grams
        break
      case 'rescued':
        state.rescued.push({ pot: event.pot, how: event.how, minutes })
        if (event.how === 'weeps')
          for (const mark of state.marks)
            if (mark.pot === event.pot && mark.stage !== 'cloudy') mark.counted = false
        break
      case 'noted':
        state.notes.push({ id: event.id, says: event.says, minutes, photo: event.photo })
        break
      case 'restarted':
        if (lyeIsInFats(plan, state)) continue
        state.restarted.push({ because: event.because, minutes })
        state.treated.lye = { how: 'air', minutes }
        state.checked.lye = null
        for (const { id, vessel, weigh } of plan.steps)
          if (goesIntoLye(vessel) || (weigh?.kind === 'share' && weigh.id === 'lye')) anew(id)
        break
      case 'checked':
        state.checked[event.vessel] = event.grams
        break
      case 'laundry':
        state.laundry = true
        break
      case 'leftover': {
        const inCup = plan.steps.flatMap((step) =>
          step.vessel === event.vessel && step.weigh ? [at(step.id)] : [],
        )
        const all = sumOf(inCup, (step) => scooped(step))
        if (all <= 0) continue
        const used = Math.max(0, 1 - event.grams / all)
        for (const step of inCup) step.grams = scooped(step) * used
        break
      }
      case 'finished':
        state.finished = { minutes, day: event.pouredDay, pouredAt: event.pouredAt ?? null }
        break
      case 'drove':
      case 'stood':
      case 'took':
        break
    }
  }
  const done = (kind: Step['kind']): AtPot[] =>
    state.order.flatMap((id) => {
      const step = known.get(id)!
      return step.kind === kind
        ? [{ pot: step.pot ?? null, minutes: state.steps.get(id)!.doneAt! }]
        : []
    })
  state.combined = done('combine')
  state.poured = done('pour')
  return state
}

/**
 * Whether a step was done, and not taken back.
 * @example isDone(bench().state, 'weigh:fat:olive') // false
 */
export const isDone = (state: RunState, id: string): boolean => state.steps.get(id)?.doneAt != null

/**
 * The latest thing that can be taken back, with all that was told at the same instant; readings and handing over stay.
 * @example lastTold([{ id: 'a', kind: 'laundry', at: '2026-03-01T09:00:00Z' }]).length // 1
 */
export function lastTold(events: readonly RunEvent[]): RunEvent[] {
  const stays = new Set(['read', 'drove', 'took', 'finished'])
  const told = standingEvents(events).filter(({ kind }) => !stays.has(kind))
  const at = told.at(-1)?.at
  return told.filter((event) => event.at === at)
}

/**
 * The first step that is not done; null when all are.
 * @example nextStep(bench().plan, bench().state).id // 'gate'
 */
export const nextStep = (plan: Plan, state: RunState): Step | null =>
  plan.steps.find(({ id }) => !isDone(state, id)) ?? null

/**
 * What a step still waits for.
 * @example waitsFor(bench().plan, bench().state, bench().step('dissolve')).map(({ id }) => id) // ['gate', 'weigh:water', 'weigh:naoh']
 */
export const waitsFor = (plan: Plan, state: RunState, step: Step): Step[] =>
  plan.steps.filter(({ id }) => step.after.includes(id) && !isDone(state, id))

/**
 * g that were weighed; what is not weighed yet as it is wanted.
 * @example weightsOf(bench().plan, bench().state)(bench().step('weigh:naoh')) // 128
 */
export function weightsOf(plan: Plan, state: RunState): (step: Step) => number {
  return (step) => {
    const told = state.steps.get(step.id)
    return told?.doneAt != null || step.weigh?.kind === 'share'
      ? (told?.grams ?? 0)
      : targetOf(plan, state, step)
  }
}

/**
 * g wanted of a step: as planned, as an over-pour changed it, or its share of what is really there.
 * @example targetOf(bench().plan, bench().state, bench().step('weigh:naoh')) // 128
 */
export function targetOf(plan: Plan, state: RunState, step: Step): number {
  const { weigh } = step
  if (!weigh) return 0
  if (weigh.kind === 'share') {
    // Jug and pan that were weighed once more are what is really there: steam and what stuck to the spoon count.
    const there =
      (weigh.id === 'lye' || weigh.id === 'oils' ? state.checked[weigh.id] : null) ??
      reallyThere(plan, weigh.id, weightsOf(plan, state))
    const grams = Math.floor((there * weigh.share) / plan.scale + 1e-9) * plan.scale
    return roundTo(grams)
  }
  return state.targets[step.id] ?? weigh.grams
}

/**
 * g of warm water that was stirred in, in all pots.
 * @example wateredIn({ watered: { 0: 4, 1: 3 } }) // 7
 */
export const wateredIn = (state: RunState): number => sum(Object.values(state.watered))

/**
 * The batch as weighed so far, the rest as wanted.
 * @param trial a step that is under way, and what it would be if it stopped here
 * @example weighedSoFar(bench().ctx, bench().plan, bench().state).superfat // 0.0549927
 */
export function weighedSoFar(
  ctx: PlanContext,
  plan: Plan,
  state: RunState,
  trial?: { step: string; grams: number },
): AsWeighed {
  const weights = weightsOf(plan, state)
  return asWeighed(
    ctx,
    plan,
    (step) => (trial && step.id === trial.step ? trial.grams : weights(step)),
    wateredIn(state),
  )
}

/**
 * Whether some lye has met some fat: from then on it cannot be made anew.
 * @example lyeIsInFats(bench().plan, bench().state) // false
 */
export const lyeIsInFats = (plan: Pick<Plan, 'steps'>, state: RunState): boolean =>
  plan.steps.some(
    ({ id, kind, lye }) => (kind === 'combine' || (kind === 'melt' && lye)) && isDone(state, id),
  )

/**
 * Whether every point of the safety check is confirmed.
 * @example safetyCheckPassed(bench().ctx, bench().state) // false
 */
export const safetyCheckPassed = (ctx: PlanContext, state: RunState): boolean =>
  safetyCheckOf(ctx.document).every(({ id }) => state.confirmed.has(id))

/**
 * Lye is about: from the first of it that is weighed until everything is rinsed.
 * @example lyeIsAbout(bench().plan, bench().state) // false
 */
export const lyeIsAbout = (plan: Plan, state: RunState): boolean =>
  !isDone(state, 'rinse') &&
  plan.steps.some(({ id, lye }) => lye && (state.steps.get(id)?.scoops.length || isDone(state, id)))
