import { TZDate } from '@date-fns/tz'

/** A day for people: weekday, day and month, the year only when it is not this one. */
export function dayText(
  day: string,
  options: { weekday?: boolean; today?: string; long?: boolean } = {},
): string {
  const date = new Date(`${day}T12:00:00Z`)
  const otherYear = options.today !== undefined && !options.today.startsWith(day.slice(0, 4))
  return new Intl.DateTimeFormat(
    navigator.language.startsWith('en') ? navigator.language : 'en-GB',
    {
      weekday: options.weekday ? 'long' : undefined,
      day: 'numeric',
      month: options.long ? 'long' : 'short',
      year: otherYear ? 'numeric' : undefined,
      timeZone: 'UTC',
    },
  ).format(date)
}

/** How far a day lies from another, in words. */
export function distanceText(days: number): string {
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  if (days === -1) return 'yesterday'
  return days > 0 ? `in ${days} days` : `${-days} days ago`
}

/** The instant (ISO, UTC) of a time of day, as 14:30, in a time zone. */
export function instantAt(day: string, time: string, timeZone: string): string {
  const [year, month, date] = day.split('-').map(Number)
  const [hour, minute] = time.split(':').map(Number)
  return new Date(+new TZDate(year!, month! - 1, date!, hour!, minute!, timeZone)).toISOString()
}
