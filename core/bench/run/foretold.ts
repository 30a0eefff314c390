import type { Forecast } from '#contracts/batchEvents'
import { byBlender } from '../../formula/method'
import { randomSource } from '../../statistics/randomSource'
import { roundTo } from '../../statistics/roundTo'
import type { PlanContext } from '../plan/context'
import type { Plan } from '../plan/plan'
import { usualMinutes } from './batter'
import type { AfterPlan } from './checks'
import { heatState } from './heatState'
import type { RunState } from './run'

/** Minutes of readings of both vessels after which the meeting is foretold. */
const heard = 5
/** How far stages come sooner or later, as a factor, nine times in ten (judgement, until the workshop's own times say it). */
const stageFactor = 1.6
/** Shares of the batter that reach the mould: some stays in the pot and on the blender (judgement). */
const reaches = { low: 0.96, at: 0.985, high: 1 } as const

/** When lye and oils would meet, as it was said once both had been read for some minutes; none where they were not. */
function meetingForetold(ctx: PlanContext, plan: Plan, state: RunState): Forecast[] {
  const { lye, oils } = state.readings
  const begins = Math.max(lye[0]?.minutes ?? Infinity, oils[0]?.minutes ?? Infinity)
  const combined = state.combined[0]?.minutes ?? Infinity
  const both = [...lye, ...oils].map(({ minutes }) => minutes).sort((a, b) => a - b)
  const now = both.find((minutes) => minutes >= begins + heard && minutes <= combined)
  if (now === undefined) return []
  const until = (list: RunState['readings']['lye']) => list.filter(({ minutes }) => minutes <= now)
  const then = { ...state, readings: { lye: until(lye), oils: until(oils) } }
  const { meeting } = heatState(ctx, plan, then, now, randomSource(1))
  return meeting?.at == null
    ? []
    : [{ what: 'meeting', at: meeting.at, low: meeting.from, high: meeting.to }]
}

/**
 * What the bench foretold of a batch, to be kept beside what became true: °C of the lye jug, minutes on the bench's clock until lye
 * and oils may meet, minutes from there to each stage, hours after the pour in which to unmould, g of batter.
 * @param after what follows the pour
 * @example foretoldAtBench(bench().ctx, bench().plan, bench().state, { after: { unmould: { from: 20, to: 40 } } })[0]
 *   // { what: 'peak', at: 81.88, low: 76.88, high: 86.88 }
 */
export function foretoldAtBench(
  ctx: PlanContext,
  plan: Plan,
  state: RunState,
  { after: { unmould } }: AfterPlan,
): Forecast[] {
  const { batter } = ctx.onScale.result
  const blender = byBlender(ctx.document)
  const stages = Object.entries(usualMinutes(plan.working, blender))
  const { offsets = {} } = ctx.library
  /** What was to be expected before own records moved it. */
  const rawStages: Record<string, number> = usualMinutes(
    plan.working / (offsets.stage?.factor ?? 1),
    blender,
  )
  const all: Forecast[] = [
    {
      what: 'peak',
      at: (plan.peak.low + plan.peak.high) / 2,
      low: plan.peak.low,
      high: plan.peak.high,
    },
    ...meetingForetold(ctx, plan, state),
    ...stages.map(([of, at]): Forecast => ({
      what: 'stage',
      of,
      at,
      low: at / stageFactor,
      high: at * stageFactor,
      ...(offsets.stage ? { raw: rawStages[of]! } : {}),
    })),
    {
      what: 'unmould',
      at: (unmould.from + unmould.to) / 2,
      low: unmould.from,
      high: unmould.to,
      ...(offsets.unmould ? { raw: (unmould.from + unmould.to) / 2 / offsets.unmould.factor } : {}),
    },
    {
      what: 'yield',
      at: batter * reaches.at,
      low: batter * reaches.low,
      high: batter * reaches.high,
    },
  ]
  return all.map((one) => ({
    ...one,
    at: roundTo(one.at, 2),
    low: roundTo(one.low, 2),
    high: roundTo(one.high, 2),
    ...(one.raw === undefined ? {} : { raw: roundTo(one.raw, 2) }),
  }))
}
