import type { RoomDay, RoomReading } from '#contracts/room'
import type { DryingRoom } from '#core/rack/facts'
import { humidityOf } from '#core/rack/room'
import type { Db } from './connection'
import { offsetsIn } from './forecasts'
import { getWorkshop } from './workshop'

export function logRoom(db: Db, reading: RoomReading, day: string): void {
  db.prepare(
    `INSERT INTO room_log (at, day, celsius, humidity, by) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT (at) DO UPDATE SET celsius = excluded.celsius, humidity = excluded.humidity, by = excluded.by`,
  ).run(reading.at, day, reading.celsius, reading.humidity, reading.by)
}

export const lastOfRoom = (db: Db): RoomReading | null =>
  db
    .prepare<[], RoomReading>(
      'SELECT at, celsius, humidity, by FROM room_log ORDER BY at DESC LIMIT 1',
    )
    .get() ?? null

/** The days on which somebody or something looked, as means, oldest first. */
export const roomDays = (db: Db, most: number): RoomDay[] =>
  db
    .prepare<[number], RoomDay>(
      `SELECT day, avg(celsius) AS celsius, avg(humidity) AS humidity
       FROM room_log GROUP BY day ORDER BY day DESC LIMIT ?`,
    )
    .all(most)
    .reverse()

/** The humidity that bars dry in, 0–1: of the last fortnight as logged, or as the workshop states it. */
export const roomHumidity = (db: Db): number =>
  humidityOf(roomDays(db, 14), getWorkshop(db).rack.humidity)

/** Days of the room that the drying of a batch is told by. */
const daysOfDrying = 500

/** The room as the drying of bars sees it. */
export function dryingRoom(db: Db): DryingRoom {
  const days = roomDays(db, daysOfDrying)
  return {
    days,
    humidity: humidityOf(days, getWorkshop(db).rack.humidity),
    offset: offsetsIn(db).dry?.factor ?? 1,
  }
}
