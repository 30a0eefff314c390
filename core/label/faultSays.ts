import type { LabelDesign } from '#contracts/label'
import type { Formatter } from '../units/formatter'
import type { LabelFault } from './fit'

/**
 * What is wrong with a label, as a sentence.
 * @example faultSays({ element: '', kind: 'missing', lines: 0, size: null }, labelDesign, say) // 'The list of ingredients stands nowhere.'
 */
export function faultSays(
  { element, kind, lines }: LabelFault,
  { name, elements }: Pick<LabelDesign, 'name' | 'elements'>,
  say: Formatter,
): string {
  const one = elements.find(({ id }) => id === element)
  const part = partWords[one?.part ?? 'text']
  const size = one ? `${say.number(one.size, 1)} mm` : ''
  switch (kind) {
    case 'missing':
      return one
        ? `${name}: the net weight is not known yet. Pour it, or say the smallest bar.`
        : 'The list of ingredients stands nowhere.'
    case 'over':
      return `${name}: ${part} is ${say.count(lines, 'line', 'lines')} too long at ${size}.`
    case 'letters':
      return `${name}: ${part} has letters that the typeface lacks; they would print as boxes.`
    case 'net-small':
      return `${name}: the figures of the net weight are too small.`
    case 'small':
      return `${name}: ${part} is set smaller than is allowed, at ${size}.`
  }
}

/** What an element is called in a sentence. */
export const partWords: Record<LabelDesign['elements'][number]['part'], string> = {
  name: 'the name',
  tagline: 'the second line',
  net: 'the net weight',
  list: 'the list',
  use: 'what it is for',
  care: 'the care',
  dates: 'the dates',
  code: 'the batch code',
  maker: 'the maker',
  person: 'who answers for it',
  warnings: 'the warnings',
  price: 'the price',
  text: 'a text of its own',
  qr: 'the square code',
  barcode: 'the bar code',
  logo: 'the logo',
  wave: 'the wave',
}
