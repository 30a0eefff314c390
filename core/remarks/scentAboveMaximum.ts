import { driestWaterShare } from '../formula/pot'
import type { Rule } from './rule'
import { lowerScents } from './shift'
import { sumOf } from '../statistics/sum'

/**
 * Scents beyond what their suppliers allow in the finished bar. The restricted constituents of different scents may be the
 * same ones, so what counts is the sum of how far each goes towards its own maximum: the blend's maximum is
 * 1/Σ(shareᵢ/capᵢ).
 */
export const scentAboveMaximum: Rule = ({ document, result, say }) => {
  const capped = result.scents.filter((scent) => (scent.maxOfBar ?? 0) > 0 && scent.grams > 0)
  const used = sumOf(capped, (scent) => scent.shareOfBar / scent.maxOfBar!)
  if (used <= 1 + 1e-9) return null
  const share = sumOf(capped, (scent) => scent.shareOfBar)
  const allowed = share / used
  const cappedGrams = sumOf(capped, (scent) => scent.grams)
  const dried = 1 - driestWaterShare
  const others = result.longDried * dried - cappedGrams
  const factor = (allowed * others) / (dried - allowed) / cappedGrams
  const ids = new Set(capped.map(({ id }) => id))
  const names = [...new Set(capped.map(({ name }) => name))].join(' with ')
  return {
    id: 'scent-above-maximum',
    severity: 'stop',
    overridable: true,
    says: `${names} will be ${say.percent(share, 2)} of the dried bar; ${capped.length > 1 ? 'for this blend their suppliers allow' : 'its supplier allows'} ${say.percent(allowed, 2)}.`,
    because: `The maximum is for the finished bar. Dried for long it may weigh as little as ${say.amount(result.longDried)} in all, and no loss of scent is assumed.${capped.length > 1 ? ' Restricted constituents may be the same in both, so their shares of the maximum add up.' : ''}`,
    fix: {
      label:
        capped.length > 1
          ? `Lower them to ${say.percent(factor, 0)} of this`
          : `Lower to ${say.percent(allowed, 2)} of the bar`,
      patch: lowerScents(document, factor, ({ id }) => ids.has(id)),
    },
  }
}
