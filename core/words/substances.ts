import { capital, inSentence } from '../units/language'
import type { Material } from '../materials/library'
import {
  asked,
  every,
  idFrom,
  leftOut,
  listed,
  optionOf,
  plainReading,
  scentWords,
  withAmount,
  wordPegs,
  type Line,
  type Option,
  type LineReading,
} from './line'
import { isFiller, readName } from './materialNames'
import { tokensOf } from '../materials/tokens'

/* Lines that name something to put in: a fat, a liquid, an extra, a colourant, a scent. */

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

const materialSays: Record<Material['kind'], string> = {
  fat: 'a fat',
  liquid: 'a liquid',
  additive: 'an extra',
}

/**
 * The line with one material taken for it, whatever else it says.
 * @example asMaterial(line('coco 300 g'), shipped.fats.get('coconut')).name // 'Coconut oil, melts at 24 °C'
 */
export function asMaterial(line: Line, material: Material, left: number[] = []): LineReading {
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
  return { ...plainReading(line, material.kind, material.name, pegs), id: material.id }
}

/** The name as it was typed: the line without its amounts. */
const typedName = (line: Line): string =>
  line.found
    .reduceRight((text, { start, end }) => `${text.slice(0, start)} ${text.slice(end)}`, line.text)
    .replace(/\(\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:=/-]+|[\s,;:=/-]+$/g, '')

function asScent(line: Line, known?: { id: string; name: string }): LineReading {
  const words = typedName(line)
    .replace(/\beo\b/gi, 'essential oil')
    .replace(/\bfo\b/gi, 'fragrance')
    .replace(/^of /i, '')
    .trim()
  const name = known?.name ?? capital(words || 'Scent')
  return {
    ...plainReading(
      line,
      'scent',
      name.slice(0, 120),
      wordPegs(line, every(line), 'scent', 'a scent'),
    ),
    id: known?.id ?? idFrom(name),
  }
}

function asOwn(line: Line, own: 'colour' | 'fat'): LineReading {
  const name = capital(typedName(line).replace(/^of /i, ''))
  const kind = own === 'fat' ? 'fat' : 'additive'
  return {
    ...plainReading(
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
function vinegar(line: Line, reading: LineReading): LineReading {
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

/**
 * A line about a fat, a liquid, an extra or a scent; a question where it is not clear which.
 * @example substance(line('300 g coconut')).kind // 'fat'
 */
export function substance(line: Line): LineReading {
  const { words, context } = line
  const { library } = context
  if (!words.length) {
    const amount = line.main?.amount.amount
    if (amount?.kind === 'grams') return plainReading(line, 'size', 'Size')
    return asked(plainReading(line, 'unknown', line.text), 'No name found in it.', [leftOut(line)])
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
        ...plainReading(
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
      `${listed(line, left)} ${left.length > 1 ? 'are words' : 'is a word'} too many for ${inSentence(material.name.split(',')[0]!)}.`,
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

/**
 * An answer to a name may leave the amount to be asked about.
 * @example settledAmount(line('40 g honey'), readLine('40 g honey', reading)).kind // 'additive'
 */
export function settledAmount(line: Line, reading: LineReading): LineReading {
  if (reading.kind === 'title') return reading
  if (reading.id?.startsWith('vinegar')) return vinegar(line, reading)
  return withAmount(line, reading)
}
