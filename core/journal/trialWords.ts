import type { TrialSummary } from '#contracts/trial'
import type { Formatter } from '../units/formatter'

/**
 * A trial day in a line, and the words it is found by.
 * @example trialWords({ document: { number: 9, pots: [{ name: 'Fir' }], formula: example, note: '' }, found: [] }, say).says // 'Fir.'
 */
export function trialWords(
  { document, found }: Pick<TrialSummary, 'document' | 'found'>,
  say: Formatter,
): { title: string; says: string; words: string } {
  const title = `Trial ${document.number}`
  const names = document.pots.map(({ name }) => name)
  const acts = found.flatMap(({ name, riced, seized, loosened, separated }) => [
    ...(riced ? [`${name} riced.`] : []),
    ...(seized !== null ? [`${name} seized.`] : []),
    ...(separated ? [`${name} separated.`] : []),
    ...(loosened ? [`${name} loosened.`] : []),
  ])
  const says = [`${say.list(names.slice(0, 8))}.`, ...acts, document.note].filter(Boolean).join(' ')
  return {
    title,
    says,
    words: `${title} ${document.formula.name} ${names.join(' ')} ${acts.join(' ')} ${document.note}`,
  }
}
