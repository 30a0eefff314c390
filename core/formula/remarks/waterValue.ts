import type { PatchStep } from '#contracts/result'
import { waysFrom } from '../../water/ways'
import type { Subject } from './rule'

/** Sets the water to a ratio, said in the way the formula already holds. */
export function waterPatch({ document, result }: Subject, ratio: number): PatchStep[] {
  const lye = result.lye.pureNaoh + result.lye.pureKoh
  const value = waysFrom(ratio, lye, result.oils)[document.water.held]
  return [{ path: ['water', 'value'], value: Number(value.toFixed(6)) }]
}
