import type { RoomDay } from '#contracts/room'
import { daysBetween, type Day } from '../../units/days'
import { paceIn } from './model'

/*
 * Days as drying counts them: a damp day counts for less than a dry one. One day of this clock is a day in air of the humidity
 * that the room has had of late; days of which nobody knows count as such.
 */

export interface DryingClock {
  /** Days of drying until a day since the pour, 0 or more. */
  timeAt(day: number): number
  /** The day since the pour at which so many days of drying are over. */
  dayAt(time: number): number
}

/** The clock of a room that nobody logged. */
export const plainClock: DryingClock = { timeAt: (day) => day, dayAt: (time) => time }

/**
 * @param room days that were logged, any
 * @param humidity of the room of late, 0–0.95, in which one day counts as one
 * @example dryingClock('2026-03-01', [], 0.5).timeAt(7) // 7
 */
export function dryingClock(
  pouredOn: Day,
  room: readonly RoomDay[],
  humidity: number,
): DryingClock {
  const paces = new Map(
    room.map((one) => [daysBetween(pouredOn, one.day), paceIn(one.humidity) / paceIn(humidity)]),
  )
  const last = Math.max(-1, ...paces.keys())
  if (last < 0) return plainClock
  /** Days of drying at the beginning of each day that was logged, and after the last of them. */
  const times = [0]
  for (let day = 0; day <= last; day++) times.push(times[day]! + (paces.get(day) ?? 1))
  const logged = times.length - 1
  return {
    timeAt(day) {
      if (day >= logged) return times[logged]! + (day - logged)
      const whole = Math.max(0, Math.floor(day))
      return times[whole]! + (times[whole + 1]! - times[whole]!) * (day - whole)
    },
    dayAt(time) {
      if (time >= times[logged]!) return logged + (time - times[logged]!)
      const whole = Math.max(
        0,
        times.findLastIndex((at) => at <= time),
      )
      const step = times[whole + 1]! - times[whole]!
      return whole + (step > 0 ? (time - times[whole]!) / step : 0)
    },
  }
}
