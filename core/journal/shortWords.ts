import type { ShortPlace, ShortWord } from '#contracts/journal'
import type { Library } from '../materials/library'
import { plainWord, tokensOf, type Token } from '../materials/tokens'

const timeUnits = new Set([
  'wk',
  'wks',
  'w',
  'week',
  'weeks',
  'd',
  'day',
  'days',
  'mo',
  'month',
  'months',
  'yr',
])

/** Whether a place of a line is where a short word means that. */
function stands(place: ShortPlace, tokens: readonly Token[], at: number): boolean {
  if (place === 'anywhere') return true
  if (place === 'beforeNumber') return tokens[at + 1]?.kind === 'number'
  const [unit, figure] = [tokens[at - 1], tokens[at - 2]]
  return figure?.kind === 'number' && unit !== undefined && timeUnits.has(unit.text)
}

/**
 * A line with its short words written out, and which of them were in it. Those that hold in one place only go before those that hold
 * anywhere.
 * @example spelledOut('CO 250', [{ short: 'CO', long: 'coconut oil', place: 'anywhere', times: 0 }]).text // 'coconut oil 250'
 */
export function spelledOut(
  line: string,
  words: readonly ShortWord[],
): { text: string; used: ShortWord[] } {
  const tokens = tokensOf(line)
  const order = [...words].sort(
    (one, other) => Number(one.place === 'anywhere') - Number(other.place === 'anywhere'),
  )
  const used: ShortWord[] = []
  let text = ''
  let from = 0
  tokens.forEach((token, at) => {
    if (token.kind !== 'word') return
    const hit = order.find(
      ({ short, place }) => plainWord(short) === token.text && stands(place, tokens, at),
    )
    if (!hit) return
    used.push(hit)
    text += line.slice(from, token.start) + hit.long
    // A dot that only marks the word as short goes with it.
    from = line[token.end] === '.' && token.text.length < 6 ? token.end + 1 : token.end
  })
  return { text: text + line.slice(from), used }
}

/** What a fat is usually called in a notebook: its name up to the first comma, with "oil" where it has it. */
const callings = (library: Library): string[] => [
  ...[...library.fats.values()].map(({ name }) => name.split(',')[0]!),
  ...[...library.liquids.values()].map(({ name }) => name.split(',')[0]!),
  ...[...library.additives.values()].map(({ name }) => name.split(',')[0]!),
]
/** What stands in most notebooks comes first among what a short word may mean (judgement). */
const usual =
  `water, lye, olive oil, coconut oil, castor oil, palm oil, sunflower oil, shea butter, cocoa butter, lard, tallow, rapeseed oil,
  sweet almond oil, goat milk, honey, salt`
    .split(',')
    .map((name) => name.trim())
const placeOf = (name: string) => (usual.includes(name) ? usual.indexOf(name) : usual.length)

const initialsOf = (name: string) =>
  plainWord(name)
    .split(/[\s-]+/)
    .map((word) => word.charAt(0))
    .join('')
const shortestBegun = 3

/**
 * What a short word may stand for, the likeliest first: names of the library by their first letters or their beginning, and water.
 * @example guessesFor('OO', shipped)[0] // 'olive oil'
 */
export function guessesFor(short: string, library: Library, most = 3): string[] {
  const plain = plainWord(short)
  if (!/^\p{L}+$/u.test(plain)) return []
  const names = ['Water', 'Lye', ...callings(library)]
  const byInitials = names.filter((name) => initialsOf(name) === plain)
  const begun =
    plain.length >= shortestBegun ? names.filter((name) => plainWord(name).startsWith(plain)) : []
  const lone = plain.length === 1 ? names.filter((name) => plainWord(name).startsWith(plain)) : []
  return [...new Set([...byInitials, ...begun, ...lone].map((name) => plainWord(name)))]
    .sort((one, other) => placeOf(one) - placeOf(other))
    .slice(0, most)
}

/** A short word that could be learned, and where it stood. */
export interface Learnable {
  short: string
  place: ShortPlace
}

/**
 * The words of a line that nobody accounts for, as one that could be learned; null where they are none or several.
 * @example learnable('CO 250') // { short: 'CO', place: 'beforeNumber' }
 */
export function learnable(line: string): Learnable | null {
  const tokens = tokensOf(line)
  const words = tokens.filter(({ kind }) => kind === 'word')
  if (words.length !== 1) return null
  const at = tokens.indexOf(words[0]!)
  return {
    short: words[0]!.raw,
    place: tokens[at + 1]?.kind === 'number' ? 'beforeNumber' : 'anywhere',
  }
}
