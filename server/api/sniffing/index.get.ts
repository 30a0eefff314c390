import { jarsFor } from '#core/trials/jars'
import { dayIn } from '#core/units/days'
import { blind, openSniffing } from '../../db/sniffings'
import { listTrials } from '../../db/trials'
import { getWorkshop } from '../../db/workshop'

/** The round of noses that is open, by codes alone, null when none is; and how many jars want a nose today. */
export default route(
  null,
  ({ db, now }) => {
    const open = openSniffing(db)
    const today = dayIn(getWorkshop(db).timeZone, new Date(now))
    return { open: open && blind(open), due: jarsFor(listTrials(db), today).length }
  },
  { may: ['read'] },
)
