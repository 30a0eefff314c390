/** Minutes after midnight as a time of day, as fields of time take it: 08:30. */
export const clockOf = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`

/** A time of day as minutes after midnight; null where it is none. */
export function minuteOf(clock: string): number | null {
  const parts = /^(\d{1,2}):(\d{2})$/.exec(clock)
  const [hours, minutes] = [Number(parts?.[1]), Number(parts?.[2])]
  return parts && hours < 24 && minutes < 60 ? hours * 60 + minutes : null
}
