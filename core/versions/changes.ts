import type { FormulaDocument } from '#contracts/formula'
import type { Library } from '../materials/library'
import type { Formatter } from '../units/formatter'
import { computeFormula } from '../formula/compute'
import type { Measure } from '../formula/measure'
import { patternsOf } from '../formula/method'
import { nameOfExtra, nameOfFat, nameOfLiquid, sayWater } from '../formula/names'
import { capital, inSentence } from '../units/language'

/**
 * How much of an extra, as it is said in the document.
 * @example sayMeasure({ rate: 0.03, of: 'oils' }, say) // '3 % of oils'
 */
export function sayMeasure(line: Measure, say: Formatter): string {
  if (line.amount)
    return `${line.amount.value ?? '?'} ${line.amount.unit}${line.amount.per ? ` per ${line.amount.per.replace('g', ' g').replace('k g', 'kg')} of oils` : ''}`
  if (line.grams !== undefined) return line.grams === null ? '?' : say.mass(line.grams)
  return line.rate == null ? '?' : `${say.percent(line.rate, 2)} of ${line.of ?? 'oils'}`
}

/** One list of lines compared by id: what joined, what left, what changed, in words. */
function lines<T extends { id: string }>(
  before: T[],
  after: T[],
  name: (line: T) => string,
  words: (line: T) => string,
): string[] {
  const key = (list: T[], index: number) =>
    `${list[index]!.id} ${list.slice(0, index).filter(({ id }) => id === list[index]!.id).length}`
  const old = new Map(before.map((line, index) => [key(before, index), line]))
  const told = after.flatMap((line, index) => {
    const was = old.get(key(after, index))
    old.delete(key(after, index))
    if (!was) return [`${name(line)} ${words(line)} joined`]
    return words(was) === words(line) ? [] : [`${name(line)} ${words(was)} → ${words(line)}`]
  })
  return [...told, ...[...old.values()].map((line) => `without ${name(line)}`)]
}

const shown = <T>(name: string, before: T, after: T, words: (value: T) => string): string[] =>
  words(before) === words(after) ? [] : [`${name} ${words(before)} → ${words(after)}`]

/**
 * How the lines and settings of a formula are said, each as one would read it out.
 * @example Object.keys(wordings(shipped, say))
 *   // ['fat', 'superfat', 'water', 'liquid', 'extra', 'scent', 'part', 'alkali', 'ice', 'temperature', 'picture', 'pattern']
 */
export function wordings(library: Library, say: Formatter) {
  const extra = (line: FormulaDocument['additives'][number]) =>
    say.list(
      [
        sayMeasure(line, say),
        line.moment ? line.moment.replace('-', ' ') : '',
        line.carrier
          ? `in ${line.carrier.ratio} parts ${line.carrier.from === 'extra' ? 'extra oil' : 'oil'}`
          : '',
      ].filter(Boolean),
    )
  return {
    fat: (line: FormulaDocument['fats'][number]) =>
      [
        line.share == null
          ? line.grams == null
            ? 'without a number'
            : say.mass(line.grams)
          : say.percent(line.share, 2),
        line.moment === 'trace' ? 'at trace' : '',
        line.inLye ? '' : 'not in the lye',
        line.sap == null ? '' : `with its own value ${line.sap}`,
      ]
        .filter(Boolean)
        .join(' '),
    superfat: (value: number | null) => (value === null ? 'open' : say.percent(value, 2)),
    water: (water: FormulaDocument['water']) => sayWater(water, say),
    liquid: (line: FormulaDocument['liquids'][number]) =>
      `${line.grams == null ? say.percent(line.share ?? 0) : say.mass(line.grams)} ${line.moment} ${line.way === 'poured' ? '' : line.way}`.trim(),
    extra,
    scent: (line: FormulaDocument['scents'][number]) =>
      `${sayMeasure(line, say)}${line.moment === 'oils' ? ' in the oils' : ''}`,
    part: (part: FormulaDocument['parts'][number]) =>
      [
        say.percent(part.share ?? 0),
        part.water ? sayWater(part.water, say) : '',
        ...part.additives.map((line) => `${nameOfExtra(line.id, library)} ${extra(line)}`),
        part.scent ? '' : 'unscented',
      ]
        .filter(Boolean)
        .join(' '),
    alkali: (alkali: FormulaDocument['alkali']) =>
      say.list(
        [
          alkali.solutionStrength === null
            ? `${say.percent(alkali.naohPurity)} pure`
            : `ready-mixed ${say.percent(alkali.solutionStrength)}`,
          alkali.kohShare > 0
            ? `${say.percent(alkali.kohShare)} potash ${say.percent(alkali.kohPurity)} pure`
            : '',
        ].filter(Boolean),
      ),
    ice: ({ iceGrams, iceShare }: Pick<FormulaDocument, 'iceGrams' | 'iceShare'>) =>
      iceGrams == null ? say.percent(iceShare) : say.mass(iceGrams),
    temperature: (celsius: number) => say.temperature(celsius),
    picture: ({ thumbnail }: FormulaDocument) =>
      thumbnail ? `${thumbnail.pattern} ${thumbnail.colours.join(' ')}` : 'as it follows',
    pattern: (document: FormulaDocument) =>
      say.list(
        patternsOf(document).map((pattern) => pattern.replace(/-/g, ' ')),
        'and',
      ),
  }
}

/**
 * What changed between two formulas, in short phrases, the fats first. Empty when a maker would call them the same; a note
 * that was rewritten counts as "notes".
 * @example changesBetween(example, { ...example, superfat: 0.08 }, shipped, say) // ['superfat 5 % → 8 %']
 */
export function changesBetween(
  before: FormulaDocument,
  after: FormulaDocument,
  library: Library,
  say: Formatter,
): string[] {
  const words = wordings(library, say)
  const oils = (document: FormulaDocument) => computeFormula(document, library).oils
  const [sizeBefore, sizeAfter] = [oils(before), oils(after)]
  const asParts = (document: FormulaDocument) =>
    document.parts.map((part) => ({ ...part, id: part.name }))
  return [
    ...lines(before.fats, after.fats, (line) => inSentence(nameOfFat(line, library)), words.fat),
    ...shown('superfat', before.superfat, after.superfat, words.superfat),
    ...shown('water', before.water, after.water, words.water),
    ...lines(
      before.liquids,
      after.liquids,
      (line) => inSentence(nameOfLiquid(line.id, library)),
      words.liquid,
    ),
    ...lines(
      before.additives,
      after.additives,
      (line) => inSentence(nameOfExtra(line.id, library)),
      words.extra,
    ),
    ...lines(before.scents, after.scents, (line) => line.name ?? line.id, words.scent),
    ...lines(asParts(before), asParts(after), ({ name }) => `pot ${name}`, words.part),
    ...shown('lye', before.alkali, after.alkali, words.alkali),
    ...shown('ice', before, after, words.ice),
    ...(Math.abs(sizeBefore - sizeAfter) > 0.5
      ? [`oils ${say.amount(sizeBefore)} → ${say.amount(sizeAfter)}`]
      : []),
    ...shown('lye at', before.method.lyeC, after.method.lyeC, words.temperature),
    ...shown('oils at', before.method.oilsC, after.method.oilsC, words.temperature),
    ...shown('gel', before.method.gel, after.method.gel, String),
    ...shown('pour', before, after, words.pattern),
    ...shown('brought together by', before.method.tool, after.method.tool, String),
    ...shown('for', before.use, after.use, String),
    ...(before.name === after.name ? [] : [`called ${after.name}`]),
    ...shown('its picture', before, after, words.picture),
    ...(before.notes === after.notes ? [] : ['notes']),
    ...shown('from', before.source?.who ?? '', after.source?.who ?? '', (who) => who || 'your own'),
  ]
}

/**
 * The changes in one line: the first few, and how many more there are.
 * @example
 * inOneLine(['Superfat 5 % → 6 %', 'kaolin joined', 'olive left'], 2)
 * // 'Superfat 5 % → 6 %; kaolin joined; and 1 more.'
 */
export function inOneLine(changes: string[], most = 4): string {
  if (!changes.length) return 'Nothing changed.'
  const more = changes.length - most
  const line = changes.slice(0, most).join('; ')
  return `${capital(line)}${more > 0 ? `; and ${more} more` : ''}.`
}
