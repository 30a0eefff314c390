import { driestWaterShare } from '../formula/pot'
import type { Rule } from './rule'
import { lowerScents } from './shift'
import { sumOf } from '../statistics/sum'

/**
 * Scents beyond what their suppliers allow in the finished bar. The restricted constituents of different scents may be the
 * same ones, so what counts is the sum of how far each goes towards its own maximum: the blend's maximum is
 * 1/Σ(shareᵢ/capᵢ).
 * @example scentAboveMaximum(subject({ scents: [scent('Fir', 0.04, { maxOfBar: 0.03 })] })).severity // 'stop'
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
  const dries = `The maximum is for the finished bar. Dried for long it may weigh as little as ${say.amount(result.longDried)} in all, and no loss of scent is assumed.`
  const several = capped.length > 1
  return {
    id: 'scent-above-maximum',
    severity: 'stop',
    overridable: true,
    says: several
      ? `${names} will be ${say.percent(share, 2)} of the dried bar; for this blend their suppliers allow ${say.percent(allowed, 2)}.`
      : `${names} will be ${say.percent(share, 2)} of the dried bar; its supplier allows ${say.percent(allowed, 2)}.`,
    because: several
      ? `${dries} Restricted constituents may be the same in both, so their shares of the maximum add up.`
      : dries,
    fix: {
      label: several
        ? `Lower them to ${say.percent(factor, 0)} of this`
        : `Lower to ${say.percent(allowed, 2)} of the bar`,
      patch: lowerScents(document, factor, ({ id }) => ids.has(id)),
    },
  }
}
