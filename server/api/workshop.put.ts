import { workshopSchema } from '#contracts/workshop'
import { refreshFacts } from '../db/batches'
import { roomHumidity } from '../db/room'
import { saveWorkshop } from '../db/workshop'

export default route(workshopSchema, ({ db, now, body }) => {
  const before = roomHumidity(db)
  saveWorkshop(db, body)
  logSensor(db)
  // Drying goes by the room: what is foretold of every bar moves with it.
  if (roomHumidity(db) !== before) refreshFacts(db, 'here')
  return workshopNow(db, now)
})
