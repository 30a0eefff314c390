import type { RoomReading } from '#contracts/room'

/** ms between two readings of a room: it changes slowly. */
const pace = 5000

/** The room as its sensor reads it; null while it is silent. */
export default defineEventHandler(async (event) => {
  const db = await database()
  return stream<RoomReading | null>(event, (send) => {
    send(roomNow(db))
    const timer = setInterval(() => send(roomNow(db)), pace)
    return () => clearInterval(timer)
  })
})
