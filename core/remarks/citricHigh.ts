import type { Rule } from './rule'
import { atRate } from './shift'
import { isCitric, naohPerGramOfAcid } from '../chemistry/acids'

/**
 * So much citric acid that its salt blooms out of the bar.
 * @example citricHigh(subject({ additives: [extra('citric-acid-anhydrous', 0.025)] })).severity // 'think'
 */
export const citricHigh: Rule = ({ document, result, library, say }) => {
  const index = document.additives.findIndex(({ id }) => isCitric(library.additives.get(id)?.acid))
  const line = document.additives[index]
  const share = (result.additives[index]?.grams ?? 0) / result.oils
  const acid = line && library.additives.get(line.id)?.acid
  // What blooms is the citrate: a crystal with water in it makes less of it.
  const most = acid
    ? 0.02 * (naohPerGramOfAcid('citric-anhydrous') / naohPerGramOfAcid(acid))
    : 0.02
  if (!line || share <= most + 1e-4) return null
  return {
    id: 'citric-high',
    severity: 'think',
    says: `${say.percent(share)} citric acid: white crystals may bloom on the bars, and they set late.`,
    because: `Beyond ${say.percent(most)} of the oils the bar holds more sodium citrate than it can keep dissolved. It also slows the setting: expect three days in the mould.`,
    fix: {
      label: `Lower to ${say.percent(0.015)}`,
      patch: [{ path: ['additives', index], value: atRate(line, 0.015) }],
    },
  }
}
