import { spoons } from '../../heat/spoons'
import { sumOf } from '../../statistics/sum'
import type { Plan } from '../plan/plan'
import type { Step } from '../plan/step'
import { goesIntoLye } from './asWeighed'
import type { RunState } from './run'

/**
 * g of dry lye that was weighed for the milk of a step, in whose jug it goes by the spoon.
 * @example lyeForMilk(bench().plan, bench().state, bench().step('dissolve')) // 128
 */
export const lyeForMilk = (plan: Plan, state: RunState, { pot = null }: { pot?: number | null }) =>
  sumOf(plan.steps, ({ id, weigh, vessel }) =>
    weigh &&
    (weigh.kind === 'naoh' || weigh.kind === 'koh') &&
    goesIntoLye(vessel) &&
    weigh.pot === pot
      ? (state.steps.get(id)?.grams ?? weigh.grams)
      : 0,
  )

/**
 * g of it that are left in the cup: as weighed last, and a tenth of the whole less for each spoon since.
 * @param count after how many spoons; all that were told where none is said
 * @example lyeInCup(bench().plan, bench().state, bench().step('dissolve')) // 128
 */
export function lyeInCup(
  plan: Plan,
  state: RunState,
  step: Pick<Step, 'id' | 'pot'>,
  count = Infinity,
): number {
  const whole = lyeForMilk(plan, state, step)
  const told = (state.spooned[step.id] ?? []).slice(0, count)
  const known = told.findLastIndex(({ left }) => left !== null)
  const from = known < 0 ? whole : told[known]!.left!
  return Math.max(0, from - ((told.length - known - 1) * whole) / spoons)
}
