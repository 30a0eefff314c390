import { jarsFor } from '#core/trials/jars'
import { dayIn } from '#core/units/days'
import { beginSniffing, blind } from '../../db/sniffings'
import { listTrials } from '../../db/trials'
import { getWorkshop } from '../../db/workshop'

/** Begins a round with every jar that wants a nose today, or gives the one that is open. */
export default route(
  null,
  ({ db, now }) => {
    const today = dayIn(getWorkshop(db).timeZone, new Date(now))
    const jars = jarsFor(listTrials(db), today)
    if (!jars.length) refuse(422, 'No jar wants a nose today.')
    return blind(beginSniffing(db, jars, now))
  },
  { may: ['bench', 'rack'], bytes: 0 },
)
