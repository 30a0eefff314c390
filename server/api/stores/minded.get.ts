import { dayIn } from '#core/units/days'
import { mindedLots } from '../../db/lots'
import { getWorkshop } from '../../db/workshop'

/** How many lots have something that is to be minded: held, over or nearly, overdrawn, open for long. */
export default route(
  null,
  ({ db, now }) => ({ lots: mindedLots(db, dayIn(getWorkshop(db).timeZone, new Date(now))) }),
  { may: ['read'] },
)
