import { batchEventSchema } from '#contracts/batch'
import { whyNot } from '#core/events/index'
import { dayIn } from '#core/units/days'
import { addEvents, getBatch, OtherContent } from '../../../db/batches'
import { getWorkshop } from '../../../db/workshop'
import { queueFirst } from '../../../facts/queue'

/** ms that an answer waits for what the event makes of the forecast; a batch that takes longer tells it later. */
const patience = 250

const taken = () =>
  refuse(409, 'Something else was written down under the same id. Write it down anew.', 'id')

export default route(
  batchEventSchema,
  async ({ db, id, now, body }) => {
    const batch = getBatch(db, id) ?? refuse(404, 'There is no such batch.')
    const before = batch.events.find((event) => event.id === body.id)
    if (before) {
      const { at: _, ...event } = before
      return JSON.stringify(event) === JSON.stringify(body) ? batch : taken()
    }
    const workshop = getWorkshop(db)
    const says = whyNot(batch, body, dayIn(workshop.timeZone, new Date(now)), workshop)
    if (says) refuse(422, says, body.kind === 'undone' ? 'event' : 'day')
    try {
      addEvents(db, id, [{ ...body, at: now }], 'later')
    } catch (error) {
      throw error instanceof OtherContent ? taken() : error
    }
    await queueFirst(db, id, patience)
    return getBatch(db, id)
  },
  { may: ['rack'] },
)
