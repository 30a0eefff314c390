import { celsiusAt, minuteAt, usualPower, type Curve } from '../heat/cooling'
import { openJugPeak, type LyeJug } from '../heat/dissolving'
import { usualCooling } from '../bench/plan/jug'
import type { PlanContext } from '../bench/plan/context'
import type { FormulaResult } from '#contracts/result'
import { sumOf } from '../statistics/sum'

/** Minutes after something is made in which it is as it is wanted: from, and to; null where it stays so. */
export interface Stay {
  least: number
  most: number | null
}

/** °C of fats that are just clear. */
const meltedC = 60
/** K by which oils are warmed above what the formula names, since they cool while the lye does. */
const warmedBy = 5
/** Minutes that anybody waits for the air to do it; what takes longer goes into ice. */
const longestWait = 180
/** When milk-lye that is smooth goes into the oils: within these minutes, it stays cold in its bath (judgement). */
export const milkStay: Stay = { least: 0, most: 25 }

/**
 * Several jugs as one that holds all of it: what one person dissolves for several batches.
 * @example togetherIn([jug, jug]).naoh // 272
 */
export function togetherIn(jugs: readonly LyeJug[]): LyeJug {
  const all = (of: (jug: LyeJug) => number) => sumOf(jugs, of)
  const [first] = jugs
  return {
    ...first!,
    naoh: all(({ naoh }) => naoh),
    koh: all(({ koh }) => koh),
    readyNaoh: all(({ readyNaoh }) => readyNaoh),
    readyWater: all(({ readyWater }) => readyWater),
    water: all(({ water }) => water),
    ice: all(({ ice }) => ice),
    other: all(({ other }) => other),
    jugHeat: Math.max(...jugs.map(({ jugHeat }) => jugHeat)),
  }
}

/** Windows so much narrower that whatever lies in both is near enough. */
function bothWindows({ window: { lye, oils, apart } }: Pick<PlanContext, 'window'>) {
  const most = Math.max(lye.high - oils.low, oils.high - lye.low)
  const by = Math.max(0, most - apart) / 2
  const narrower = ({ low, high }: { low: number; high: number }) =>
    high - low > 2 * by ? { low: low + by, high: high - by } : { low, high }
  return { lye: narrower(lye), oils: narrower(oils) }
}

/** Minutes in which a curve that falls lies in a window. */
function stayOf(curve: Curve, { low, high }: { low: number; high: number }): Stay {
  const from = curve.startC <= high ? 0 : Math.max(0, minuteAt(curve, high))
  const to = curve.roomC >= low ? Infinity : Math.max(0, minuteAt(curve, low))
  const least = Math.min(longestWait, Number.isFinite(from) ? from : longestWait)
  return { least, most: Number.isFinite(to) ? Math.max(to, least) : null }
}

/**
 * Minutes after the lye is made in which it may go into the oils.
 * @param jug what is in the jug, of this batch or of several
 * @param cools minutes already spent on what follows the dissolving
 * @example lyeStay(bench().ctx, bench().plan.jug, made).least // 93.3513
 */
export function lyeStay(ctx: PlanContext, jug: LyeJug, result: FormulaResult): Stay {
  if (ctx.window.asItIs === 'milk') return milkStay
  if (ctx.window.asItIs === 'room') return { least: 0, most: null }
  if (ctx.meltsByLye) return { least: 0, most: 5 }
  const peak = openJugPeak(jug)
  const curve = lyeCurve(ctx, jug, result)
  return peak.high <= ctx.setup.roomC
    ? { least: 0, most: null }
    : stayOf(curve, bothWindows(ctx).lye)
}

/**
 * How a jug of lye cools from the minute in which it is made.
 * @example lyeCurve(bench().ctx, bench().plan.jug, made).roomC // 20
 */
export function lyeCurve({ setup }: PlanContext, jug: LyeJug, result: FormulaResult): Curve {
  const peak = openJugPeak(jug)
  return {
    from: 0,
    startC: (peak.low + peak.high) / 2,
    perMinute: usualCooling(jug, result).lye,
    roomC: setup.roomC,
    power: usualPower,
  }
}

/**
 * How a pan of fats cools from the minute in which it comes off the plate.
 * @param melts whether there are hard fats in it, or it is only warmed
 * @example oilsCurve(bench().ctx, bench().plan.jug, false).startC // 40
 */
export function oilsCurve(
  { setup, onScale, document }: PlanContext,
  jug: LyeJug,
  melts: boolean,
): Curve {
  return {
    from: 0,
    startC: melts ? meltedC : document.method.oilsC + warmedBy,
    perMinute: usualCooling(jug, onScale.result).oils,
    roomC: setup.roomC,
    power: usualPower,
  }
}

/**
 * Minutes after the fats come off the plate in which they may take the lye.
 * @example oilsStay(bench().ctx, bench().plan.jug, true).least > 0 // true
 */
export const oilsStay = (ctx: PlanContext, jug: LyeJug, melts: boolean): Stay =>
  stayOf(oilsCurve(ctx, jug, melts), bothWindows(ctx).oils)

/**
 * Minutes after the lye is made until it is cool enough for what is stirred into it then.
 * @param most °C
 * @example coolTo(bench().ctx, bench().plan.jug, made, 50) > 20 // true
 */
export function coolTo(ctx: PlanContext, jug: LyeJug, result: FormulaResult, most: number): number {
  const curve = lyeCurve(ctx, jug, result)
  return celsiusAt(curve, 0) <= most ? 0 : Math.min(longestWait, Math.max(0, minuteAt(curve, most)))
}
