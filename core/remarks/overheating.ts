import { mouldMillilitres } from '../mould/capacity'
import { mouldsOf } from '../mould/fillings'
import type { Rule } from './rule'
import { inSentence } from '../units/language'

/** ml in one mould from which the middle keeps its heat, and more so with sugar in it. */
const large = 3000
const largeWithHeat = 1500

/**
 * A big block that makes its own heat, kept warm on top of it.
 * @example overheating(subject({ size: { by: 'mould', mould: { shape: 'box', lengthMm: 250, widthMm: 100, depthMm: 80 }, fill: 1 }, additives: [extra('honey', 0.02)], method: { gel: 'force' } })).severity
 *   // 'think'
 */
export const overheating: Rule = ({ document, result, library, say }) => {
  if (document.method.gel !== 'force') return null
  const all = mouldsOf(document.size)
  const blocks = all.filter(({ mould }) => mould.shape !== 'cavities')
  // Where no mould is named yet, the batter may all go into one.
  const biggest = all.length
    ? Math.max(0, ...blocks.map(({ mould, fill }) => mouldMillilitres(mould) * (fill ?? 1)))
    : result.batter
  const sources = [
    ...result.additives.filter(({ id, grams }) => grams > 0 && library.additives.get(id)?.heats),
    ...result.liquids.filter(({ id }) => (library.liquids.get(id)?.sugar ?? 0) > 0.01),
  ].map(({ name }) => inSentence(name))
  if (biggest <= (sources.length ? largeWithHeat : large)) return null
  return {
    id: 'overheating',
    severity: 'think',
    says: `Wrapped warm, ${say.volume(biggest)} in one block may crack or rise out of its mould.`,
    because: sources.length
      ? `The middle of a big mould keeps its own heat of saponification; with ${say.list(sources, 'and')} it runs hotter still. Let it gel as it comes, and look after an hour.`
      : 'The middle of a big mould keeps its own heat of saponification. Let it gel as it comes, and look after an hour.',
    fix: { label: 'Let gel come as it may', patch: [{ path: ['method', 'gel'], value: 'leave' }] },
  }
}
