import { inSentence } from '../units/language'
import type { Amount } from '../words/amount'
import {
  gramsOfReading,
  readLine,
  type Option,
  type LineReading,
  type ReadingContext,
} from '../words/reading'
import { tokensOf } from '../materials/tokens'
import { usualKohPurity } from '../chemistry/alkali'
import { piecesOf } from './pieces'
import { sumOf } from '../statistics/sum'

/** One piece of a recipe and what it was taken for. */
export interface RecipeLine extends LineReading {
  /** g as weighed; of lye, of the alkali and not of its solution. Null where the recipe gives no weight. */
  grams: number | null
  /** Share of the oils where the recipe gives per cent. */
  share: number | null
  /** Grams worked out from a volume: an estimate. */
  estimated: boolean
}

const substances = new Set(['fat', 'liquid', 'additive', 'scent'])

/**
 * Gives a reading its grams and share.
 * @example weighed(readLine('450 g olive oil', reading), reading).grams // 450
 */
export function weighed(reading: LineReading, context: ReadingContext): RecipeLine {
  const found = gramsOfReading(reading, context.library)
  const pure = reading.solution ?? reading.purity
  // Potash is counted as flakes of the usual purity, soda as pure.
  const alkali = pure === null ? 1 : reading.kind === 'koh' ? pure / usualKohPurity : pure
  return {
    ...reading,
    grams: found ? found.grams * alkali : null,
    share: reading.amount?.kind === 'share' ? reading.amount.share : null,
    estimated: found?.estimated ?? false,
  }
}

/** Words that stand for an amount somewhere: without one a line may only be a heading, a step or a thought. */
const amounted = (reading: LineReading) =>
  reading.amount !== null && reading.amount.kind !== 'other'

/** A line that tells how, not what: kept, and left out of the sum. */
function asNote(reading: LineReading, first: boolean): LineReading {
  return {
    ...reading,
    kind: 'title',
    id: null,
    name: reading.text,
    amount: null,
    pegs: [],
    own: null,
    doubtful: false,
    says: first ? 'A title, left out.' : 'A sentence, kept as a note.',
    options: [],
  }
}

function readPiece(text: string, first: boolean, context: ReadingContext): LineReading {
  const reading = readLine(text, context)
  if (amounted(reading)) return reading
  const words = tokensOf(text).filter(({ kind }) => kind === 'word').length
  const left = reading.pegs.filter(({ role }) => role === 'left').length
  if (words >= 5 || (reading.doubtful && left > 1)) return asNote(reading, first)
  if (reading.kind === 'unknown' && first) return asNote(reading, first)
  if (substances.has(reading.kind) && !reading.doubtful)
    return { ...reading, doubtful: true, says: `How much ${inSentence(reading.name)}?` }
  return reading
}

const isNumber = (reading: LineReading) => reading.amount?.kind === 'number'
const optionFor = (reading: LineReading, fits: (amount: Amount) => boolean): Option | undefined =>
  reading.options.find(({ reading: { amount } }) => amount && fits(amount))

/**
 * Numbers without a unit in the unit of the lines around them: shares where the fats sum to 100 so, else the one unit that the
 * whole recipe weighs in. Where neither is plain they stay a question.
 */
function inRecipesUnit(readings: LineReading[]): LineReading[] {
  const fats = readings.filter(({ kind }) => kind === 'fat')
  const shareOf = ({ amount }: LineReading) =>
    amount?.kind === 'share' ? amount.share * 100 : amount?.kind === 'number' ? amount.value : null
  const shares = fats.map(shareOf)
  const whole =
    fats.length > 1 &&
    shares.every((share) => share !== null) &&
    Math.abs(sumOf(shares, (share) => share!) - 100) <= 0.5
  const units = new Set(
    readings.flatMap(({ amount }) =>
      amount?.kind === 'grams'
        ? [amount.unit === 'g' || amount.unit === 'kg' ? ('g' as const) : ('oz' as const)]
        : [],
    ),
  )
  const unit = units.size === 1 ? [...units][0]! : null
  const percent = fats.some(({ amount }) => amount?.kind === 'share')
  return readings.map((reading) => {
    if (!isNumber(reading) || !reading.doubtful) return reading
    const inUnit = (amount: Amount) => amount.kind === 'grams' && amount.unit === unit
    const chosen =
      reading.kind === 'fat' && whole
        ? optionFor(reading, ({ kind }) => kind === 'share')
        : unit && !(reading.kind === 'fat' && percent)
          ? optionFor(reading, inUnit)
          : undefined
    if (!chosen) return reading
    const says =
      chosen.reading.amount?.kind === 'share'
        ? 'In per cent, since the fats sum to 100.'
        : `In ${unit === 'g' ? 'grams' : 'ounces'}, as the other lines.`
    return { ...chosen.reading, says }
  })
}

/** A share of a liquid says nothing of its weight: of the water, of the oils, of the lye? */
function liquidByWeight(reading: LineReading): LineReading {
  if (reading.kind !== 'liquid' || reading.doubtful || reading.amount?.kind !== 'share')
    return reading
  return {
    ...reading,
    doubtful: true,
    says: 'Per cent of what? Give its weight, or take it over and say its share there.',
  }
}

/**
 * Reads somebody's recipe as written. Nothing is dropped: what is not understood comes back as a question.
 * @example readRecipe('500 g olive oil', { library: shipped, spoons: 'us' }).length // 1
 */
export function readRecipe(text: string, context: ReadingContext): RecipeLine[] {
  const pieces = piecesOf(text, context.library.spoons)
  const readings = pieces.map((piece, index) => readPiece(piece, index === 0, context))
  return inRecipesUnit(readings)
    .map(liquidByWeight)
    .map((reading) => weighed(reading, context))
}
