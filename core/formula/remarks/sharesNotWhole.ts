import { shareTolerance, sumOfShares } from '../compute'
import type { Rule } from './rule'

/** The shares of the fats do not add up to the whole. */
export const sharesNotWhole: Rule = ({ document, say }) => {
  if (document.size.by === 'lines' || document.fats.length === 0) return null
  const sum = sumOfShares(document)
  if (Math.abs(sum - 1) <= shareTolerance) return null
  const over = sum > 1
  return {
    id: 'shares-not-whole',
    severity: 'stop',
    says: `The fats add up to ${say.percent(sum, 2)}, ${say.percent(Math.abs(1 - sum), 2)} ${over ? 'too much' : 'is still open'}.`,
    because: 'Lye is worked out from every gram of fat, so all of the fats together must be 100 %.',
    fix:
      sum > 0
        ? {
            label: 'Spread to 100 %',
            patch: document.fats.map((fat, index) => ({
              path: ['fats', index, 'share'],
              value: (fat.share ?? 0) / sum,
            })),
          }
        : undefined,
  }
}
