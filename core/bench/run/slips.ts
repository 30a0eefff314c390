import { openJugPeak, type LyeJug } from '../../heat/dissolving'
import { sumOf } from '../../statistics/sum'
import type { PlanContext } from '../plan/context'
import type { Plan } from '../plan/plan'
import type { Step } from '../plan/step'
import { asWeighed, joins, type Weights } from './asWeighed'

/*
 * What jug and pan weigh once more, before lye meets oils, against what was written down. Where they differ, every single slip that
 * a hand makes is tried: a line forgotten, put in twice, or two lines that took each other's weight. What the jug became warm by is a
 * third witness: it knows a swap that no scale can see.
 */

/** What was seen: g of what is in a vessel, its own weight taken off; null where nobody weighed or read. */
export interface Seen {
  lye: number | null
  oils: number | null
  /** °C of the jug at its hottest. */
  peakC: number | null
}

/** A slip that would explain what was seen. */
export interface Slip {
  kind: 'forgotten' | 'doubled' | 'swapped'
  steps: string[]
  names: string[]
  /** Superfat of the batch if it is so. */
  superfat: number
}

export interface SlipCheck {
  /** g that should be in each, and by how much that may be missed. */
  expected: Record<'lye' | 'oils', { grams: number; low: number; high: number }>
  /** Whether all that was seen is as written. */
  agrees: boolean
  /** What would explain it, the likeliest first; empty where nothing single does. */
  slips: Slip[]
}

/** Share of what is in an open jug that may steam away or stay on a spoon, and of a pan (judgement). */
const lost = { lye: 0.02, oils: 0.005 } as const
/** K by which a peak may miss its range and still be of it. */
const peakSlack = 4

const inVessel = (plan: Plan, vessel: 'lye' | 'oils') =>
  plan.steps.filter((step) => step.weigh && step.weigh.kind !== 'share' && joins(step) === vessel)

/** g in a vessel, and how far a scale and steam may have it otherwise. */
function spanOf(plan: Plan, vessel: 'lye' | 'oils', weights: Weights) {
  const steps = inVessel(plan, vessel)
  const grams = sumOf(steps, weights)
  const scale = plan.scale * Math.sqrt(steps.length + 1)
  const handful = sumOf(steps, ({ weigh }) => weigh!.tolerance) / 2
  return {
    grams,
    low: grams - grams * lost[vessel] - Math.max(scale, handful),
    high: grams + Math.max(scale, handful),
  }
}

/**
 * The lye jug with other weights in it than planned: lye and water as they would be.
 * @example jugWith(bench().ctx, bench().plan, ({ weigh }) => weigh.grams).naoh // 128
 */
export function jugWith(ctx: PlanContext, plan: Plan, weights: Weights): LyeJug {
  const sum = (...kinds: string[]) =>
    sumOf(inVessel(plan, 'lye'), (step) => (kinds.includes(step.weigh!.kind) ? weights(step) : 0))
  const { naohPurity, kohPurity, solutionStrength } = ctx.document.alkali
  const solution = sum('solution')
  return {
    ...plan.jug,
    naoh: sum('naoh') * naohPurity,
    koh: sum('koh') * kohPurity,
    readyNaoh: solution * (solutionStrength ?? 0),
    readyWater: solution * (1 - (solutionStrength ?? 0)),
    water: plan.jug.water - plannedWater(plan) + sum('water'),
    other: plan.jug.other + sum('additive'),
  }
}
const plannedWater = (plan: Plan) =>
  sumOf(plan.steps, ({ weigh }) => (weigh?.kind === 'water' ? weigh.grams : 0))

/** Whether a peak is one that this jug may have; always where heat tells nothing of it. */
function peakFits(jug: LyeJug, peakC: number | null): boolean {
  if (peakC === null || jug.ice > 0 || jug.bySpoon) return true
  const { low, high } = openJugPeak(jug)
  return peakC >= low - peakSlack && peakC <= high + peakSlack
}

/**
 * Compares what was weighed once more with what was written, and finds the single slips that explain it.
 * @param weights g of each step as written
 * @example slipsOf(bench().ctx, bench().plan, ({ weigh }) => weigh.grams, { lye: null, oils: null, peakC: null }).agrees // true
 */
export function slipsOf(ctx: PlanContext, plan: Plan, weights: Weights, seen: Seen): SlipCheck {
  const fits = (trial: Weights) =>
    (['lye', 'oils'] as const).every((vessel) => {
      const grams = seen[vessel]
      if (grams === null) return true
      const { low, high } = spanOf(plan, vessel, trial)
      return grams >= low && grams <= high
    }) && peakFits(jugWith(ctx, plan, trial), seen.peakC)
  const expected = { lye: spanOf(plan, 'lye', weights), oils: spanOf(plan, 'oils', weights) }
  if (fits(weights)) return { expected, agrees: true, slips: [] }
  const lines = [...inVessel(plan, 'lye'), ...inVessel(plan, 'oils')]
  const slip = (kind: Slip['kind'], steps: Step[], trial: Weights): Slip[] =>
    fits(trial)
      ? [
          {
            kind,
            steps: steps.map(({ id }) => id),
            names: steps.map(({ weigh }) => weigh!.name.split(',')[0]!),
            superfat: asWeighed(ctx, plan, trial).superfat,
          },
        ]
      : []
  const other = (changes: Map<string, number>) => (step: Step) =>
    changes.get(step.id) ?? weights(step)
  const single = lines.flatMap((line) => [
    ...slip('forgotten', [line], other(new Map([[line.id, 0]]))),
    ...slip('doubled', [line], other(new Map([[line.id, 2 * weights(line)]]))),
  ])
  const pairs = lines.flatMap((one, at) =>
    lines.slice(at + 1).flatMap((two) =>
      Math.abs(weights(one) - weights(two)) > one.weigh!.tolerance + two.weigh!.tolerance
        ? slip(
            'swapped',
            [one, two],
            other(
              new Map([
                [one.id, weights(two)],
                [two.id, weights(one)],
              ]),
            ),
          )
        : [],
    ),
  )
  return { expected, agrees: false, slips: [...single, ...pairs] }
}
