import { batchEventSchema } from '#contracts/batch'
import { whyNot } from '#core/rack/allowed'
import { dayIn } from '#core/units/days'
import { addEvent, getBatch } from '../../../db/batches'
import { getWorkshop } from '../../../db/workshop'

export default route(batchEventSchema, ({ db, id, now, body }) => {
  const batch = getBatch(db, id) ?? refuse(404, 'There is no such batch.')
  if (batch.events.some((event) => event.id === body.id)) return batch
  const says = whyNot(batch, body, dayIn(getWorkshop(db).timeZone, new Date(now)))
  if (says) refuse(422, says, body.kind === 'undone' ? 'event' : 'day')
  addEvent(db, id, body, now)
  return getBatch(db, id)
})
