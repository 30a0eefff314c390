import type { FormulaDocument } from '#contracts/formula'
import { openJugPeak, type LyeJug } from '../../heat/dissolving'
import { windowOf, type Window } from '../../heat/meeting'

/** °C of the coldest milk-lye that anybody pours, and K that it may be colder than the oils (judgement: the mean of both decides). */
const milkLye = { low: 10, apart: 28 } as const
/** K to either side of the room that a solution may have which nobody warms. */
const roomGives = 4

/** When lye and oils may be combined, and whether the lye is taken as it is, so that only the oils are brought to it. */
export interface PlanWindow extends Window {
  asItIs: 'milk' | 'room' | null
}

/**
 * The window of a plan: one that its way of making the lye can reach. Milk-lye is cold and goes in at once; ready-mixed lye that is
 * hardly thinned stays as warm as the room, so that the oils are brought to it.
 * @param jugs the lye jugs, before what is stirred into cooled lye
 * @param guardC °C that nothing may pass, or null
 * @example planWindow(example, [jug], null).asItIs // null
 */
export function planWindow(
  document: FormulaDocument,
  jugs: readonly LyeJug[],
  guardC: number | null,
): PlanWindow {
  const { lyeC, oilsC } = document.method
  const usual = windowOf(lyeC, oilsC, guardC)
  if (document.liquids.some(({ way, moment }) => moment === 'lye' && way !== 'poured'))
    return {
      ...usual,
      lye: { low: Math.min(milkLye.low, usual.lye.low), high: guardC ?? usual.lye.high },
      apart: Math.max(usual.apart, milkLye.apart),
      asItIs: 'milk',
    }
  const [jug] = jugs
  if (
    jug &&
    jugs.every((one) => one.naoh + one.koh <= 0 && openJugPeak(one).high < usual.lye.low)
  ) {
    const low = jug.roomC - roomGives
    return {
      ...usual,
      lye: { low, high: usual.lye.high },
      apart: Math.max(usual.apart, usual.oils.high - low),
      asItIs: 'room',
    }
  }
  return { ...usual, asItIs: null }
}
