import { roomReadingSchema } from '#contracts/room'

/** A reading that somebody typed. */
export default route(
  roomReadingSchema,
  ({ db, now, body }) => {
    const reading = { ...body, at: now, by: 'hand' as const }
    keepRoom(db, reading)
    return { ...roomTold(db), now: reading }
  },
  { may: ['rack'] },
)
