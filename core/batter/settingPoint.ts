import type { FormulaResult } from '#contracts/result'
import type { Library } from '../materials/library'
import { openedFats } from '../materials/opened'

/**
 * °C below which the hard fats of a blend begin to set: the mean of where they soften, lower the more liquid oil dissolves
 * them (20 °C for a drop in an ocean of oil). An estimate.
 * @example settingC(subject({ fats: fats({ tallow: 0.8, coconut: 0.2 }) })) // 39.2
 */
export function settingC({
  result,
  library,
}: {
  result: FormulaResult
  library: Library
}): number | null {
  let share = 0
  let warmth = 0
  for (const { fat, share: own } of openedFats(result.fats, library)) {
    if (!fat?.softens) continue
    share += own
    warmth += own * fat.softens.value
  }
  return share > 0.15 ? warmth / share - 20 * (1 - share) : null
}
