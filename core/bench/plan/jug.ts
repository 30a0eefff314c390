import { heatTakenBy, jugCapacity, type LyeJug } from '../../heat/dissolving'
import { perMinuteOf } from '../../heat/cooling'
import { lyeDensity } from '../../formula/volume'
import type { RunSetup } from '#contracts/run'
import type { FormulaResult } from '#contracts/result'
import type { FormulaDocument } from '#contracts/formula'
import type { PlanContext } from './context'
import { lyeByPot } from './pots'
import { sumOf } from '../../statistics/sum'

/** °C of a freezer. */
const freezerC = -18

/**
 * What meets in a lye jug, for its heat: everything that is in it when the lye goes in. What is stirred into cooled lye comes
 * later and does not count.
 * @example jugHeatOf(example, made, bench().ctx.setup).water // 283.088
 */
export function jugHeatOf(
  document: FormulaDocument,
  result: FormulaResult,
  { roomC, jug }: Pick<RunSetup, 'roomC' | 'jug'>,
): LyeJug {
  const { lye, water } = result
  const inJug = result.liquids.filter(
    ({ moment, way }) => moment === 'lye' && way !== 'into-cooled-lye',
  )
  const frozen = inJug.filter(({ way }) => way === 'frozen')
  const poured = inJug.filter(({ way }) => way !== 'frozen')
  const ready = lye.solution !== null
  return {
    naoh: ready ? 0 : lye.naoh * document.alkali.naohPurity,
    koh: lye.koh * document.alkali.kohPurity,
    readyNaoh: ready ? lye.pureNaoh : 0,
    readyWater: water.inSolution,
    water: Math.max(0, water.weighed - water.ice) + sumOf(poured, ({ waterGrams }) => waterGrams),
    ice: water.ice + sumOf(frozen, ({ waterGrams }) => waterGrams),
    other: sumOf(inJug, ({ grams, waterGrams }) => grams - waterGrams),
    roomC,
    iceC: freezerC,
    jugHeat: heatTakenBy(jug),
  }
}

/**
 * The one lye jug of a plan, or the largest of several.
 * @example lyeJugOf(bench().ctx).naoh // 128
 */
export function lyeJugOf({ document, onScale, pots, setup }: PlanContext): LyeJug {
  if (!lyeByPot(document)) return jugHeatOf(document, onScale.result, setup)
  const [largest] = [...pots].sort((a, b) => b.result.lye.naoh - a.result.lye.naoh)
  return jugHeatOf(largest!.document, largest!.result, setup)
}

/** J/gK and g/ml of fats when melted. */
const fats = { heat: 2, density: 0.91 }

/**
 * k to expect of both vessels from what they hold, per minute: before anybody has read a thermometer.
 * @example usualCooling(jug, made) // { lye: 0.012678, oils: 0.0230081 }
 */
export function usualCooling(jug: LyeJug, result: FormulaResult): { lye: number; oils: number } {
  const grams =
    jug.naoh + jug.koh + jug.readyNaoh + jug.readyWater + jug.water + jug.ice + jug.other
  return {
    lye: perMinuteOf(grams / lyeDensity(result.water.strength), jugCapacity(jug)),
    oils: perMinuteOf(result.oils / fats.density, result.oils * fats.heat),
  }
}
