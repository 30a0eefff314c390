import type { Room, RoomReading } from '#contracts/room'
import { dayIn } from '#core/units/days'
import { queueHere } from '../facts/queue'
import type { Db } from '../db/connection'
import { lastOfRoom, logRoom, roomDays, roomHumidity } from '../db/room'
import { getWorkshop } from '../db/workshop'
import { devicesHeard } from '../devices/hub'
import { standInRoom } from '../devices/standInRoom'

/** ms between two entries of the log. */
const logEvery = 10 * 60_000
/** Humidity by which what bars dry in has to move before the forecast of them is worked out again. */
const worthRefreshing = 0.01
let forecastWith: number | undefined

/** What the sensor of the room reads now; null without one, or when it is silent. */
export function roomNow(db: Db): RoomReading | null {
  const { sensor } = getWorkshop(db).rack
  if (!sensor) return null
  const at = instant().toISOString()
  if (sensor === 'stand-in') return { ...standInRoom(Date.parse(at)), at, by: 'sensor' }
  const heard = devicesHeard(Date.now()).filter(({ device }) => device === sensor)
  const celsius = heard.find(({ kind }) => kind === 'celsius')?.value
  const humidity = heard.find(({ kind }) => kind === 'humidity')?.value
  return celsius == null || humidity == null ? null : { celsius, humidity, at, by: 'sensor' }
}

/** Days of the room that are told. */
const daysTold = 120

/** The room as the routes send it. */
export const roomTold = (db: Db): Room => ({
  now: roomNow(db) ?? lastOfRoom(db),
  days: roomDays(db, daysTold),
})

/** Writes a reading down; the forecast of drying bars follows when the room has become another. */
export function keepRoom(db: Db, reading: RoomReading): void {
  forecastWith ??= roomHumidity(db)
  logRoom(db, reading, dayIn(getWorkshop(db).timeZone, new Date(reading.at)))
  const humidity = roomHumidity(db)
  if (Math.abs(humidity - forecastWith) < worthRefreshing) return
  forecastWith = humidity
  queueHere(db)
}

/** Logs what the sensor reads when the last entry is old enough. */
export function logSensor(db: Db): void {
  const reading = roomNow(db)
  if (!reading) return
  const last = lastOfRoom(db)
  if (!last || Date.parse(reading.at) - Date.parse(last.at) >= logEvery) keepRoom(db, reading)
}
