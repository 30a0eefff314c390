import type { PatchStep } from '#contracts/result'
import { waysFrom } from '../water/ways'
import { workingTime } from '../batter/workingTime'
import { computeFormula } from '../formula/compute'
import { applyPatch } from '../formula/patch'
import type { Subject } from './rule'
import { roundTo } from '../statistics/roundTo'

/**
 * Sets the water to a ratio, said in the way the formula already holds.
 * @example waterPatch(subject(), 1.8) // [{ path: ['water', 'value'], value: 1.8 }]
 */
export function waterPatch({ document, result }: Subject, ratio: number): PatchStep[] {
  const lye = result.lye.pureNaoh + result.lye.pureKoh
  const { held } = document.water
  if (held === 'grams') return [{ path: ['water'], value: { held: 'ratio', value: ratio } }]
  const value = waysFrom(ratio, lye, result.oils)[held]
  return [{ path: ['water', 'value'], value: roundTo(value) }]
}

/**
 * The first of some ratios with which the formula stays workable for a time that suits; undefined when none does.
 * @example ratioForTime(subject(), [1.5, 2, 3], (minutes) => minutes > 1) // 1.5
 */
export function ratioForTime(
  subject: Subject,
  ratios: number[],
  suits: (minutes: number) => boolean,
): number | undefined {
  const { document, library } = subject
  return ratios.find((ratio) => {
    const changed = applyPatch(document, waterPatch(subject, ratio))
    return suits(workingTime(changed, computeFormula(changed, library), library).minutes)
  })
}
