import type { Frozen } from '#contracts/result'
import type { RunSetup } from '#contracts/run'
import { contextOf, planFor } from '../bench/plan/plan'
import { sumOf } from '../statistics/sum'
import { formatter } from '../units/formatter'

/**
 * Attended hours that a batch takes at the bench by its plan.
 * @example plannedHours(frozen, bench().ctx.setup) > 0.4 // true
 */
export function plannedHours(frozen: Frozen, setup: RunSetup): number {
  const plan = planFor(contextOf(frozen, setup, 0.1, formatter()))
  return sumOf(plan.steps, ({ minutes }) => minutes) / 60
}
