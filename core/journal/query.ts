import type { JournalFilter, SearchTerm } from '#contracts/journal'
import { plainWord } from '../materials/tokens'
import type { Formatter } from '../units/formatter'
import { capital } from '../units/language'
import {
  colourFamilies,
  coloursMeant,
  fillers,
  monthNames,
  outcomesMeant,
  seasonMonths,
  seasonsMeant,
  troublesMeant,
  troubleWords,
  weatherFamilies,
  weatherMeant,
} from './vocabulary'

/** A word of a search, with all that it is found by. */
export interface ReadTerm extends SearchTerm {
  /** Marks of the index and words, each found by its beginning unless `whole`. */
  any: readonly { text: string; whole: boolean }[]
  /** It speaks of time alone: an entry is found by it only beside another word. */
  time: boolean
}

/** A name of several words as one word of the index. */
const together = (name: string) => plainWord(name).replace(/[^\p{L}\p{N}]+/gu, '')

/**
 * The marks under which what is known of a batch stands in the index: no word anybody types.
 * @example facet.colour('blue') // 'xqcblue'
 */
export const facet = {
  colour: (name: string): string => `xqc${name}`,
  trouble: (name: string): string => `xqt${name.replaceAll('-', '')}`,
  month: (month: number): string => `xqm${String(month).padStart(2, '0')}`,
  year: (year: string): string => `xqy${year}`,
  number: (number: number): string => `xqn${number}`,
  outcome: (name: string): string => `xqo${name}`,
  kind: (name: string): string => `xqk${name}`,
  who: (name: string): string => `xqw${together(name)}`,
  mould: (name: string): string => `xqu${together(name)}`,
  weather: (name: string): string => `xqh${name}`,
}

const southernZones =
  /^(Australia|Antarctica)\/|^Pacific\/(Auckland|Chatham|Fiji|Noumea)|^Africa\/(Johannesburg|Harare|Maputo|Windhoek|Gaborone)|^America\/(Argentina|Sao_Paulo|Santiago|Montevideo|Asuncion|La_Paz|Lima)/
/**
 * Months of a season where the workshop is, by its time zone.
 * @example monthsOf('spring', 'Australia/Hobart') // [9, 10, 11]
 */
export function monthsOf(season: keyof typeof seasonMonths, timeZone: string): number[] {
  const shift = southernZones.test(timeZone) ? 6 : 0
  return seasonMonths[season].map((month) => ((month - 1 + shift) % 12) + 1)
}

/** Letters from which on the beginning of a word finds it. */
const leastOfPrefix = 2

/** Words that are found by the word itself, whatever else it may mean. */
const itself = (word: string) => ({
  text: word,
  whole: word.length < leastOfPrefix || /^\d+$/.test(word),
})

function termOf(word: string, typed: string, timeZone: string, say: Formatter): ReadTerm {
  const seasons = seasonsMeant(word)
  if (seasons.length) {
    const months = seasons.flatMap((season) => monthsOf(season, timeZone))
    const [first, last] = [monthNames[months[0]! - 1]!, monthNames[months.at(-1)! - 1]!]
    return {
      typed,
      says: `poured ${capital(first)} to ${capital(last)}`,
      marks: [word],
      any: months.map((month) => ({ text: facet.month(month), whole: true })),
      time: true,
    }
  }
  const month = word.length >= 3 ? monthNames.findIndex((name) => name.startsWith(word)) : -1
  if (month >= 0 && word !== 'mar')
    return {
      typed,
      says: 'that month, or the word',
      marks: [word],
      any: [{ text: facet.month(month + 1), whole: true }, itself(word)],
      time: true,
    }
  if (/^(19|20)\d{2}$/.test(word))
    return {
      typed,
      says: 'that year, or the number',
      marks: [word],
      any: [{ text: facet.year(word), whole: true }, itself(word)],
      time: true,
    }
  const colours = coloursMeant(word)
  const wrong = troublesMeant(word)
  const weather = weatherMeant(word)
  const outcomes = outcomesMeant(word)
  const number = /^\d{1,5}$/.test(word) ? Number(word) : null
  const meanings = [
    ...(colours.length ? ['the bar’s colour'] : []),
    ...(wrong.length ? ['trouble'] : []),
    ...(weather.length ? ['the weather'] : []),
    ...(outcomes.length ? ['what became of it'] : []),
    ...(number !== null ? ['a batch by its number'] : []),
  ]
  const others = [
    ...wrong.flatMap((name) => troubleWords[name]),
    ...weather.flatMap((name) => weatherFamilies[name]),
    ...(colours.length === 1 ? colourFamilies[colours[0]!] : []),
  ]
    .filter((one) => !one.includes(' '))
    .map((one) => plainWord(one))
  return {
    typed,
    says: say.list([...meanings, number === null ? 'the word' : 'the number'], 'or'),
    marks: [...new Set([word, ...others])],
    any: [
      ...colours.map((name) => ({ text: facet.colour(name), whole: true })),
      ...wrong.map((name) => ({ text: facet.trouble(name), whole: true })),
      ...outcomes.map((name) => ({ text: facet.outcome(name), whole: true })),
      ...(number !== null ? [{ text: facet.number(number), whole: true }] : []),
      itself(word),
      ...[...new Set(others)].map((text) => ({ text, whole: true })),
    ],
    time: false,
  }
}

/** Words that are looked for at once. */
const mostTerms = 8

/**
 * What is typed to find something, word by word, each with how it is read. Words that tell nothing apart are passed over.
 * @param timeZone of the workshop, for its seasons
 * @example readSearch('the blue one', 'Europe/Dublin', say).map(({ typed }) => typed) // ['blue']
 */
export function readSearch(typed: string, timeZone: string, say: Formatter): ReadTerm[] {
  const words = typed.match(/[\p{L}\p{N}][\p{L}\p{M}\p{N}'’]*/gu) ?? []
  const read = words.map((word) => ({ word: plainWord(word), typed: word }))
  const telling = read.filter(({ word }) => !fillers.has(word))
  const once = new Map((telling.length ? telling : read).map((one) => [one.word, one]))
  return [...once.values()]
    .slice(0, mostTerms)
    .map(({ word, typed: raw }) => termOf(word, raw, timeZone, say))
}

const anyOf = ({ any }: ReadTerm): string =>
  `(${any.map(({ text, whole }) => `"${text}"${whole ? '' : '*'}`).join(' OR ')})`

/**
 * The question to the full-text index: every word, somewhere in an entry or in what it belongs to; and one of them in the entry
 * itself, so that a batch does not bring along all that was ever written of it; and what was chosen. Empty where nothing is looked for.
 * @example matchOf(readSearch('honey', 'Europe/Dublin', say), {}) // '("honey"*) AND (words : (("honey"*)))'
 */
export function matchOf(terms: readonly ReadTerm[], filter: Partial<JournalFilter>): string {
  const { kind, who, mould, weather, outcome } = filter
  const own = terms.filter(({ time }) => !time)
  const chosen = [
    ...(kind ? [facet.kind(kind)] : []),
    ...(who ? [facet.who(who)] : []),
    ...(mould ? [facet.mould(mould)] : []),
    ...(weather ? [facet.weather(weather)] : []),
    ...(outcome ? [facet.outcome(outcome)] : []),
  ]
  return [
    ...terms.map(anyOf),
    ...(own.length ? [`(words : (${own.map(anyOf).join(' OR ')}))`] : []),
    ...chosen.map((mark) => `"${mark}"`),
  ].join(' AND ')
}
