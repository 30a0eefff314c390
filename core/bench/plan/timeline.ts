import { openJugPeak } from '../../heat/dissolving'
import { minuteAt, usualPower, type Curve } from '../../heat/cooling'
import { meetingOf } from '../../heat/meeting'
import type { PlanContext } from './context'
import { lyeJugOf, lyeJugsOf, usualCooling } from './jug'
import type { Step } from './step'

export interface TimedStep {
  id: string
  /** Minutes from the start. */
  from: number
  to: number
  /** Minutes of waiting before it can begin. */
  waits: number
}

/** °C of fats that are just clear. */
const meltedC = 60
/** Minutes that anybody waits for the air to do it: a vessel that is wanted at almost the room's warmth goes into ice. */
const longestWait = 180

/**
 * When each step comes, if the work goes as usual: in the order of the plan, one pair of hands, the vessels cooling by
 * themselves. The moment of meeting is the model's and moves with the first readings.
 * @example timelineOf(bench().ctx, bench().plan.steps)[0] // { id: 'gate', from: 0, to: 3, waits: 0 }
 */
export function timelineOf(ctx: PlanContext, steps: Step[]): TimedStep[] {
  const { onScale, setup } = ctx
  const { result } = onScale
  const jug = lyeJugOf(lyeJugsOf(ctx))
  const cooling = usualCooling(jug, result)
  const peak = openJugPeak(jug)
  const lye: Curve = {
    from: 0,
    startC: (peak.low + peak.high) / 2,
    perMinute: cooling.lye,
    roomC: setup.roomC,
    power: usualPower,
  }
  const melts = steps.some(({ kind }) => kind === 'melt')
  const oils: Curve = {
    from: 0,
    startC: melts ? meltedC : setup.roomC,
    perMinute: cooling.oils,
    roomC: setup.roomC,
    power: usualPower,
  }
  const until = (curve: Curve, since: number, most: number, now: number) => {
    const at = minuteAt({ ...curve, from: since }, most)
    return Number.isFinite(at) ? Math.max(0, at - now) : 0
  }
  let now = 0
  let lyeSince = 0
  let oilsSince = 0
  return steps.map((step) => {
    let waits = 0
    if (step.kind === 'cool' && step.watch)
      waits = until(
        step.watch.vessel === 'lye' ? lye : oils,
        step.watch.vessel === 'lye' ? lyeSince : oilsSince,
        step.watch.most,
        now,
      )
    if (step.kind === 'meet' && !ctx.meltsByLye) {
      const moment = meetingOf(
        { ...lye, from: lyeSince },
        { ...oils, from: oilsSince },
        ctx.window,
        now,
      )
      waits = moment === null ? until(lye, lyeSince, ctx.window.lye.high, now) : moment - now
    }
    waits = Math.min(waits, longestWait)
    const from = now
    now += waits + step.minutes
    if (step.kind === 'dissolve') lyeSince = now
    if (step.kind === 'melt') oilsSince = now
    return { id: step.id, from, to: now, waits }
  })
}
