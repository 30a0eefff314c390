import { workshopSchema, type WorkshopNow } from '#contracts/workshop'
import { dayIn } from '#core/units/days'
import { refreshFacts } from '../db/batches'
import { getWorkshop, saveWorkshop } from '../db/workshop'

export default route(workshopSchema, ({ db, now, body }): WorkshopNow => {
  const before = getWorkshop(db).rack.humidity
  saveWorkshop(db, body)
  // Drying goes by the room: what is foretold of every bar moves with it.
  if (body.rack.humidity !== before) refreshFacts(db, 'here')
  return { ...body, now, today: dayIn(body.timeZone, new Date(now)) }
})
