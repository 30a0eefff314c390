import { workshopSchema, type WorkshopNow } from '#contracts/workshop'
import { dayIn } from '#core/units/days'
import { saveWorkshop } from '../db/workshop'

export default route(workshopSchema, ({ db, now, body }): WorkshopNow => {
  saveWorkshop(db, body)
  return { ...body, now, today: dayIn(body.timeZone, new Date(now)) }
})
