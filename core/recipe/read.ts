import { findMaterials } from '../materials/find'
import type { Library } from '../materials/library'
import { readAmount, readNumber, type Amount } from '../units/readAmount'

/** One piece of a recipe and what it was taken for. */
export interface RecipeLine {
  text: string
  kind:
    | 'fat'
    | 'liquid'
    | 'additive'
    | 'naoh'
    | 'koh'
    | 'lye'
    | 'water'
    | 'superfat'
    | 'scent'
    | 'unknown'
  /** Material id for fats, liquids and additives. */
  id: string | null
  name: string
  grams: number | null
  /** Share of the oils where the recipe gives per cent. */
  share: number | null
  /** Grams worked out from a volume: an estimate. */
  estimated: boolean
  /** Why the line could not be used. */
  says?: string
}

const lyeWords: [RegExp, 'naoh' | 'koh' | 'lye'][] = [
  [/\b(koh|potassium hydroxide|caustic potash|potash lye)\b/i, 'koh'],
  [/\b(naoh|sodium hydroxide|caustic soda)\b/i, 'naoh'],
  [/\b(lye|caustic|soda)\b/i, 'lye'],
]
const waterWords = /\b(water|h2o|ice)\b/i
const superfatWords = /\b(super\s?fat|lye discount)\w*/i
const scentWords = /\b(fragrance|essential oil|essential|scent|perfume|parfum|eo|fo)\b/i

/** One recipe line per piece: by line, semicolon or bullet, and by comma where no decimal comma stands. */
export function piecesOf(text: string): string[] {
  return text
    .split(/[\n;•·]|,(?!\d)|(?<=[a-z)])\s+(?:and|plus|\+|&)\s+(?=\d)/i)
    .map((piece) => piece.replace(/^\s*[-*–—]\s+/, '').trim())
    .filter((piece) => /[\p{L}\d]/u.test(piece))
}

/** Volume to mass for what people pour: water and milks 1.0 g/ml, melted fats 0.91, scents 0.95. */
function gramsOf(amount: Amount, density: number) {
  if (amount.kind === 'grams') return { grams: amount.grams, share: null, estimated: false }
  if (amount.kind === 'share') return { grams: null, share: amount.share, estimated: false }
  return { grams: amount.millilitres * density, share: null, estimated: density !== 1 }
}

function readPiece(text: string, library: Library): RecipeLine {
  const read = readAmount(text)
  const name = (read?.rest ?? text).replace(/^of\s+/i, '').trim()
  const line = (
    kind: RecipeLine['kind'],
    density: number,
    id: string | null = null,
    label = name,
  ) => ({
    text,
    kind,
    id,
    name: label,
    ...(read
      ? gramsOf(read.amount, density)
      : { grams: null, share: null, estimated: false, says: 'No amount found in it.' }),
  })
  if (superfatWords.test(text)) return line('superfat', 1, null, 'Superfat')
  const lye = lyeWords.find(([words]) => words.test(name))
  const [best] = findMaterials(library, name)
  if (lye && best?.kind !== 'additive')
    return line(lye[1], 1.5, null, lye[1] === 'koh' ? 'Potassium hydroxide' : 'Sodium hydroxide')
  if (waterWords.test(name)) return line('water', 1, null, 'Water')
  if (scentWords.test(name)) return line('scent', 0.95)
  if (best?.kind === 'fat') return line('fat', best.density.value, best.id, best.name)
  if (best?.kind === 'liquid') return line('liquid', 1, best.id, best.name)
  if (best) return line('additive', 1, best.id, best.name)
  return {
    ...line('unknown', 1),
    says:
      name && Number.isNaN(readNumber(name))
        ? `"${name}" is not in the library.`
        : 'No name found in it.',
  }
}

/** Reads somebody's recipe as written. Nothing is dropped: what is not understood comes back as such. */
export function readRecipe(text: string, library: Library): RecipeLine[] {
  return piecesOf(text).map((piece) => readPiece(piece, library))
}
