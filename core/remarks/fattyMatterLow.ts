import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/**
 * Less fatty matter than the workshop's standard asks for.
 * @example fattyMatterLow(subject({ water: { value: 3 } }, { leastFattyMatter: 0.7 })).severity // 'think'
 */
export const fattyMatterLow: Rule = (subject) => {
  const { result, limits, say } = subject
  const share = result.batter > 0 ? result.fattyMatter / result.batter : 0
  const least = limits.leastFattyMatter
  if (least === null || share <= 0 || share >= least - 1e-9) return null
  const { ratio, content } = result.water
  const room = result.fattyMatter / least
  const drier = ratio > 0 ? ratio * (1 - (result.batter - room) / content) : 0
  const value = Math.floor(drier * 100) / 100
  return {
    id: 'fatty-matter-low',
    severity: 'think',
    says: `${say.percent(share)} fatty matter at pour; your standard asks for ${say.percent(least)}.`,
    because:
      'It counts fatty acids in the whole bar. It rises as water leaves: less water at pour reaches it sooner.',
    fix:
      value >= 1.3
        ? { label: `Lower the water to ${say.ratio(value)}`, patch: waterPatch(subject, value) }
        : undefined,
  }
}
