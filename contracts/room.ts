import { z } from 'zod'

/** What the drying room is like at an instant. °C, relative humidity 0–1. */
export const roomReadingSchema = z.strictObject({
  celsius: z
    .number({ error: 'This is not a temperature.' })
    .min(-20, 'A drying room is not colder than -20 °C.')
    .max(50, 'A drying room is not warmer than 50 °C.'),
  humidity: z
    .number({ error: 'This is not a humidity.' })
    .min(0.05, 'No room is that dry.')
    .max(1, 'Humidity is at most 100 %.'),
})
export type RoomReading = z.infer<typeof roomReadingSchema> & {
  /** Instant, UTC. */
  at: string
  by: 'sensor' | 'hand'
}

/** A day in the room: means. */
export interface RoomDay {
  day: string
  celsius: number
  humidity: number
}

/** The room as the routes send it. */
export interface Room {
  now: RoomReading | null
  /** Oldest first. */
  days: RoomDay[]
}
