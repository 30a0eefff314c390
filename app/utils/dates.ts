import { TZDate } from '@date-fns/tz'
import { daysBetween } from '#core/units/days'
import { ref } from 'vue'

/*
 * Days and times of day in words: as the workshop chose; else those of the browser where it speaks English, else British ones. The
 * sentences around them are English, so words that are part of one ("early December", "in 5 days") stay so.
 */
const english = (tag: string) => (tag.startsWith('en') ? tag : 'en-GB')
/** As the workshop chose; null for the browser's English. */
const chosen = ref<string | null>(null)
export const writeDatesAs = (tag: string | null): void => void (chosen.value = tag)
const locale = () => chosen.value ?? english(navigator.language)
const inSentence = () => english(locale())
/** Making a format takes longer than using it: each is made once. */
const formats = new Map<string, Intl.DateTimeFormat>()
function formatOf(options: Intl.DateTimeFormatOptions, tag = locale()): Intl.DateTimeFormat {
  const key = `${tag} ${JSON.stringify(options)}`
  const format = formats.get(key) ?? new Intl.DateTimeFormat(tag, options)
  formats.set(key, format)
  return format
}
const said = (at: string, options: Intl.DateTimeFormatOptions, tag = locale()) =>
  formatOf(options, tag).format(new Date(at))

/** Ways to write a day that can be chosen: tags of languages with their customs. */
export const dateCustoms = [
  'en-GB',
  'en-US',
  'en-CA',
  'de',
  'fr',
  'es',
  'it',
  'nl',
  'pt',
  'da',
  'nb',
  'sv',
  'fi',
  'pl',
  'cs',
] as const

/** A custom by its own name and how it writes a day: Deutsch (Deutschland): 25. Nov. */
export function customText(tag: string | null, day: string): string {
  const sample = said(
    `${day}T12:00:00Z`,
    { day: 'numeric', month: 'short', timeZone: 'UTC' },
    tag ?? english(navigator.language),
  )
  const name = tag && new Intl.DisplayNames([tag], { type: 'language' }).of(tag)
  return name ? `${sample}, ${name}` : `${sample}, as this browser`
}

/** The name of a day of the week, 0 for Sunday. */
export const dayOfWeekText = (day: number): string =>
  said(`2026-11-${22 + day}T12:00:00Z`, { weekday: 'long', timeZone: 'UTC' }, inSentence())
const moment = {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
} as const

/** A day for people: weekday, day and month, the year only when it is not this one. */
export function dayText(
  day: string,
  options: { weekday?: boolean; today?: string; long?: boolean } = {},
): string {
  const otherYear = options.today !== undefined && !options.today.startsWith(day.slice(0, 4))
  return said(`${day}T12:00:00Z`, {
    weekday: options.weekday ? 'long' : undefined,
    day: 'numeric',
    month: options.long ? 'long' : 'short',
    year: otherYear ? 'numeric' : undefined,
    timeZone: 'UTC',
  })
}

/** The time of day of an instant (ISO, UTC): 16:00. */
export const timeText = (instant: string, timeZone: string): string =>
  said(instant, { hour: '2-digit', minute: '2-digit', timeZone })

/** Day and time of an instant (ISO, UTC): Tue 24 Nov, 16:00. */
export const momentText = (instant: string, timeZone: string): string =>
  said(instant, { ...moment, timeZone })

/** When something is best done: one moment, or from one to another: Tue 24 Nov, 16:00–18:00. */
export const whenText = ({ from, to }: { from: string; to: string }, timeZone: string): string =>
  formatOf({ ...moment, timeZone }).formatRange(new Date(from), new Date(to))

/** The same to the half hour: nothing that is foretold is known to the minute. */
export function roundWhenText(window: { from: string; to: string }, timeZone: string): string {
  const half = 30 * 60_000
  const near = (instant: string) =>
    new Date(Math.round(Date.parse(instant) / half) * half).toISOString()
  return window.from === window.to
    ? momentText(window.from, timeZone)
    : whenText({ from: near(window.from), to: near(window.to) }, timeZone)
}

/** Days of width from which a span is told by parts of months, and from which by months. */
const inParts = 14
const inMonths = 100

/** A part of a month: mid-December. */
function partText(day: string, options: Intl.DateTimeFormatOptions): string {
  const month = said(
    `${day}T12:00:00Z`,
    { month: 'long', timeZone: 'UTC', ...options },
    inSentence(),
  )
  const date = Number(day.slice(8))
  return date <= 10 ? `early ${month}` : date <= 20 ? `mid-${month}` : `late ${month}`
}

/**
 * Between which days something lies, as coarsely as it is known: 12 – 20 Nov, mid-December to late January, December to May.
 * @param coarse at least by parts of months
 */
export function spanText(from: string, to: string, today: string, coarse = false): string {
  const width = daysBetween(from, to)
  const otherYear = !today.startsWith(to.slice(0, 4)) && !from.startsWith(to.slice(0, 4))
  const year = otherYear ? 'numeric' : undefined
  if (width <= inParts && !coarse)
    return formatOf({
      day: 'numeric',
      month: 'short',
      year,
      timeZone: 'UTC',
    }).formatRange(new Date(`${from}T12:00:00Z`), new Date(`${to}T12:00:00Z`))
  const text = (day: string, last: boolean) =>
    width <= inMonths
      ? partText(day, { year: last ? year : undefined })
      : said(
          `${day}T12:00:00Z`,
          {
            month: 'long',
            year: last && (otherYear || width > 300) ? 'numeric' : undefined,
            timeZone: 'UTC',
          },
          inSentence(),
        )
  const [begins, ends] = [text(from, false), text(to, true)]
  return begins === ends ? ends : `${begins} to ${ends}`
}

/** The month of a day, with its year when it is not this one: December, March 2027. */
export const monthText = (day: string, today: string): string =>
  said(`${day}T12:00:00Z`, {
    month: 'long',
    year: today.startsWith(day.slice(0, 4)) ? undefined : 'numeric',
    timeZone: 'UTC',
  })

/** A day of this week: Sat 7. */
export const weekdayText = (day: string): string =>
  said(`${day}T12:00:00Z`, { weekday: 'short', day: 'numeric', timeZone: 'UTC' })

/** How much of its day is over at an instant, 0 to 1, by the clock of a time zone. */
export function partOfDay(instant: string, timeZone: string): number {
  const at = new TZDate(Date.parse(instant), timeZone)
  return (at.getHours() + at.getMinutes() / 60) / 24
}

/** How far a day lies from another, in words: tomorrow, in 5 days, 3 days ago. */
export const distanceText = (days: number): string =>
  new Intl.RelativeTimeFormat(inSentence(), { numeric: 'auto' }).format(days, 'day')

/** The instant (ISO, UTC) of a time of day, as 14:30, in a time zone. */
export function instantAt(day: string, time: string, timeZone: string): string {
  const [year, month, date] = day.split('-').map(Number)
  const [hour, minute] = time.split(':').map(Number)
  return new Date(+new TZDate(year!, month! - 1, date!, hour!, minute!, timeZone)).toISOString()
}

/** How long ago the hours of something were over, rounded as people say it: 45 min past, 3 h past; empty while they are not. */
export function pastText({ between }: { between: { to: string } | null }, now: number): string {
  const minutes = between ? (now - Date.parse(between.to)) / 60_000 : 0
  if (minutes < 1) return ''
  if (minutes < 90) return `${Math.max(5, Math.round(minutes / 5) * 5)} min past`
  if (minutes < 36 * 60) return `${Math.round(minutes / 60)} h past`
  return `${Math.round(minutes / 1440)} days past`
}
