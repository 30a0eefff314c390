import { moveSchema } from '#contracts/store'
import { dayIn } from '#core/units/days'
import { batchExists, OtherContent } from '../../../db/batches'
import { addMove, getLot, NotThere, OverDraw, wholeLot } from '../../../db/lots'
import { getWorkshop } from '../../../db/workshop'

export default route(
  moveSchema,
  ({ db, id, now, caller, body }) => {
    if (body.lotId !== id) refuse(422, 'It is not of the lot of this address.', 'lotId')
    if (!getLot(db, id)) refuse(404, 'There is no such lot; it may be deleted.')
    if (body.day > dayIn(getWorkshop(db).timeZone, new Date(now)))
      refuse(422, 'That day has not come yet.', 'day')
    if ('batchId' in body && body.batchId && !batchExists(db, body.batchId))
      refuse(422, 'There is no such batch.', 'batchId')
    if (body.kind === 'counted' && body.why === 'batch' && !body.batchId)
      refuse(422, 'Say which batch it went into.', 'batchId')
    try {
      addMove(db, body, now, callerName(caller))
    } catch (error) {
      if (error instanceof OtherContent)
        refuse(409, 'Something else was written down under the same id. Write it down anew.', 'id')
      if (error instanceof OverDraw)
        refuse(409, 'That is more than there is of it.', 'grams', { there: error.there })
      if (error instanceof NotThere)
        refuse(422, 'That cannot be taken back here: it was, or it follows from a batch.', 'move')
      throw error
    }
    return wholeLot(db, id)
  },
  { may: ['rack', 'bench', 'formulas'] },
)
