import { scentDensity } from '../formula/measure'
import type { Library, Material } from '../materials/library'
import { amountOf, amountsIn, type Amount, type AmountRole, type FoundAmount } from './amount'
import { isLyeWord, lyeKindOf, notLyeIn, plainWaterWords, waterWords } from './lyeWords'
import { isFiller, readName } from './materialNames'
import { tokensOf, type Range, type Token } from './tokens'

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
export interface Reading {
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
  reading: Reading
}

export interface ReadingContext {
  library: Library
  /** Which citric acid is in the workshop's jar; null where it has not said. */
  citricAcid?: 'anhydrous' | 'monohydrate' | null
  /** Scents the workshop knows. */
  scents?: { id: string; name: string }[]
}

/** A name as an id: `Fir & smoke` becomes `fir-and-smoke`. */
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

const scentWords = new Set(
  'fragrance fragrances essential eo eos fo fos scent scented perfume parfum aroma absolute absolut'.split(
    ' ',
  ),
)
/** Plants whose "oil" is a scent before it is anything else. */
const scentPlants = new Set(
  `lavender lavandin peppermint spearmint mint eucalyptus rosemary thyme sage patchouli vetiver cedarwood cedar sandalwood pine fir
  spruce juniper cypress lemongrass citronella geranium rose jasmine neroli petitgrain bergamot orange lemon lime grapefruit mandarin
  tangerine clove cinnamon ginger cardamom nutmeg aniseed anise fennel basil marjoram frankincense myrrh benzoin vanilla ylang tea
  tonka litsea camphor cajeput wintergreen chamomile bay palmarosa oakmoss smoke rain linen musk amber`.split(
    /\s+/,
  ),
)
const colourWords = new Set(
  'mica micas oxide oxides pigment pigments ultramarine ultramarines colourant colorant colour color dye dyes lake lakes neon glitter'.split(
    ' ',
  ),
)
/** What they are called beside a colour: enough for an own colourant without a word for colour is asked, not offered. */
const superfatWords = new Set([
  'superfat',
  'superfatted',
  'superfatting',
  'sf',
  'superfats',
  'overfat',
  'uberfettung',
])
const superfatFillers = new Set(
  'at of the lye discount with oils oil total level reduction is a super fat fatted in i use my'.split(
    ' ',
  ),
)
const figureWords = new Set(
  'ratio strength concentration solution conc water lye to of the is at with use my a in waters parts part'.split(
    ' ',
  ),
)
const solutionWords = new Set(
  'solution liquid masterbatch masterbatched premixed premade ready mixed made stock diluted'.split(
    ' ',
  ),
)
const lyeFillers = new Set(
  `crystals crystal flakes flake flaked beads bead pearls pearl prills prill granules granule micropearls pellets powder dry solid pure
  grade tin chemical weigh weighed amount weight needed sodium soda potassium potash natrium kalium caustic purity to in own cup its
  separate batch soaps sodio potasio soude sosa potasse kaustik caustica caustique soap making soapmaking makers makers`.split(
    /\s+/,
  ),
)
const nouns: Partial<Record<ReadingKind, string>> = {
  fat: 'a fat',
  liquid: 'a liquid',
  additive: 'an extra',
  scent: 'a scent',
  naoh: 'lye',
  koh: 'potash',
  lye: 'lye',
  water: 'water',
  ice: 'ice',
  superfat: 'superfat',
  ratio: 'lye strength',
}
const roleSays: Record<AmountRole, string> = {
  weight: 'weight',
  spoon: 'spoon',
  share: 'share',
  rate: 'of oils',
  ratio: 'parts',
  number: 'what?',
  other: 'a note',
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** A line taken apart once, for whatever kind it turns out to be. */
interface Line {
  text: string
  tokens: Token[]
  /** Tokens that may name something. */
  names: Token[]
  words: string[]
  found: FoundAmount[]
  main: { amount: FoundAmount; conflict: boolean } | null
  context: ReadingContext
}

function lineOf(text: string, context: ReadingContext): Line {
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

/** Neighbouring words as one peg. */
function wordPegs(line: Line, places: number[], role: Peg['role'], says: string): Peg[] {
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

const every = (line: Line) => line.names.map((_, place) => place)

function plain(line: Line, kind: ReadingKind, name: string, pegs: Peg[] = []): Reading {
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

const optionOf = (reading: Reading, says = ''): Option => ({
  kind: reading.kind,
  id: reading.id,
  name: reading.name,
  says,
  reading,
})

const asked = (reading: Reading, says: string, options: Option[] = []): Reading => ({
  ...reading,
  doubtful: true,
  says,
  options,
})

/** The line as a note, left out of the sum. */
const leftOut = (line: Line): Option =>
  optionOf(
    {
      ...plain(line, 'title', line.text),
      amount: null,
      pegs: [],
      says: 'Left out, kept as a note.',
    },
    'kept as a note',
  )

const sayUnit = (amount: Amount): string => {
  switch (amount.kind) {
    case 'grams':
      return amount.unit === 'oz' || amount.unit === 'lb'
        ? `${Number((amount.grams / (amount.unit === 'oz' ? 28.349523125 : 453.59237)).toPrecision(6))} ${amount.unit}`
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
  grams: value * (unit === 'oz' ? 28.349523125 : 1),
  unit,
})

/** What a number without a unit may be, by what it is a number of. */
function unitsFor(kind: ReadingKind, value: number): Amount[] {
  const share: Amount = { kind: 'share', share: value / 100, of: null }
  if (kind === 'naoh' || kind === 'koh' || kind === 'lye')
    return [gramsAs(value, 'g'), gramsAs(value, 'oz')]
  if (kind === 'water' || kind === 'ice') return [gramsAs(value, 'g'), gramsAs(value, 'oz'), share]
  return [share, gramsAs(value, 'g'), gramsAs(value, 'oz')]
}

/** Asks about the amount where it cannot be taken as it is; else hands the reading on. */
function withAmount(line: Line, reading: Reading): Reading {
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

const listed = (line: Line, places: number[]) =>
  places.map((place) => `“${line.names[place]!.raw}”`).join(' and ')

/* Figures: superfat, lye strength, lye, water, ice */

function superfat(line: Line): Reading | null {
  const { words } = line
  const text = words.join(' ')
  const says = words.some((word) => superfatWords.has(word)) || /\bsuper fat(ted)?\b/.test(text)
  const discount = /\blye (discount|reduction)\b/.test(text) || /\bdiscount lye\b/.test(text)
  if (!says && !discount) return null
  const left = words.flatMap((word, place) =>
    superfatWords.has(word) || superfatFillers.has(word) ? [] : [place],
  )
  const reading = plain(line, 'superfat', 'Superfat', [
    ...wordPegs(
      line,
      every(line).filter((place) => !left.includes(place)),
      'superfat',
      'superfat',
    ),
    ...wordPegs(line, left, 'left', 'what?'),
  ])
  const amount = line.main?.amount.amount
  const share =
    amount?.kind === 'share' ? amount.share : amount?.kind === 'number' ? amount.value / 100 : null
  if (left.length)
    return asked(reading, `${listed(line, left)} does not belong to a superfat.`, [leftOut(line)])
  if (line.main?.amount.doubt && line.main.amount.either) return withAmount(line, reading)
  if (share === null || share < -0.5 || share > 0.9)
    return asked(reading, 'How much superfat, in per cent?')
  return {
    ...reading,
    amount: { kind: 'share', share, of: null },
    pegs: reading.pegs.map((peg) =>
      peg.role === 'number' ? { ...peg, role: 'share', says: 'share' } : peg,
    ),
  }
}

const strengthOf = (line: Line): number | null => {
  const share = line.found.find(({ amount }) => amount.kind === 'share')?.amount
  if (share?.kind === 'share') return share.share
  const pair = line.found.find(({ amount }) => amount.kind === 'pair')?.amount
  return pair?.kind === 'pair' ? Math.min(pair.first, pair.second) : null
}

const proportioned = (
  reading: Reading,
  held: 'ratio' | 'strength' | 'shareOfOils',
  value: number,
): Reading => ({
  ...reading,
  kind: held === 'shareOfOils' ? 'water' : 'ratio',
  name: held === 'strength' ? 'Lye strength' : held === 'ratio' ? 'Water to lye' : 'Water',
  proportion: { held, value },
})

const lyeNames = {
  naoh: 'Sodium hydroxide',
  koh: 'Potassium hydroxide',
  lye: 'Lye',
} as const

/** Strengths that ready-mixed lye is sold and kept at. */
const usualStrengths = [0.5, 0.33, 0.3]

function lye(line: Line): Reading | null {
  const { words } = line
  const kind = lyeKindOf(words)
  if (!kind) return null
  const text = words.join(' ')
  const waterFirst = words.findIndex((word) => waterWords.has(word))
  const lyeAt = words.findIndex(isLyeWord)
  const masses = line.found.filter(({ amount }) => amount.kind === 'grams')
  const volumes = line.found.filter(({ amount }) => amount.kind === 'volume')
  const ratio = line.found.find(({ amount }) => amount.kind === 'ratio')?.amount
  const left = words.flatMap((word, place) =>
    isLyeWord(word) ||
    lyeFillers.has(word) ||
    solutionWords.has(word) ||
    figureWords.has(word) ||
    isFiller(word) ||
    waterWords.has(word)
      ? []
      : [place],
  )
  const pegs = [
    ...wordPegs(
      line,
      every(line).filter((place) => !left.includes(place)),
      kind,
      'lye',
    ),
    ...wordPegs(line, left, 'left', 'not lye'),
  ]
  const reading = plain(line, kind, lyeNames[kind], pegs)

  // "190 g water for the lye" is water.
  if (
    waterFirst >= 0 &&
    waterFirst < lyeAt &&
    /\b(for|to dissolve|to mix|with)\b/.test(text) &&
    !ratio &&
    !strengthOf(line)
  )
    return withAmount(line, {
      ...plain(line, 'water', 'Water', wordPegs(line, every(line), 'water', 'liquid')),
    })
  if (left.length) {
    const scented = left.some((place) => scentWords.has(words[place]!))
    return asked(
      reading,
      scented
        ? `A word for lye stands beside ${listed(line, left)}: lye is never a scent.`
        : `${listed(line, left)} is a word too many for lye.`,
      [leftOut(line)],
    )
  }
  if (ratio?.kind === 'ratio') return proportioned(reading, 'ratio', ratio.ratio)
  const strength = strengthOf(line)
  const figure = /\b(strength|concentration|conc)\b/.test(text)
  const bare = line.found.find(({ amount }) => amount.kind === 'number')
  if (masses.length === 0 && volumes.length === 0 && !bare && strength !== null) {
    if (strength >= 0.15 && strength <= 0.55) return proportioned(reading, 'strength', strength)
    return asked(
      reading,
      figure
        ? 'Lye strength lies between 15 and 55 %.'
        : `Is ${sayUnit({ kind: 'share', share: strength, of: null })} the lye’s strength, or its weight in per cent of the oils? Give its grams, or a strength between 15 and 55 %.`,
      [leftOut(line)],
    )
  }
  const { main } = line
  if (volumes.length)
    return asked(
      reading,
      'Lye is weighed, never measured by spoon or cup: a cup of flakes may be 200 g or 300 g. Find its weight.',
    )
  if (main?.amount.amount.kind === 'rate' || main?.amount.amount.kind === 'some')
    return asked(reading, 'Lye follows from the fats, not from a rate. Find its weight.')
  const grams = masses.length ? amountOf(masses)! : null
  const dissolved =
    words.some((word) => solutionWords.has(word)) ||
    /\blye water\b/.test(text) ||
    (strength !== null && strength <= 0.55)
  const weight: Reading = {
    ...reading,
    amount: grams?.amount.amount ?? bare?.amount ?? reading.amount,
  }
  /** The line with its weight settled: by what it says, or asked about where a number has no unit. */
  const weighedAs = (lye: Reading): Reading =>
    bare && !grams
      ? withAmount({ ...line, main: { amount: bare, conflict: false } }, lye)
      : withAmount(line, lye)
  if (grams?.conflict)
    return asked(weight, 'Two amounts of lye stand in this line, and they are not the same.')
  if (dissolved) {
    if (strength === null) {
      const marked = every(line).filter(
        (place) => solutionWords.has(words[place]!) || waterWords.has(words[place]!),
      )
      const said = every(line).filter((place) => !marked.includes(place))
      const loose = plain(line, kind, lyeNames[kind], [
        ...wordPegs(line, said, kind, 'lye'),
        ...wordPegs(line, marked, 'left', 'how strong?'),
      ])
      const much = weight.amount?.kind === 'grams' ? weight.amount.grams : null
      return asked(
        { ...loose, amount: weight.amount },
        'How strong is the solution? Its label says.',
        usualStrengths.map((one) => ({
          ...optionOf(
            weighedAs({ ...weight, solution: one, name: `Lye solution, ${one * 100} %` }),
            much === null ? '' : `${Number((much * one).toFixed(1))} g of lye`,
          ),
          name: `${one * 100} %`,
        })),
      )
    }
    if (strength < 0.1 || strength > 0.55)
      return asked(weight, 'A lye solution holds between 10 and 55 % of lye.')
    return weighedAs({
      ...weight,
      solution: strength,
      name: `Lye solution, ${Number((strength * 100).toFixed(2))} %`,
    })
  }
  if (strength !== null) {
    if (strength < 0.8)
      return asked(weight, 'Is that the strength of a solution, or how pure the flakes are?', [
        leftOut(line),
      ])
    return weighedAs({ ...weight, purity: Math.min(1, strength) })
  }
  if (!main) return asked(weight, 'How much lye? Give its weight.')
  return weighedAs(weight)
}

/** "ratio 2:1", "33 % concentration": how strong the lye is, without a word for lye. */
function figure(line: Line): Reading | null {
  const { words } = line
  const ratio = line.found.find(({ amount }) => amount.kind === 'ratio')?.amount
  const strength = strengthOf(line)
  if (!words.length || !words.every((word) => figureWords.has(word) || isFiller(word))) return null
  const reading = plain(
    line,
    'ratio',
    'Water to lye',
    wordPegs(line, every(line), 'ratio', 'lye strength'),
  )
  if (ratio?.kind === 'ratio' && words.some((word) => word === 'ratio' || waterWords.has(word)))
    return proportioned(reading, 'ratio', ratio.ratio)
  if (
    strength !== null &&
    words.some((word) => ['strength', 'concentration', 'conc'].includes(word))
  )
    return strength >= 0.15 && strength <= 0.55
      ? proportioned(reading, 'strength', strength)
      : asked(reading, 'Lye strength lies between 15 and 55 %.')
  return null
}

function water(line: Line): Reading | null {
  const { words } = line
  if (!words.some((word) => waterWords.has(word))) return null
  if (words.includes('discount') || words.includes('reduction'))
    return asked(
      plain(line, 'unknown', 'Water discount', wordPegs(line, every(line), 'left', 'from what?')),
      'A discount from what? Makers mean different full waters. Say the water itself: as 2.2 : 1, 33 % lye, or 30 % of the oils.',
      [leftOut(line)],
    )
  const left = words.flatMap((word, place) =>
    waterWords.has(word) || plainWaterWords.has(word) || isFiller(word) || word === 'as'
      ? []
      : [place],
  )
  if (left.length) return null
  const reading = plain(line, 'water', 'Water', wordPegs(line, every(line), 'water', 'liquid'))
  const amount = line.main?.amount.amount
  if (amount?.kind === 'ratio') return proportioned(reading, 'ratio', amount.ratio)
  if (amount?.kind === 'pair') return proportioned(reading, 'strength', amount.second)
  if (amount?.kind === 'share') {
    if (amount.share < 0.1 || amount.share > 1)
      return asked(reading, 'Water in per cent of the oils lies between 10 and 100 %.')
    return proportioned(reading, 'shareOfOils', amount.share)
  }
  if (!amount) return asked(reading, 'How much water?')
  return withAmount(line, reading)
}

function ice(line: Line): Reading | null {
  const { words } = line
  if (!words.some((word) => word === 'ice' || word === 'icecubes')) return null
  const fit = new Set(['ice', 'icecubes', 'cubes', 'cube', 'crushed', 'cubed', 'water'])
  if (!words.every((word) => fit.has(word) || isFiller(word))) return null
  const reading = plain(line, 'ice', 'Ice', wordPegs(line, every(line), 'ice', 'ice'))
  const amount = line.main?.amount.amount
  if (!amount) return asked(reading, 'How much ice?')
  if (amount.kind === 'share' && (amount.share < 0 || amount.share > 1))
    return asked(reading, 'Ice is a share of the water, up to 100 %.')
  return withAmount(line, reading)
}

/* Substances */

const materialSays: Record<Material['kind'], string> = {
  fat: 'a fat',
  liquid: 'a liquid',
  additive: 'an extra',
}

/** The line with one material taken for it, whatever else it says. */
function asMaterial(line: Line, material: Material, left: number[] = []): Reading {
  const role = material.kind === 'additive' && material.tints ? 'colour' : material.kind
  const pegs = [
    ...wordPegs(
      line,
      every(line).filter((place) => !left.includes(place)),
      role,
      role === 'colour' ? 'colourant' : materialSays[material.kind],
    ),
    ...wordPegs(line, left, 'left', material.kind === 'fat' ? 'not a fat' : 'what?'),
  ]
  return { ...plain(line, material.kind, material.name, pegs), id: material.id }
}

/** The name as it was typed: the line without its amounts. */
const typedName = (line: Line): string =>
  line.found
    .reduceRight((text, { start, end }) => `${text.slice(0, start)} ${text.slice(end)}`, line.text)
    .replace(/\(\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:=/-]+|[\s,;:=/-]+$/g, '')

function asScent(line: Line, known?: { id: string; name: string }): Reading {
  const words = typedName(line)
    .replace(/\beo\b/gi, 'essential oil')
    .replace(/\bfo\b/gi, 'fragrance')
    .replace(/^of /i, '')
    .trim()
  const name = known?.name ?? capital(words || 'Scent')
  return {
    ...plain(line, 'scent', name.slice(0, 120), wordPegs(line, every(line), 'scent', 'a scent')),
    id: known?.id ?? idFrom(name),
  }
}

function asOwn(line: Line, own: 'colour' | 'fat'): Reading {
  const name = capital(typedName(line).replace(/^of /i, ''))
  const kind = own === 'fat' ? 'fat' : 'additive'
  return {
    ...plain(
      line,
      kind,
      name.slice(0, 120),
      wordPegs(
        line,
        every(line),
        own === 'colour' ? 'colour' : kind,
        own === 'colour' ? 'colourant' : 'a fat of your own',
      ),
    ),
    id: `own-${idFrom(name)}`,
    own,
  }
}

const lyeTaken = (material: Material): string =>
  material.kind === 'fat'
    ? 'a fat, takes lye'
    : material.kind === 'liquid'
      ? material.naohTaken > 0
        ? 'a sour liquid, takes a little lye'
        : 'a liquid'
      : material.acid
        ? 'an acid, takes lye'
        : material.fat
          ? 'holds fat'
          : 'takes no lye'

function knownScent(line: Line): { id: string; name: string } | null {
  const typed = line.words.filter(
    (word) => !isFiller(word) && !scentWords.has(word) && word !== 'oil',
  )
  if (!typed.length) return null
  return (
    line.context.scents?.find(({ name }) => {
      const words = tokensOf(name)
        .filter(({ kind }) => kind === 'word')
        .map(({ text }) => text)
        .filter((word) => !isFiller(word) && word !== 'oil' && !scentWords.has(word))
      return words.length === typed.length && words.every((word) => typed.includes(word))
    }) ?? null
  )
}

const vinegars = [
  ['vinegar-5', 0.05],
  ['vinegar-10', 0.1],
  ['vinegar-25', 0.25],
] as const

/** Vinegar by the strength its label states; a strength that nobody stated is asked about where it is not the kitchen's. */
function vinegar(line: Line, reading: Reading): Reading {
  const { library } = line.context
  const options = vinegars.map(([id]) =>
    optionOf(asMaterial(line, library.liquids.get(id)!), 'by its label'),
  )
  const share = line.found.find(({ amount }) => amount.kind === 'share')?.amount
  const weighed = line.main !== null && line.main.amount.amount.kind !== 'share'
  if (share?.kind === 'share' && weighed) {
    const known = vinegars.find(([, strength]) => Math.abs(strength - share.share) < 0.011)
    return known
      ? withAmount(line, asMaterial(line, library.liquids.get(known[0])!))
      : asked(
          reading,
          'Vinegar of another strength than 5, 10 or 25 %: dilute it to one of them, or write it down as a liquid of your own.',
          options,
        )
  }
  if (share?.kind === 'share')
    return asked(
      reading,
      'Is that the strength of the vinegar, or its share of the liquid? Give its weight.',
      options,
    )
  if (reading.id !== 'vinegar-5')
    return asked(
      reading,
      'How strong is it? Its label says; kitchen vinegar has 5 %, essence may have 25 %.',
      options,
    )
  return withAmount(line, { ...reading, says: 'Counted as 5 % acid, as kitchen vinegar is.' })
}

function substance(line: Line): Reading {
  const { words, context } = line
  const { library } = context
  if (!words.length) {
    const amount = line.main?.amount.amount
    if (amount?.kind === 'grams') return plain(line, 'size', 'Size')
    return asked(plain(line, 'unknown', line.text), 'No name found in it.', [leftOut(line)])
  }
  // What stands before "infused" was steeped in the oil and strained out again.
  const infused = words.indexOf('infused')
  const steeped = infused > 0 ? every(line).filter((place) => place <= infused) : []
  const named = every(line).filter((place) => !steeped.includes(place))
  const read = readName(
    named.map((place) => words[place]!),
    library,
  )
  const back = (places: number[]) => places.map((place) => named[place]!)
  const scented = words.some((word) => scentWords.has(word))
  const scent = knownScent(line)
  if (scented || scent) return withAmount(line, asScent(line, scent ?? undefined))

  const citric =
    read.material?.id.startsWith('citric-acid') && !read.left.length && !read.slips.length
  const said = words.some((word) => word === 'anhydrous' || word === 'monohydrate')
  if (citric && !said) {
    const jar = context.citricAcid ?? 'monohydrate'
    const reading = asMaterial(line, library.additives.get(`citric-acid-${jar}`)!)
    return withAmount(line, {
      ...reading,
      says: context.citricAcid
        ? ''
        : 'Taken as the monohydrate, the safe side: the anhydrous kind takes a tenth more lye.',
    })
  }
  const { material } = read
  if (
    material?.id === 'acetic-acid' &&
    !read.left.length &&
    !words.some((word) => word === 'pure' || word === 'glacial')
  )
    return asked(
      asMaterial(line, material),
      'How strong is the acid? Pure acetic acid is a laboratory’s; bottles for the house hold 5 to 25 %.',
      ['vinegar-25', 'vinegar-10', 'vinegar-5']
        .map((id) =>
          optionOf(settledAmount(line, asMaterial(line, library.liquids.get(id)!)), 'by its label'),
        )
        .concat(optionOf(settledAmount(line, asMaterial(line, material)), 'pure'), leftOut(line)),
    )
  if (material?.id.startsWith('vinegar') && !read.left.length && !read.slips.length)
    return vinegar(line, asMaterial(line, material))
  if (material && !read.doubtful) return withAmount(line, asMaterial(line, material))

  const colour = words.some((word) => colourWords.has(word))
  const known = words.every(
    (word) => colourWords.has(word) || isFiller(word) || /^\p{L}+$/u.test(word),
  )
  if (colour && known && !(material && material.kind !== 'additive'))
    return withAmount(line, {
      ...asOwn(line, 'colour'),
      says: 'A colourant of your own: it takes no lye.',
    })

  const plantOil = words.some((word) => scentPlants.has(word))
  const left = back(read.left)
  const options: Option[] = [
    ...(plantOil && (!material || read.left.length || read.bareFood)
      ? [optionOf(asScent(line), 'a scent')]
      : []),
    ...read.candidates.slice(0, 5).map((one) => optionOf(asMaterial(line, one), lyeTaken(one))),
    ...(plantOil && material && !read.left.length && !read.bareFood
      ? [optionOf(asScent(line), 'a scent')]
      : []),
    optionOf(asOwn(line, 'fat'), 'asks its lye value'),
    ...(plantOil ? [] : [optionOf(asScent(line), 'a scent')]),
    leftOut(line),
  ].map((option) => ({ ...option, reading: settledAmount(line, option.reading) }))
  if (!material)
    return asked(
      {
        ...plain(
          line,
          'unknown',
          capital(line.names.map(({ raw }) => raw).join(' ')),
          wordPegs(line, every(line), 'left', 'what is it?'),
        ),
      },
      plantOil
        ? 'Its essential oil, for the smell? Say so: a scent takes no lye, a fat does.'
        : `“${line.names.map(({ raw }) => raw).join(' ')}” is not in the library. What is it?`,
      options,
    )
  const reading = asMaterial(line, material, left)
  if (read.slips.length && !read.left.length) {
    const slip = read.slips[0]!
    return asked(
      reading,
      `“${line.names[named[slip.at]!]!.raw}” is not a word Mantle knows. ${material.name}?`,
      options,
    )
  }
  if (left.length)
    return asked(
      reading,
      `${listed(line, left)} ${left.length > 1 ? 'are words' : 'is a word'} too many for ${material.name.split(',')[0]!.toLowerCase()}.`,
      options,
    )
  return asked(
    reading,
    read.bareFood
      ? `${capital(words.join(' '))}: its oil, what else is made of it, or a scent?`
      : `${capital(words.join(' '))} may be ${read.candidates
          .slice(0, 2)
          .map(({ name }) => name.split(',').join(''))
          .join(' or ')}. Which?`,
    options,
  )
}

/** An answer to a name may leave the amount to be asked about. */
function settledAmount(line: Line, reading: Reading): Reading {
  if (reading.kind === 'title') return reading
  if (reading.id?.startsWith('vinegar')) return vinegar(line, reading)
  return withAmount(line, reading)
}

/**
 * Reads one line: what it names, how much of it, and what it leaves open. A word for lye or water always means the formula's own
 * figures, never a line of it.
 */
export function readLine(text: string, context: ReadingContext): Reading {
  const line = lineOf(text, context)
  const figured = superfat(line)
  if (figured) return figured
  const refused = notLyeIn(line.words)
  if (refused) {
    const extra = refused.id ? context.library.additives.get(refused.id) : undefined
    const reading = plain(
      line,
      'unknown',
      refused.name,
      wordPegs(line, every(line), 'left', 'not lye'),
    )
    return asked(reading, refused.says, [
      ...(extra
        ? [
            optionOf(
              settledAmount(line, asMaterial(line, extra)),
              extra.acid ? 'an extra, takes lye' : 'an extra, takes no lye',
            ),
          ]
        : []),
      leftOut(line),
    ])
  }
  const alkali = lye(line) ?? bareSoda(line)
  if (alkali) return alkali
  return figure(line) ?? ice(line) ?? water(line) ?? substance(line)
}

/** The line with one material taken for it by hand, whatever its words leave open; its amount may still be asked about. */
export function readAs(text: string, material: Material, context: ReadingContext): Reading {
  const line = lineOf(text, context)
  return settledAmount(line, asMaterial(line, material))
}

/** "soda" or "potash" alone: three white powders go by that name, and only one is lye. */
function bareSoda(line: Line): Reading | null {
  const { words } = line
  const soda = words.some((word) => ['soda', 'soude', 'sosa', 'alkali'].includes(word))
  const potash = words.includes('potash')
  if (!soda && !potash) return null
  if (words.some((word) => scentWords.has(word))) return null
  const kind = potash ? 'koh' : 'naoh'
  const reading = plain(
    line,
    'lye',
    capital(words.join(' ')),
    wordPegs(line, every(line), 'left', 'which?'),
  )
  const only = words.every(
    (word) => ['soda', 'soude', 'sosa', 'alkali', 'potash'].includes(word) || isFiller(word),
  )
  if (!only)
    return asked(reading, `${capital(words.join(' '))} is no name for lye that Mantle knows.`, [
      leftOut(line),
    ])
  return asked(
    reading,
    potash
      ? 'Potash may be potassium hydroxide, which is lye, or potassium carbonate, which is not. What does the label say?'
      : 'Caustic soda is lye; washing soda and baking soda are not. What does the label say?',
    [
      optionOf(
        withAmount(
          line,
          plain(line, kind, lyeNames[kind], wordPegs(line, every(line), kind, 'lye')),
        ),
        'lye',
      ),
      leftOut(line),
    ],
  )
}

/** g of a line and whether they are worked out from a volume; null where it has none, or only a share or a rate. */
export function gramsOfReading(
  reading: Reading,
  library: Library,
): { grams: number; estimated: boolean } | null {
  const { amount, kind, id } = reading
  if (amount?.kind === 'grams') return { grams: amount.grams, estimated: false }
  if (amount?.kind !== 'volume') return null
  const density =
    kind === 'fat'
      ? (library.fats.get(id ?? '')?.density.value ?? 0.91)
      : kind === 'additive'
        ? (library.additives.get(id ?? '')?.density ?? 0.5)
        : kind === 'scent'
          ? scentDensity(reading.name)
          : 1
  const exact =
    (kind === 'water' || kind === 'liquid') && (amount.unit === 'ml' || amount.unit === 'l')
  return { grams: amount.millilitres * density, estimated: !exact }
}

export const nounOf = (kind: ReadingKind): string => nouns[kind] ?? 'a note'
