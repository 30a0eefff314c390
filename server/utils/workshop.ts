import type { WorkshopNow } from '#contracts/workshop'
import { dayIn } from '#core/units/days'
import type { Db } from '../db/connection'
import { offsetsIn } from '../db/forecasts'
import { roomHumidity } from '../db/room'
import { getWorkshop, workshopRevision } from '../db/workshop'

/** The workshop with its clock and the humidity of its room. */
export function workshopNow(db: Db, now: string): WorkshopNow {
  const workshop = getWorkshop(db)
  return {
    ...workshop,
    revision: workshopRevision(db),
    now,
    today: dayIn(workshop.timeZone, new Date(now)),
    humidity: roomHumidity(db),
    offsets: offsetsIn(db),
  }
}
