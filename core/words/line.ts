import type { Library } from '../materials/library'
import { gramsPer } from '../units/measures'
import { amountOf, amountsIn, type Amount, type AmountRole, type FoundAmount } from './amount'
import { tokensOf, type Range, type Token } from '../materials/tokens'

/* A typed line taken apart, and what can be said of it whatever it turns out to be: its pegs, its amount, its questions. */

/** What a line may be. `ratio` is any way to say how strong the lye is; `title` is a line that is left out. */
export type ReadingKind =
  | 'fat'
  | 'liquid'
  | 'additive'
  | 'scent'
  | 'naoh'
  | 'koh'
  | 'lye'
  | 'water'
  | 'ice'
  | 'superfat'
  | 'ratio'
  | 'size'
  | 'title'
  | 'unknown'

/** A stretch of the line and what it was taken for; `left` is what nobody accounts for. */
export interface Peg extends Range {
  role: ReadingKind | AmountRole | 'colour' | 'strength' | 'left'
  says: string
}

/** One line as Mantle reads it. */
export interface LineReading {
  text: string
  kind: ReadingKind
  /** Material, or scent; null for figures, and for what is not known yet. */
  id: string | null
  name: string
  amount: Amount | null
  /** Share of lye in a lye solution; null where lye is dry. */
  solution: number | null
  /** Purity stated with the lye; null where none is. */
  purity: number | null
  /** Water said as a proportion, by `ratio` and `water` lines. */
  proportion: { held: 'ratio' | 'strength' | 'shareOfOils'; value: number } | null
  /** A colourant, or a fat, that the library lacks. */
  own: 'colour' | 'fat' | null
  pegs: Peg[]
  /** Not to be taken without an answer. */
  doubtful: boolean
  /** What is asked, or why it is refused, or what goes without saying but should not. */
  says: string
  options: Option[]
}

/** An answer to what a doubtful line asks; taking it may lead to another question. */
export interface Option {
  kind: ReadingKind
  id: string | null
  name: string
  says: string
  reading: LineReading
}

export interface ReadingContext {
  library: Library
  /** Which citric acid is in the workshop's jar; null where it has not said. */
  citricAcid?: 'anhydrous' | 'monohydrate' | null
  /** Scents the workshop knows. */
  scents?: { id: string; name: string }[]
}

/**
 * A name as an id: `Fir & smoke` becomes `fir-and-smoke`.
 * @example idFrom('Sea clay, grey') // 'sea-clay-grey'
 */
export function idFrom(name: string): string {
  return (
    name
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/&/g, ' and ')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '') || 'unnamed'
  )
}

export const scentWords = new Set(
  'fragrance fragrances essential eo eos fo fos scent scented perfume parfum aroma absolute absolut'.split(
    ' ',
  ),
)

const roleSays: Record<AmountRole, string> = {
  weight: 'weight',
  spoon: 'spoon',
  share: 'share',
  rate: 'of oils',
  ratio: 'parts',
  number: 'what?',
  other: 'a note',
}

/** A line taken apart once, for whatever kind it turns out to be. */
export interface Line {
  text: string
  tokens: Token[]
  /** Tokens that may name something. */
  names: Token[]
  words: string[]
  found: FoundAmount[]
  main: { amount: FoundAmount; conflict: boolean } | null
  context: ReadingContext
}

/**
 * A line of text, taken apart: its amounts, its names, and what is left over.
 * @example lineOf('40 g honey', reading).words // ['honey']
 */
export function lineOf(text: string, context: ReadingContext): Line {
  const tokens = tokensOf(text)
  const all = amountsIn(tokens, context.library.spoons ?? 'us')
  // "Coconut 76" and "76 degree coconut" name the oil that melts at 76 °F.
  const coconut = tokens.some(({ text: word }) => word === 'coconut')
  const grade = (found: FoundAmount) =>
    coconut &&
    (tokens[found.from]!.value === 76 || tokens[found.from]!.value === 92) &&
    (found.amount.kind === 'number' || found.amount.kind === 'other')
  const found = all.filter((one) => !grade(one))
  const inAmount = (index: number) => found.some(({ from, to }) => index >= from && index <= to)
  const degrees = new Set(['degree', 'degrees', 'deg', 'f'])
  const names = tokens.filter(
    (token, index) =>
      !inAmount(index) &&
      ((token.kind === 'word' &&
        !(coconut && degrees.has(token.text)) &&
        !(token.text === 'soap' && tokens[index - 1]?.text === 'for')) ||
        (token.kind === 'number' && (token.value === 76 || token.value === 92) && coconut)),
  )
  return {
    text,
    tokens,
    names,
    words: names.map(({ text: word }) => word),
    found,
    main: amountOf(found),
    context,
  }
}

function amountPegs(line: Line): Peg[] {
  return line.found.flatMap((one): Peg[] => {
    const { role, from, rateFrom, start, end } = one
    if (role === 'other') return []
    const unsure =
      one.doubt !== undefined || one.amount.kind === 'number' || one.amount.kind === 'some'
    const peg = (range: Range, as: AmountRole): Peg => ({
      ...range,
      role: unsure && as !== 'rate' ? 'number' : as,
      says: unsure && as !== 'rate' ? roleSays.number : roleSays[as],
    })
    if (rateFrom === undefined) return [peg({ start, end }, role)]
    return [
      peg({ start: line.tokens[from]!.start, end: line.tokens[rateFrom - 1]!.end }, role),
      peg({ start: line.tokens[rateFrom]!.start, end }, 'rate'),
    ]
  })
}

/**
 * Neighbouring words as one peg.
 * @example wordPegs(line('40 g honey'), every(line('40 g honey')), 'name', 'honey') // [{ start: 5, end: 10, role: 'name', says: 'honey' }]
 */
export function wordPegs(line: Line, places: number[], role: Peg['role'], says: string): Peg[] {
  const pegs: Peg[] = []
  let last = -2
  for (const place of [...places].sort((a, b) => a - b)) {
    const { start, end } = line.names[place]!
    const between = pegs.length ? line.text.slice(pegs.at(-1)!.end, start) : ''
    if (place === last + 1 && /^[\s'’-]*$/.test(between)) pegs.at(-1)!.end = end
    else pegs.push({ start, end, role, says })
    last = place
  }
  return pegs
}

/**
 * The places of all names of a line.
 * @example every(line('40 g rose clay')) // [0, 1]
 */
export const every = (line: Line) => line.names.map((_, place) => place)

/**
 * A reading with its amount, nothing doubtful about it.
 * @example plainReading(line('40 g honey'), 'additive', 'Honey').amount // { kind: 'grams', grams: 40, unit: 'g' }
 */
export function plainReading(
  line: Line,
  kind: ReadingKind,
  name: string,
  pegs: Peg[] = [],
): LineReading {
  return {
    text: line.text,
    kind,
    id: null,
    name,
    amount: line.main?.amount.amount ?? null,
    solution: null,
    purity: null,
    proportion: null,
    own: null,
    pegs: [...pegs, ...amountPegs(line)].sort((a, b) => a.start - b.start),
    doubtful: false,
    says: '',
    options: [],
  }
}

/**
 * A reading as an answer that can be chosen.
 * @example optionOf(readLine('40 g honey', reading), 'Honey').says // 'Honey'
 */
export const optionOf = (reading: LineReading, says = ''): Option => ({
  kind: reading.kind,
  id: reading.id,
  name: reading.name,
  says,
  reading,
})

/**
 * A reading that is asked about, with the answers it may have.
 * @example asked(readLine('40 g honey', reading), 'Which honey?').says // 'Which honey?'
 */
export const asked = (reading: LineReading, says: string, options: Option[] = []): LineReading => ({
  ...reading,
  doubtful: true,
  says,
  options,
})

/**
 * The line as a note, left out of the sum.
 * @example leftOut(line('stir well')).reading.kind // 'title'
 */
export const leftOut = (line: Line): Option =>
  optionOf(
    {
      ...plainReading(line, 'title', line.text),
      amount: null,
      pegs: [],
      says: 'Left out, kept as a note.',
    },
    'kept as a note',
  )

/**
 * An amount as it would be written in a line.
 * @example sayUnit({ kind: 'grams', grams: 28.349523125, unit: 'oz' }) // '1 oz'
 */
export const sayUnit = (amount: Amount): string => {
  switch (amount.kind) {
    case 'grams':
      return amount.unit === 'oz' || amount.unit === 'lb'
        ? `${Number((amount.grams / gramsPer[amount.unit]).toPrecision(6))} ${amount.unit}`
        : `${Number(amount.grams.toPrecision(8))} g`
    case 'share':
      return `${Number((amount.share * 100).toPrecision(6))} %`
    case 'volume':
      return `${Number(amount.value.toPrecision(6))} ${amount.unit}`
    case 'rate':
      return `${Number(amount.value.toPrecision(6))} ${amount.unit} per ${amount.per}`
    case 'ratio':
      return `${Number(amount.ratio.toPrecision(6))} : 1`
    case 'pair':
      return `${amount.first * 100} : ${amount.second * 100}`
    case 'number':
      return String(amount.value)
    default:
      return ''
  }
}

const gramsAs = (value: number, unit: 'g' | 'oz'): Amount => ({
  kind: 'grams',
  grams: value * gramsPer[unit],
  unit,
})

/**
 * Whether a line is lye by its weight.
 * @example isLyeKind('fat') // false
 */
export const isLyeKind = (kind: ReadingKind): boolean =>
  kind === 'naoh' || kind === 'koh' || kind === 'lye'

/** What a number without a unit may be, by what it is a number of. */
function unitsFor(kind: ReadingKind, value: number): Amount[] {
  const share: Amount = { kind: 'share', share: value / 100, of: null }
  if (isLyeKind(kind)) return [gramsAs(value, 'g'), gramsAs(value, 'oz')]
  if (kind === 'water' || kind === 'ice') return [gramsAs(value, 'g'), gramsAs(value, 'oz'), share]
  return [share, gramsAs(value, 'g'), gramsAs(value, 'oz')]
}

/**
 * Asks about the amount where it cannot be taken as it is; else hands the reading on.
 * @example withAmount(line('40 g honey'), readLine('40 g honey', reading)).kind // 'additive'
 */
export function withAmount(line: Line, reading: LineReading): LineReading {
  const { main } = line
  if (!main || reading.doubtful) return reading
  const { amount, doubt, either } = main.amount
  const as = (one: Amount): Option => {
    const pegs = reading.pegs.map((peg) =>
      peg.role === 'number' ? { ...peg, role: 'weight' as const, says: roleSays.weight } : peg,
    )
    return {
      ...optionOf(
        { ...reading, amount: one, pegs, doubtful: false, says: '', options: [] },
        reading.name,
      ),
      name: sayUnit(one),
    }
  }
  if (doubt && either) return asked(reading, doubt, either.map(as))
  if (amount.kind === 'number')
    return asked(
      reading,
      `${Number(amount.value.toPrecision(6))} of what: ${unitsFor(reading.kind, amount.value)
        .map((one) => sayUnit(one).replace(/^[\d.,]+ /, ''))
        .join(', ')}?`,
      unitsFor(reading.kind, amount.value).map(as),
    )
  if (amount.kind === 'some')
    return asked(reading, 'How many? Nobody can weigh “a few”: weigh it once and write the grams.')
  if (main.conflict)
    return asked(reading, 'Two amounts stand in this line, and they are not the same.')
  if ('grams' in amount && amount.grams < 0)
    return asked(reading, 'Less than nothing cannot be weighed.')
  return reading
}

/**
 * The words of a line at these places, quoted.
 * @example listed(line('rose clay 5 g'), [0, 1]) // '“rose” and “clay”'
 */
export const listed = (line: Line, places: number[]) =>
  places.map((place) => `“${line.names[place]!.raw}”`).join(' and ')
