import type { Colour } from '#contracts/colour'
import type { Bleeds, ColourCarrier } from '#contracts/trialWords'
import { inSentence } from '#core/units/language'
import type { Formatter } from '#core/units/formatter'

/** What a colour is stirred smooth in. */
export const carrierWords: Record<ColourCarrier, string> = {
  oil: 'Oil',
  water: 'Water',
  glycerine: 'Glycerine',
  lye: 'The lye',
  batter: 'Nothing: into the batter',
}
/** What it does to the lather. */
export const bleedSays: Record<Bleeds, string> = {
  no: 'White lather',
  tints: 'Tints the lather',
  stains: 'Colours lather and cloth',
}

/** A colour in which nothing is written down. */
export const newColour = (): Colour => ({
  rate: null,
  carrier: null,
  parts: null,
  bleeds: null,
  seen: [],
  note: '',
})

/** How a colour is used here, in one line; empty where nothing is written down. */
export function colourUseText({ rate, carrier, parts, bleeds }: Colour, say: Formatter): string {
  const into =
    carrier === 'batter' ? 'into the batter' : carrier && `in ${inSentence(carrierWords[carrier])}`
  return [
    rate === null ? '' : `${say.percent(rate, 2)} of its pot’s oils`,
    into ? `${into}${parts ? `, 1 : ${say.number(parts, undefined, 1)}` : ''}` : '',
    bleeds ? inSentence(bleedSays[bleeds]) : '',
  ]
    .filter(Boolean)
    .join('; ')
}
