import { readNumber } from '../units/readNumber'
import { gramsPer } from '../units/measures'
import type { Library } from '../materials/library'
import { lyeKindOf, meansLyeOrWater, notLyeIn } from '../materials/lyeWords'
import { readName, wordsOf } from '../words/materialNames'
import { goodsNames, thingIn } from './things'

/** What a typed line says of something that came. */
export interface Received {
  /** The thing; null where nobody can tell which is meant. */
  thing: string | null
  name: string
  /** What else may be meant, by their ids. */
  candidates: string[]
  /** Packs of one size, and g, or pieces, of each. */
  count: number
  each: number | null
  /** For all of it, in whole units of money. */
  price: number | null
  /** The last day of the month or day that is written; null where none is. */
  bestBefore: string | null
  code: string
  /** Of the same lot as the line before. */
  same: boolean
  /** What was not understood, as it was typed. */
  left: string[]
  /** What has to be answered before it is put away; empty where all is plain. */
  asks: string
}

const mass = /(\d+(?:[.,]\d+)?)\s*(kg|g|lb|oz|l|ml|litres?|liters?|kilos?|grams?)\b/i
const perUnit: Record<string, number> = {
  kg: 1000,
  kilo: 1000,
  kilos: 1000,
  g: 1,
  gram: 1,
  grams: 1,
  lb: gramsPer.lb,
  oz: gramsPer.oz,
}
const millilitresOf: Record<string, number> = { l: 1000, litre: 1000, liter: 1000, ml: 1 }
const times = /(\d+)\s*[x×*]\s*(?=\d)/i
const best =
  /\b(?:best(?:\s+before)?|bb|bbe|exp(?:iry|ires)?|use\s+by)\s*:?\s*(\d{4}-\d{2}-\d{2}|\d{1,2}[./]\d{1,2}[./]\d{2,4}|\d{1,2}[./]\d{2,4})/i
const lot = /\b(?:lot|batch|charge|no\.)(?:\s*:\s*|\s+)([A-Za-z0-9][A-Za-z0-9./-]*)/i
const money = /(?:[£€$]\s*)?(\d+(?:[.,]\d{1,2})?)(?:\s*[£€$])?/g
const pieces = /^\s*(\d+)\s+(?!x)/i

const two = (value: number) => String(value).padStart(2, '0')
/** A best before as it is written, day first; a month is good to its last day. Null where it is no day. */
function dayOf(text: string): string | null {
  if (/^\d{4}-/.test(text)) return text
  const parts = text.split(/[./]/).map(Number)
  const year = parts.at(-1)! < 100 ? 2000 + parts.at(-1)! : parts.at(-1)!
  const month = parts.at(-2)!
  if (month < 1 || month > 12) return null
  const last = new Date(Date.UTC(year, month, 0)).getUTCDate()
  const day = parts.length === 3 ? parts[0]! : last
  return day < 1 || day > last ? null : `${year}-${two(month)}-${two(day)}`
}

/** Things that are no material of the library, by the words for them. */
function otherThing(words: readonly string[], library: Library): string | null {
  const lye = lyeKindOf([...words])
  if (lye && words.includes('solution')) return 'lye-solution'
  if (lye === 'naoh' || lye === 'koh') return lye
  if (meansLyeOrWater(words.join(' ')) === 'water') return 'water'
  for (const [id, { name }] of Object.entries(goodsNames)) {
    const own = wordsOf(name)
    const singular = own.map((word) => word.replace(/e?s$/, ''))
    if (words.every((word) => own.includes(word) || singular.includes(word.replace(/e?s$/, ''))))
      return id
  }
  const spoken = words.join(' ')
  for (const [id, known] of library.scents ?? [])
    if (wordsOf(known.name).join(' ') === spoken) return id
  return null
}

/**
 * A line such as people write when something has come: how much, of what, what it cost, until when it is good, and its lot. What is
 * not understood is asked about; nothing of it is guessed at.
 * @param before what the line before was, for "same"
 * @example readReceived('5 kg olive 31.00 best 8/27 lot K12', shipped, null).code // 'K12'
 */
export function readReceived(
  line: string,
  library: Library,
  before: Pick<Received, 'code' | 'bestBefore' | 'thing'> | null,
): Received {
  let rest = ` ${line} `
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(rest)
    if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`
    return found
  }
  const until = take(best)
  const named = take(lot)
  const count = Number(take(times)?.[1] ?? 1)
  const weighed = take(mass)
  const counted = weighed ? null : take(pieces)
  const same = /\bsame( lot)?\b/i.test(rest)
  rest = rest.replace(/\bsame( lot)?\b/i, ' ')
  // The last number is the price: one before it may belong to the name, as that of a coconut oil that melts at 24.
  const cost = [...rest.matchAll(money)].at(-1)
  if (cost) rest = `${rest.slice(0, cost.index)} ${rest.slice(cost.index + cost[0].length)}`
  const words = wordsOf(rest.replace(/\bof\b/gi, ' '))
  const notLye = notLyeIn(words)
  const other = notLye ? notLye.id : otherThing(words, library)
  const name = words.length && !other ? readName(words, library) : null
  const sure = name?.material && !name.doubtful ? name.material.id : null
  const thing = other ?? sure
  const unit = weighed?.[2]?.toLowerCase() ?? ''
  const density = thing ? thingIn(library, thing).density : 1
  const amount = weighed ? readNumber(weighed[1]!) : counted ? Number(counted[1]) : null
  const millilitres = millilitresOf[unit.replace(/s$/, '')]
  const each =
    amount === null
      ? null
      : weighed
        ? amount * (millilitres === undefined ? (perUnit[unit] ?? 1) : millilitres * density)
        : amount
  const asks = !words.length
    ? 'What is it?'
    : !thing && lyeKindOf([...words])
      ? 'Sodium hydroxide for bars, or potassium hydroxide for paste?'
      : !thing && notLye
        ? notLye.says
        : !thing
          ? name?.candidates.length
            ? 'Which of them is it?'
            : 'Mantle knows nothing of that name.'
          : each === null || !(each > 0)
            ? 'How much of it came?'
            : weighed || thing in goodsNames
              ? ''
              : 'In grams, kilograms or litres: how much is that?'
  const wrongDay = until && dayOf(until[1]!) === null
  return {
    thing,
    name: thing ? thingIn(library, thing).name : words.join(' '),
    candidates:
      !thing && lyeKindOf([...words])
        ? ['naoh', 'koh']
        : (name?.candidates.map(({ id }) => id) ?? []),
    count,
    each,
    price: cost ? readNumber(cost[1]!) : null,
    bestBefore: until ? dayOf(until[1]!) : same ? (before?.bestBefore ?? null) : null,
    code: named?.[1] ?? (same ? (before?.code ?? '') : ''),
    same,
    left: name && thing ? name.left.map((place) => words[place]!) : [],
    asks: asks || (wrongDay ? `"${until[1]}" is no day.` : ''),
  }
}
