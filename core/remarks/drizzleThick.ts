import { patternOf } from '../formula/method'
import type { Rule } from './rule'

/**
 * A drizzle of so much batter that it is no drizzle.
 * @example drizzleThick(subject({ parts: [pot('base', 0.7), pot('thread', 0.3)], method: { patterns: ['drizzle'] } })).severity // 'think'
 */
export const drizzleThick: Rule = ({ document, say }) => {
  if (patternOf(document) !== 'drizzle' || document.parts.length < 2) return null
  const smallest = document.parts.reduce((a, b) => ((b.share ?? 0) < (a.share ?? 0) ? b : a))
  const share = smallest.share ?? 0
  if (share <= 0.15 + 1e-9) return null
  const target = 0.1
  const rest = 1 - share
  return {
    id: 'drizzle-thick',
    severity: 'think',
    says: `A drizzle of ${say.percent(share, 0)} of the batter piles up instead of lying in threads.`,
    because:
      'Thin threads take a tenth of the batter or less; more of it sinks the surface it falls on.',
    fix: {
      label: `Make it ${say.percent(target, 0)}`,
      patch: document.parts.map((part, index) => ({
        path: ['parts', index, 'share'],
        value: Number(
          (part === smallest ? target : ((part.share ?? 0) / rest) * (1 - target)).toFixed(6),
        ),
      })),
    },
  }
}
