import { paceDays } from '#core/rack/outlook'
import { addDays, dayIn } from '#core/units/days'
import { goneSince } from '../../db/batches'
import { getWorkshop } from '../../db/workshop'

/** Bars of each formula that went in the last 90 days. */
export default route(
  null,
  ({ db, now }) =>
    goneSince(db, addDays(dayIn(getWorkshop(db).timeZone, new Date(now)), -paceDays)),
  { may: ['read'] },
)
