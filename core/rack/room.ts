import type { DryingFacts } from '#contracts/batch'
import type { RoomDay } from '#contracts/room'
import type { Day } from '../units/days'
import { dryingClock } from './drying/clock'
import { dryDay, paceIn } from './drying/model'
import { mean } from '../statistics/sum'

/* The drying room as it was logged. */

/** Days over which the humidity that bars dry in is taken. */
const dryingDays = 14
/** Days that a damp week has. */
export const week = 7
/** A week counts as damp from this humidity on, when the weeks before were drier by so much. */
const dampFrom = 0.62
const damperBy = 0.05

/**
 * Humidity of the last fortnight, 0–1; what the workshop states when nothing was logged.
 * @example humidityOf([], 0.55) // 0.55
 */
export const humidityOf = (days: readonly RoomDay[], stated: number): number =>
  days.length ? mean(days.slice(-dryingDays).map(({ humidity }) => humidity)) : stated

/**
 * How a damp week slows drying: null when it is not damp. Humidities 0–1; `pace` relative to the weeks before.
 * @example dampWeek([8, 9, 10, 11, 12, 13, 14].map((day) => ({ day: `2026-03-${day}`, celsius: 18, humidity: 0.8 })), 0.5)
 *   // { humidity: 0.8, before: 0.5, pace: 0.4 }
 */
export function dampWeek(
  days: readonly RoomDay[],
  stated: number,
): { humidity: number; before: number; pace: number } | null {
  if (days.length < 3) return null
  const humidity = mean(days.slice(-week).map((day) => day.humidity))
  const earlier = days.slice(-5 * week, -week)
  const before = earlier.length >= week ? mean(earlier.map((day) => day.humidity)) : stated
  if (humidity < dampFrom || humidity < before + damperBy) return null
  return { humidity, before, pace: paceIn(humidity) / paceIn(before) }
}

/**
 * Days by which a damp week at the end of the log moved the day a batch is dry: its forecast with the week as it was, less that with
 * the week as damp as the weeks before. 0 for what was dry before the week, or not poured yet.
 * @param humidity that bars dry in from now on, 0–1
 * @example laterBy({ shape }, '2026-03-01', [], 0.5, { before: 0.5 }) // 0
 */
export function laterBy(
  { shape }: Pick<DryingFacts, 'shape'>,
  pouredOn: Day,
  days: readonly RoomDay[],
  humidity: number,
  { before }: { before: number },
): number {
  const asBefore = days.map((day, at) =>
    at >= days.length - week ? { ...day, humidity: Math.min(day.humidity, before) } : day,
  )
  const time = dryDay(shape)
  const dryIn = (log: readonly RoomDay[]) => dryingClock(pouredOn, log, humidity).dayAt(time)
  return Math.max(0, dryIn(days) - dryIn(asBefore))
}
