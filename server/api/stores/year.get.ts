import { yearTo } from '#core/cost/year'
import { dayIn } from '#core/units/days'
import { getWorkshop } from '../../db/workshop'
import { yearFacts } from '../../db/year'

/** Twelve months in bars and money: made, gone, on the shelves, taken, spent. */
export default route(
  null,
  ({ db, now }) => yearTo(dayIn(getWorkshop(db).timeZone, new Date(now)), yearFacts(db)),
  { may: ['read'] },
)
