import { addDays, dayIn } from '#core/units/days'
import { unwrittenSince } from '../../db/traces'
import { getWorkshop } from '../../db/workshop'

/** Days back that a count asks where something may have gone. */
const back = 60

/** What batches of the last weeks needed, and nobody wrote down as drawn. */
export default route(
  null,
  ({ db, now }) =>
    unwrittenSince(db, addDays(dayIn(getWorkshop(db).timeZone, new Date(now)), -back)),
  { may: ['read'] },
)
