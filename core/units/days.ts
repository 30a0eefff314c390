import { addDays as plus, differenceInCalendarDays, formatISO, parseISO } from 'date-fns'

/** A calendar day, as 2026-11-23. */
export type Day = string

/*
 * Lists ask the same few days thousands of times, and reading a date is the slowest thing they do: what a day is called and which
 * number it has is worked out once.
 */
const numbers = new Map<Day, number>()
const names = new Map<number, Day>()
const start = parseISO('2000-01-01')

/** Days since the first of 2000. */
function numberOf(day: Day): number {
  let number = numbers.get(day)
  if (number === undefined) {
    number = differenceInCalendarDays(parseISO(day), start)
    numbers.set(day, number)
  }
  return number
}

/**
 * The day `count` days after another; before it when negative.
 * @example addDays('2026-12-30', 3) // '2027-01-02'
 */
export function addDays(day: Day, count: number): Day {
  const number = numberOf(day) + count
  let name = names.get(number)
  if (name === undefined) {
    name = formatISO(plus(start, number), { representation: 'date' })
    names.set(number, name)
  }
  return name
}

/**
 * Whole days from one day to another; negative when `to` is earlier.
 * @example daysBetween('2026-02-27', '2026-03-01') // 2
 */
export const daysBetween = (from: Day, to: Day): number => numberOf(to) - numberOf(from)

/**
 * The day of the week, 0 for Sunday.
 * @example weekdayOf('2026-11-26') // 4
 */
export const weekdayOf = (day: Day): number => new Date(`${day}T12:00:00Z`).getUTCDay()

/** Makes a format of instants once for each time zone: making one takes longer than using it. */
function formatIn(language: string, options: Intl.DateTimeFormatOptions) {
  const formats = new Map<string, Intl.DateTimeFormat>()
  return (timeZone: string, instant: Date): string => {
    let format = formats.get(timeZone)
    if (!format) {
      format = new Intl.DateTimeFormat(language, { timeZone, ...options })
      formats.set(timeZone, format)
    }
    return format.format(instant)
  }
}
const timeFormat = formatIn('en-GB', { hour: '2-digit', minute: '2-digit' })
const dayFormat = formatIn('en-CA', { dateStyle: 'short' })

/**
 * The time of day of an instant in a time zone (IANA name), as 09:05: to be compared and put in file names, not to be read.
 * @example timeIn('Europe/Dublin', new Date('2026-07-01T09:30:00Z')) // '10:30'
 */
export const timeIn = (timeZone: string, instant: Date): string => timeFormat(timeZone, instant)

/**
 * The calendar day of an instant in a time zone (IANA name).
 * @example dayIn('Europe/Dublin', new Date('2026-07-01T23:30:00Z')) // '2026-07-02'
 */
export const dayIn = (timeZone: string, instant: Date): Day => dayFormat(timeZone, instant)
