import type { AtBench, BatchEvent } from '#contracts/batch'
import type { Forecast } from '#contracts/batchEvents'
import type { Frozen } from '#contracts/result'
import type { Run, RunEvent } from '#contracts/run'
import { formatter } from '../../units/formatter'
import { asWeighed, potsAsWeighed } from './asWeighed'
import { celsiusAtCombine, stageAtPour } from './batter'
import { afterPlan } from './checks'
import { foretoldAtBench } from './foretold'
import type { Plan } from '../plan/plan'
import { planAsMade } from './lots'
import { runOf, wateredIn, weightsOf, type RunState } from './run'
import { sum } from '../../statistics/sum'
import { roundTo } from '../../statistics/roundTo'

/** Minutes after the lye was dissolved in which a reading may be of its peak. */
const stillHot = 5

/** What came of what the bench had foretold, as far as somebody looked: of the first pot, or of all. */
function cameAtBench(
  plan: Pick<Plan, 'steps'>,
  state: RunState,
): Pick<AtBench, 'peakC' | 'metAt' | 'stages'> {
  const [first] = state.combined
  const dissolved = plan.steps.find(({ kind }) => kind === 'dissolve')?.id
  const doneAt = (dissolved && state.steps.get(dissolved)?.doneAt) || 0
  // Read when it has cooled, a jug says nothing of its peak.
  const read = state.readings.lye
    .filter(({ minutes }) => minutes <= doneAt + stillHot)
    .map(({ celsius }) => celsius)
  const marks = state.marks.filter(({ pot, counted }) => counted && pot === (first?.pot ?? 0))
  return {
    peakC: read.length ? Math.max(...read) : null,
    metAt: first ? roundTo(first.minutes, 1) : null,
    stages: Object.fromEntries(
      first ? marks.map(({ stage, minutes }) => [stage, roundTo(minutes - first.minutes, 1)]) : [],
    ),
  }
}

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
      ...(run.paper ? {} : cameAtBench(plan, state)),
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
