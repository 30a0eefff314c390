import { weeksBack } from '#core/stores/ahead'
import { addDays, dayIn } from '#core/units/days'
import { plannedBatches } from '../../db/batches'
import { packsSince, usedSince } from '../../db/lots'
import { getWorkshop } from '../../db/workshop'

/** What reservations and "lasts until" are worked out from: what is planned, and what went in the last half year. */
export default route(
  null,
  ({ db, event, now }) => {
    const { timeZone } = getWorkshop(db)
    const today = dayIn(timeZone, new Date(now))
    const planned = JSON.stringify(plannedBatches(db, timeZone))
    const packs = JSON.stringify(packsSince(db, addDays(today, -550)))
    const used = usedSince(db, addDays(today, -7 * weeksBack))
    return json(event, `{"planned":${planned},"used":${used},"packs":${packs}}`)
  },
  { may: ['read'] },
)
