import type { BatchEvent } from '#contracts/batch'
import type { Forecast } from '#contracts/batchEvents'
import type { Frozen } from '#contracts/result'
import type { Run, RunEvent } from '#contracts/run'
import { formatter } from '../../units/formatter'
import { asWeighed, potsAsWeighed } from './asWeighed'
import { celsiusAtCombine, stageAtPour } from './batter'
import { afterPlan } from './checks'
import { foretoldAtBench } from './foretold'
import { planAsMade } from './lots'
import { runOf, wateredIn, weightsOf } from './run'
import { sum } from '../../statistics/sum'
import { roundTo } from '../../statistics/roundTo'

/**
 * What a finished run makes of its batch: poured on its day, as it is by the weights, with the checks that follow from when it
 * was poured and how warm; and what the bench had foretold of it. Null while the run has not ended.
 * @example pouredBy(frozen, { setup: bench().ctx.setup, scale: 1, startedAt: '2026-03-01T09:00:00Z' }, []) // null
 */
export function pouredBy(
  frozen: Frozen,
  run: Pick<Run, 'setup' | 'scale' | 'startedAt'> & Partial<Pick<Run, 'paper'>>,
  events: RunEvent[],
): { poured: Omit<Extract<BatchEvent, { kind: 'poured' }>, 'id'>; forecasts: Forecast[] } | null {
  const { ctx, plan } = planAsMade(frozen, run, events, formatter({ scale: run.scale }))
  const state = runOf(plan, run.startedAt, events)
  if (!state.finished) return null
  const minutes = state.poured.at(-1)?.minutes ?? state.finished.minutes
  const combined = state.combined[0]?.minutes
  const byClock = new Date(Date.parse(run.startedAt) + minutes * 60_000).toISOString()
  // Paper has no clock: its hour is what was written on it, and where nobody wrote one nothing is due by the hour.
  const pouredAt = state.finished.pouredAt ?? (run.paper ? null : byClock)
  const after = afterPlan(ctx, state, pouredAt ?? byClock)
  const poured = {
    kind: 'poured' as const,
    day: state.finished.day,
    made: asWeighed(ctx, plan, weightsOf(plan, state), wateredIn(state)),
    ...(state.laundry ? { laundry: true } : {}),
    ...(pouredAt ? { checks: after.checks, pouredAt } : {}),
    bench: {
      lyeC: celsiusAtCombine(state, 'lye'),
      oilsC: celsiusAtCombine(state, 'oils'),
      stage: stageAtPour(state),
      // The clock of a paper batch is the plan's.
      minutes: combined === undefined || run.paper ? null : roundTo(minutes - combined, 1),
      blenderSeconds: Math.round(sum(Object.values(state.blended))),
      watered: wateredIn(state),
      tool: ctx.document.method.tool,
      notes: state.notes.map(({ says }) => says),
      assumed: plan.steps.flatMap(({ id, weigh }) =>
        weigh && state.steps.get(id)?.scoops.some(({ assumed }) => assumed) ? [weigh.name] : [],
      ),
      ...(plan.pots.length > 1
        ? {
            pots: potsAsWeighed(ctx, plan, weightsOf(plan, state), state.watered).map(
              ({ name, superfat, ratio }, pot) => ({
                name,
                superfat,
                ratio,
                watered: state.watered[pot] ?? 0,
                lyeC: celsiusAtCombine(state, 'lye', pot),
              }),
            ),
          }
        : {}),
    },
  }
  return { poured, forecasts: foretoldAtBench(ctx, plan, state, after) }
}
