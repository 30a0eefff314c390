import { heatTakenBy, jugCapacity, type LyeJug } from '../../heat/dissolving'
import { perMinuteOf } from '../../heat/cooling'
import { lyeDensity } from '../../formula/volume'
import type { FrozenState } from '#contracts/words'
import type { RunSetup } from '#contracts/run'
import type { FormulaResult } from '#contracts/result'
import type { FormulaDocument } from '#contracts/formula'
import type { PlanContext } from './context'
import { lyeByPot } from './pots'
import { sumOf } from '../../statistics/sum'

/** °C of a freezer, of slush, and of a fridge; and how much of the liquid is ice then. */
const chilled = {
  hard: { celsius: -18, ice: 1 },
  slush: { celsius: 0, ice: 0.5 },
  cold: { celsius: 5, ice: 0 },
} as const satisfies Record<FrozenState, { celsius: number; ice: number }>
/** °C of ice cubes. */
const cubesC = chilled.hard.celsius

/**
 * How frozen the milk is that takes the lye: as somebody saw it, as the day was set up, as the formula says; hard where nobody said.
 * @example frozenStateOf(example, { frozen: null }, 'slush') // 'slush'
 */
export const frozenStateOf = (
  { method }: Pick<FormulaDocument, 'method'>,
  { frozen }: Partial<Pick<RunSetup, 'frozen'>>,
  seen: FrozenState | null = null,
): FrozenState => seen ?? frozen ?? method.frozen ?? 'hard'

/**
 * What meets in a lye jug, for its heat: everything that is in it when the lye goes in. What is stirred into cooled lye comes
 * later and does not count.
 * @example jugHeatOf(example, made, bench().ctx.setup).water // 283.088
 */
export function jugHeatOf(
  document: FormulaDocument,
  result: FormulaResult,
  setup: Pick<RunSetup, 'roomC' | 'jug'> & Partial<Pick<RunSetup, 'frozen'>>,
): LyeJug {
  const { lye, water } = result
  const { roomC, jug } = setup
  const inJug = result.liquids.filter(
    ({ moment, way }) => moment === 'lye' && way !== 'into-cooled-lye',
  )
  const frozen = inJug.filter(({ way }) => way === 'frozen')
  const poured = inJug.filter(({ way }) => way !== 'frozen')
  const ready = lye.solution !== null
  const { celsius, ice: iced } = chilled[frozenStateOf(document, setup)]
  const frozenWater = sumOf(frozen, ({ waterGrams }) => waterGrams)
  const ice = water.ice + frozenWater * iced
  const thawed = frozenWater * (1 - iced)
  const pouredWater =
    Math.max(0, water.weighed - water.ice) + sumOf(poured, ({ waterGrams }) => waterGrams)
  return {
    naoh: ready ? 0 : lye.naoh * document.alkali.naohPurity,
    koh: lye.koh * document.alkali.kohPurity,
    readyNaoh: ready ? lye.pureNaoh : 0,
    readyWater: water.inSolution,
    water: pouredWater + thawed,
    ice,
    other: sumOf(inJug, ({ grams, waterGrams }) => grams - waterGrams),
    roomC,
    iceC: ice > 0 ? (water.ice * cubesC + frozenWater * iced * celsius) / ice : cubesC,
    ...(thawed > 0
      ? { liquidC: (pouredWater * roomC + thawed * celsius) / (pouredWater + thawed) }
      : {}),
    ...(frozen.length ? { bySpoon: true } : {}),
    jugHeat: heatTakenBy(jug),
  }
}

/**
 * The lye jugs of a plan: one of each pot, or the one for all of them.
 * @param frozen how frozen the milk is; as the maker meant it to be where nothing else is said
 * @example lyeJugsOf(bench().ctx)[0].naoh // 128
 */
export function lyeJugsOf(
  { document, onScale, pots, setup }: Pick<PlanContext, 'document' | 'onScale' | 'pots' | 'setup'>,
  frozen = setup.frozen,
): LyeJug[] {
  const own = lyeByPot(document) ? pots : [{ document, result: onScale.result }]
  return own.map((pot) => jugHeatOf(pot.document, pot.result, { ...setup, frozen }))
}

/**
 * The one lye jug of a plan, or the largest of several.
 * @example lyeJugOf([{ ...jug, naoh: 90 }, jug]).naoh // 136
 */
export const lyeJugOf = (jugs: readonly LyeJug[]): LyeJug =>
  jugs.reduce((most, jug) => (jug.naoh + jug.readyNaoh > most.naoh + most.readyNaoh ? jug : most))

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
