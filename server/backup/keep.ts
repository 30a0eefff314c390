/*
 * Which archives of a schedule stay: the last of each of seven days, of each of four weeks, of each of twelve months. Days and weeks
 * by the calendar of the workshop, weeks from Monday.
 */

export interface Dated {
  name: string
  /** Day it was made on, as 2026-11-23. */
  day: string
}

export const keepDays = 7
export const keepWeeks = 4
export const keepMonths = 12

/** Monday of the week of a day. */
function mondayOf(day: string): string {
  const at = new Date(`${day}T00:00:00Z`)
  at.setUTCDate(at.getUTCDate() - ((at.getUTCDay() + 6) % 7))
  return at.toISOString().slice(0, 10)
}

/** Names of those that can go. The newest of all always stays. */
export function toLetGo(archives: readonly Dated[]): string[] {
  const newestFirst = [...archives].sort(
    (a, b) => b.day.localeCompare(a.day) || b.name.localeCompare(a.name),
  )
  const kept = new Set<string>()
  const keepBy = (periodOf: (day: string) => string, most: number) => {
    const seen = new Set<string>()
    for (const { name, day } of newestFirst) {
      const period = periodOf(day)
      if (seen.has(period)) continue
      if (seen.size === most) break
      seen.add(period)
      kept.add(name)
    }
  }
  keepBy((day) => day, keepDays)
  keepBy(mondayOf, keepWeeks)
  keepBy((day) => day.slice(0, 7), keepMonths)
  return newestFirst.filter(({ name }) => !kept.has(name)).map(({ name }) => name)
}
