import { extrasIn, ratesIn } from '../batter/seenColours'
import type { Rule } from './rule'

const what = { tints: 'tinted the lather', stains: 'coloured lather and cloth' } as const

/**
 * A colourant that bled into the lather in bars of the workshop, at the rate that is usual there or more.
 * @example colourBled(subject({ additives: [extra('rose-clay', 0.02)] })) // null
 */
export const colourBled: Rule = ({ document, result, library, say }) => {
  for (const id of extrasIn(document)) {
    const known = library.colours?.get(id)
    if (!known?.bleeds || known.bleeds === 'no') continue
    const [most = 0] = ratesIn(id, result)
    if (!(most > 0) || (known.rate !== null && most < known.rate)) continue
    return {
      id: 'colour-bled',
      severity: 'know',
      says: `${library.additives.get(id)?.name ?? id} ${what[known.bleeds]} in bars of your own${
        known.rate === null ? '' : ` at ${say.percent(known.rate, 2)} of the pot’s oils`
      }; here it is ${say.percent(most, 2)}.`,
      because:
        'What is not bound in the soap or not rubbed smooth washes out. Less of it, or a longer rub in oil; try a bar on a white cloth before it is given away.',
    }
  }
  return null
}
