import type { VesselKind } from '#contracts/benchWords'
import {
  celsiusAt,
  fitCooling,
  iceBath,
  usualPrior,
  type Curve,
  type HeatReading,
} from '../../heat/cooling'
import { suspectsWeakLye } from '../../heat/dissolving'
import { adviceFor, meetingRange, type MeetingAdvice, type Meeting } from '../../heat/meeting'
import type { RandomSource } from '../../statistics/randomSource'
import type { PlanContext } from '../plan/context'
import { usualCooling } from '../plan/jug'
import { jugOf, lyeMadeBy, type Plan } from '../plan/plan'
import { readingsOf } from './batter'
import type { RunState } from './run'

/** What the thermometers say of both vessels, and what follows from it. */
export interface HeatState {
  lye: number | null
  oils: number | null
  /** The likeliest curve of each; null before there is anything to fit. */
  curves: Record<VesselKind, Curve | null>
  meeting: Meeting | null
  advice: MeetingAdvice | null
  /** °C of the hottest reading of the lye, where it was read while it peaked; null where nobody looked in time. */
  peak: number | null
  /** It has passed its peak far below what this lye should give. */
  weakLye: boolean
}

/** Readings that a fit needs at most; more only cost time. */
const enough = 60
/** K below the hottest at which a peak counts as passed. */
const passedBy = 1.5
/** Minutes after the lye is in at which even a jug that does not fall has had its peak. */
const peakWithin = 5

/** Readings from the hottest on: what falls can be fitted. */
function falling(readings: HeatReading[], since: number): HeatReading[] {
  const here = readings.filter(({ minutes }) => minutes >= since)
  if (!here.length) return []
  const top = here.reduce(
    (best, one, index) => (one.celsius >= here[best]!.celsius ? index : best),
    0,
  )
  const tail = here.slice(top)
  const every = Math.ceil(tail.length / enough)
  return tail.filter((_, index) => index % every === 0 || index === tail.length - 1)
}

/**
 * The heat of a run at one moment.
 * @param now minutes since the start of the run
 * @param pot whose lye jug, where every pot has one
 * @example heatState(bench().ctx, bench().plan, bench().state, 0, random).peak // null
 */
export function heatState(
  ctx: PlanContext,
  plan: Plan,
  state: RunState,
  now: number,
  random: RandomSource,
  pot: number | null = null,
): HeatState {
  const { treated } = state
  const anew = state.restarted.at(-1)?.minutes ?? -Infinity
  const readings = {
    lye: readingsOf(state, 'lye', pot).filter(({ minutes }) => minutes >= anew),
    oils: state.readings.oils,
  }
  const jug = jugOf(plan, pot)
  const usual = usualCooling(jug, ctx.onScale.result)
  const kinds: VesselKind[] = ['lye', 'oils']
  const dissolved = state.steps.get(lyeMadeBy(plan, pot)?.id ?? '')?.doneAt ?? null
  const vessel = (kind: VesselKind) => ({
    readings: falling(readings[kind], treated[kind].minutes),
    perMinute: usual[kind] * (treated[kind].how === 'ice' ? iceBath.times : 1),
  })
  // Vessels in ice do not share the room: each is fitted by itself.
  const apart = () => {
    const fits = kinds.map((kind) =>
      fitCooling(
        [vessel(kind)],
        usualPrior(treated[kind].how === 'ice' ? iceBath.roomC : ctx.setup.roomC),
      ),
    )
    return {
      curves: fits.map(({ curves }) => curves[0] ?? null),
      draw: (random: RandomSource) => fits.map((fit) => fit.draw(random)[0] ?? null),
    }
  }
  const joint = kinds.some((kind) => treated[kind].how === 'ice')
    ? apart()
    : fitCooling(kinds.map(vessel), usualPrior(ctx.setup.roomC))
  const [lye, oils] = joint.curves
  const last = (kind: VesselKind) => readings[kind].at(-1)?.celsius ?? null
  const melted = plan.steps.every(
    ({ id, kind }) => kind !== 'melt' || state.steps.get(id)?.doneAt != null,
  )
  const meeting =
    lye && oils && dissolved !== null && melted
      ? meetingRange(joint, plan.window, now, random)
      : null
  const celsius = readings.lye.map((reading) => reading.celsius)
  const inTime =
    dissolved === null || readings.lye.some(({ minutes }) => minutes <= dissolved + peakWithin)
  const peak = celsius.length && inTime ? Math.max(...celsius) : null
  const passed =
    peak !== null &&
    dissolved !== null &&
    (peak - (last('lye') ?? peak) > passedBy || now - dissolved > peakWithin)
  return {
    lye: last('lye'),
    oils: last('oils'),
    curves: { lye: lye ?? null, oils: oils ?? null },
    meeting,
    advice: meeting ? adviceFor([lye ?? null, oils ?? null], plan.window, now, meeting) : null,
    peak,
    weakLye: passed && suspectsWeakLye(jug, peak),
  }
}

/**
 * °C of a vessel at a moment by its curve, or by its last reading.
 * @example forecastC(heatState(bench().ctx, bench().plan, bench().state, 0, random), 'lye', 10) // null
 */
export const forecastC = (heat: HeatState, kind: VesselKind, minutes: number): number | null => {
  const curve = heat.curves[kind]
  return curve ? celsiusAt(curve, minutes) : heat[kind]
}
