import { driestWaterShare } from '../compute'
import type { Rule } from './rule'

/** A scent beyond what its supplier allows in the finished bar. */
export const scentAboveMaximum: Rule = ({ document, result, say }) =>
  result.scents.flatMap((scent, index) => {
    const { maxOfBar, shareOfBar, grams } = scent
    if (maxOfBar === null || maxOfBar <= 0 || shareOfBar <= maxOfBar * (1 + 1e-9)) return []
    const driedShare = 1 - driestWaterShare
    const others = result.longDried * driedShare - grams
    const allowed = (maxOfBar * others) / (driedShare - maxOfBar)
    const rate = Math.floor((allowed / result.oils) * 10_000) / 10_000
    return [
      {
        id: document.scents.length > 1 ? `scent-above-maximum-${index}` : 'scent-above-maximum',
        severity: 'stop' as const,
        mayOverrule: true,
        says: `${scent.name} will be ${say.percent(shareOfBar, 2)} of the dried bar; its supplier allows ${say.percent(maxOfBar, 2)}.`,
        because: `The maximum is for the finished bar. Dried for long it may weigh as little as ${say.mass(result.longDried)} in all, and no loss of scent is assumed.`,
        fix: {
          label: `Lower to ${say.percent(rate, 2)}`,
          patch: [{ path: ['scents', index, 'rate'], value: rate }],
        },
      },
    ]
  })
