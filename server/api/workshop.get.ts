import type { WorkshopNow } from '#contracts/workshop'
import { dayIn } from '#core/units/days'
import { getWorkshop } from '../db/workshop'

export default route(null, ({ db, now }): WorkshopNow => {
  const workshop = getWorkshop(db)
  return { ...workshop, now, today: dayIn(workshop.timeZone, new Date(now)) }
})
