import type { Room } from '#contracts/room'
import { lastOfRoom, roomDays } from '../../db/room'

/** Days of the room that are told. */
const days = 120

export default route(null, ({ db }): Room => ({
  now: roomNow(db) ?? lastOfRoom(db),
  days: roomDays(db, days),
}))
