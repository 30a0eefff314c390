import type { Rule } from './rule'
import { lowerFats } from './shift'
import { hasKeeper } from '../character/traits'
import { sumOf } from '../statistics/sum'

/**
 * So much linoleic and linolenic acid that free fat will spoil.
 * @example rancidSoon(subject({ fats: fats({ sunflower: 0.5, coconut: 0.3, tallow: 0.2 }) })).severity // 'think'
 */
export const rancidSoon: Rule = (subject) => {
  const { result, library, say } = subject
  const acids = (result.fattyAcids.linoleic ?? 0) + (result.fattyAcids.linolenic ?? 0)
  if (acids <= 0.25 + 1e-9) return null
  // Hardly any free fat, and something that keeps it: soft it is, rancid it is not soon.
  const kept = result.superfat.total <= 0.01 || hasKeeper(result, library)
  if (kept)
    return {
      id: 'rancid-soon',
      severity: 'know',
      says: `${say.percent(acids)} linoleic and linolenic acid: expect a soft bar.`,
      because:
        'These acids never set hard. What is free of them goes rancid first; here there is hardly any, or something keeps it.',
    }
  const rich = result.fats.flatMap((fat, index) => {
    const profile = library.fats.get(fat.id)?.profile.value
    return (profile?.linoleic ?? 0) + (profile?.linolenic ?? 0) > 0.4 ? [index] : []
  })
  const share = sumOf(rich, (index) => result.fats[index]!.share)
  const lowered = share > 0.15 ? lowerFats(subject, rich, 0.15) : null
  return {
    id: 'rancid-soon',
    severity: 'think',
    says: `${say.percent(acids)} linoleic and linolenic acid: expect a soft bar and orange spots within months.`,
    because: `These acids take up oxygen first, and ${say.percent(result.superfat.total)} of the fat stays free to do so.`,
    fix: lowered
      ? { label: `Lower these oils to ${say.percent(0.15)}`, patch: lowered }
      : undefined,
  }
}
