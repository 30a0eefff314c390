import type { PlanContext } from '../plan/context'
import { asWeighed, type AsWeighed } from './asWeighed'
import type { Plan } from '../plan/plan'
import { isDone, targetOf, wateredIn, weightsOf, type RunState } from './run'
import type { Step } from '../plan/step'
import { comesOutClean } from './weighing'
import { roundTo } from '../../statistics/roundTo'

export interface TopUp {
  step: string
  name: string
  grams: number
}

/** One way to go on after too much went in. */
export interface OverChoice {
  choice: 'take-out' | 'scale' | 'match' | 'accept'
  /** g to spoon out, for taking out. */
  out: number
  /** Whether it comes out cleanly. */
  clean: boolean
  /** g wanted from here on, by step. */
  targets: Record<string, number>
  /** What is weighed already and then wants more. */
  topUps: TopUp[]
  /** The batch that this makes. */
  makes: AsWeighed
}

const inSteps = (grams: number, scale: number, lye: boolean) =>
  roundTo((lye ? Math.floor(grams / scale + 1e-9) : Math.round(grams / scale)) * scale)
const isAlkali = ({ weigh }: Step) =>
  weigh?.kind === 'naoh' || weigh?.kind === 'koh' || weigh?.kind === 'solution'

/**
 * The choices after an over-pour, each worked out: take some out, let the lye follow (where it is not weighed yet and what is
 * over is fat or acid), make the whole batch that much larger, or go on as it is.
 * @param grams g in the vessel
 * @example overPour(bench().ctx, bench().plan, bench().state, bench().step('weigh:fat:olive'), 1100).map(({ choice }) => choice)
 *   // ['take-out', 'match', 'scale', 'accept']
 */
export function overPour(
  ctx: PlanContext,
  plan: Plan,
  state: RunState,
  step: Step,
  grams: number,
): OverChoice[] {
  const target = targetOf(plan, state, step)
  if (!step.weigh || step.weigh.kind === 'share' || target <= 0) return []
  const weights = weightsOf(plan, state)
  const added = wateredIn(state)
  const makes = (targets: Record<string, number>, own = grams) =>
    asWeighed(
      ctx,
      plan,
      (other) => (other.id === step.id ? own : (targets[other.id] ?? weights(other))),
      added,
    )
  const lines = plan.steps.filter(({ weigh }) => weigh && weigh.kind !== 'share')

  const factor = grams / target
  const scaled: Record<string, number> = {}
  const topUps: TopUp[] = []
  for (const line of lines) {
    const wanted =
      line.id === step.id
        ? grams
        : inSteps(targetOf(plan, state, line) * factor, plan.scale, isAlkali(line))
    scaled[line.id] = wanted
    const there = state.steps.get(line.id)?.grams ?? 0
    if (line.id !== step.id && isDone(state, line.id) && wanted > there + line.weigh!.tolerance)
      topUps.push({ step: line.id, name: line.weigh!.name, grams: wanted - there })
  }

  const choices: OverChoice[] = [
    {
      choice: 'take-out',
      out: grams - target,
      clean: comesOutClean(step.weigh),
      targets: {},
      topUps: [],
      makes: makes({}, target),
    },
  ]
  const alkali = lines.filter(isAlkali)
  const eatsLye =
    step.weigh.kind === 'fat' ||
    step.weigh.kind === 'carrier' ||
    (step.weigh.kind === 'additive' && ctx.library.additives.get(step.weigh.id)?.acid)
  if (eatsLye && alkali.length && alkali.every(({ id }) => !isDone(state, id))) {
    const before = asWeighed(ctx, plan, weights, added).superfat
    const targets = matching(
      alkali,
      before,
      (trial) => makes(trial).superfat,
      (line) => targetOf(plan, state, line),
    )
    for (const line of alkali) targets[line.id] = inSteps(targets[line.id]!, plan.scale, true)
    choices.push({
      choice: 'match',
      out: 0,
      clean: true,
      targets,
      topUps: [],
      makes: makes(targets),
    })
  }
  choices.push(
    { choice: 'scale', out: 0, clean: true, targets: scaled, topUps, makes: makes(scaled) },
    { choice: 'accept', out: 0, clean: true, targets: {}, topUps: [], makes: makes({}) },
  )
  return choices
}

/** The lye at which a superfat comes out as wanted: superfat is affine in the lye, so two trials give it. */
function matching(
  alkali: Step[],
  wanted: number,
  superfat: (targets: Record<string, number>) => number,
  now: (step: Step) => number,
): Record<string, number> {
  const at = (factor: number) =>
    Object.fromEntries(alkali.map((line) => [line.id, now(line) * factor]))
  const one = superfat(at(1))
  const slope = superfat(at(2)) - one
  return at(slope === 0 ? 1 : 1 + (wanted - one) / slope)
}
