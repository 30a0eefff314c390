import type { When } from '#contracts/journal'
import { plainWord } from '../materials/tokens'
import { addDays, type Day } from '../units/days'
import { monthNames, seasonMonths, seasonsMeant } from './vocabulary'

const two = (figure: number) => String(figure).padStart(2, '0')
const dayOf = (year: number, month: number, day: number): Day | null => {
  if (month < 1 || month > 12 || day < 1) return null
  const first = `${year}-${two(month)}-01`
  const next = month === 12 ? `${year + 1}-01-01` : `${year}-${two(month + 1)}-01`
  const last = Number(addDays(next, -1).slice(8))
  return day <= last ? addDays(first, day - 1) : null
}
/** Years of two figures lie within the last hundred. */
const fullYear = (figure: number, today: Day): number => {
  if (figure >= 100) return figure
  const century = Math.floor(Number(today.slice(0, 4)) / 100) * 100
  return century + figure > Number(today.slice(0, 4)) ? century - 100 + figure : century + figure
}
const monthOf = (word: string): number => {
  const plain = plainWord(word)
  return plain.length < 3 ? 0 : monthNames.findIndex((name) => name.startsWith(plain)) + 1
}

/**
 * A day as people write it, as far as it is known: "11 June 2009", "11/6/09", "2009-06-11", "June 2009", "spring 2009", "2009". Null
 * where it is none, or lies after today. A question mark marks it as guessed.
 * @param monthFirst 6/11/09 is the eleventh of June
 * @example knownDay('June 2009', '2026-11-23') // { day: '2009-06-01', known: 'month', guessed: false }
 */
export function knownDay(typed: string, today: Day, monthFirst = false): When | null {
  const guessed = /\?|^c(irca|a)?\.?\s/i.test(typed.trim())
  const text = typed
    .replace(/\?/g, '')
    .replace(/^c(irca|a)?\.?\s+/i, '')
    .replace(/(\d)(st|nd|rd|th)\b/gi, '$1')
    .trim()
  const day = (found: Day | null): When | null =>
    found && found <= today ? { day: found, known: 'day', guessed } : null
  const coarse = (found: Day, known: 'month' | 'year'): When | null =>
    found <= today ? { day: found, known, guessed } : null
  const iso = /^(\d{4})[-./](\d{1,2})[-./](\d{1,2})(?:[T ].*)?$/.exec(text)
  if (iso) return day(dayOf(Number(iso[1]), Number(iso[2]), Number(iso[3])))
  const figures = /^(\d{1,2})\s*[-./ ]\s*(\d{1,2})\s*[-./ ]\s*(\d{2}|\d{4})$/.exec(text)
  if (figures) {
    const [one, other] = [Number(figures[1]), Number(figures[2])]
    // Where only one way makes a day, it is that.
    const swapped = monthFirst ? other <= 12 && one > 12 : other > 12 && one <= 12
    const first = monthFirst !== swapped
    return day(dayOf(fullYear(Number(figures[3]), today), first ? one : other, first ? other : one))
  }
  const words = text.split(/[\s,./-]+/).filter(Boolean)
  const numbers = words.filter((word) => /^\d+$/.test(word)).map(Number)
  const names = words.filter((word) => !/^\d+$/.test(word) && plainWord(word) !== 'of')
  const lone = names.length === 1 ? names[0]! : null
  const month = lone ? monthOf(lone) : 0
  if (month && numbers.length === 2) {
    const [a, b] = numbers as [number, number]
    const [date, year] = a > 31 ? [b, a] : [a, b]
    return day(dayOf(fullYear(year, today), month, date))
  }
  if (month && numbers.length === 1)
    return coarse(`${fullYear(numbers[0]!, today)}-${two(month)}-01`, 'month')
  const season = lone ? seasonsMeant(plainWord(lone))[0] : undefined
  if (season && numbers.length === 1)
    return coarse(`${fullYear(numbers[0]!, today)}-${two(seasonMonths[season][0])}-01`, 'year')
  if (/^(19|20)\d{2}$/.test(text)) return coarse(`${text}-01-01`, 'year')
  return null
}

/**
 * The day of a cell of a spreadsheet, which knows no time zone.
 * @example isoDay(new Date('2009-06-11T00:00:00Z')) // '2009-06-11'
 */
export const isoDay = (date: Date): Day => date.toISOString().slice(0, 10)
