import { dayIn } from '#core/units/days'
import { journalEdge } from '../../db/journal'
import { getWorkshop } from '../../db/workshop'

/** Years of the journal, what may be chosen in it, and what was written on this day before. */
export default route(
  null,
  ({ db, now }) => journalEdge(db, dayIn(getWorkshop(db).timeZone, new Date(now))),
  { may: ['read'] },
)
