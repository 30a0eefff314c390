import { addDays as plus, differenceInCalendarDays, formatISO, parseISO } from 'date-fns'

/** A calendar day, as 2026-11-23. */
export type Day = string

/**
 * The day `count` days after another; before it when negative.
 * @example addDays('2026-12-30', 3) // '2027-01-02'
 */
export function addDays(day: Day, count: number): Day {
  return formatISO(plus(parseISO(day), count), { representation: 'date' })
}

/**
 * Whole days from one day to another; negative when `to` is earlier.
 * @example daysBetween('2026-02-27', '2026-03-01') // 2
 */
export function daysBetween(from: Day, to: Day): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from))
}

/**
 * The time of day of an instant in a time zone (IANA name), as 09:05: to be compared and put in file names, not to be read.
 * @example timeIn('Europe/Dublin', new Date('2026-07-01T09:30:00Z')) // '10:30'
 */
export function timeIn(timeZone: string, instant: Date): string {
  return new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hour: '2-digit',
    minute: '2-digit',
  }).format(instant)
}

/**
 * The calendar day of an instant in a time zone (IANA name).
 * @example dayIn('Europe/Dublin', new Date('2026-07-01T23:30:00Z')) // '2026-07-02'
 */
export function dayIn(timeZone: string, instant: Date): Day {
  return new Intl.DateTimeFormat('en-CA', { timeZone, dateStyle: 'short' }).format(instant)
}
