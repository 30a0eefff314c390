import { putAwaySchema } from '#contracts/store'
import { putAway } from '../../db/lots'

/** What came is put away in one act. */
export default route(
  putAwaySchema,
  ({ db, now, caller, body }) => {
    body.lots.forEach(({ id, document }, place) =>
      checkLot(db, id, document, `lots[${place}].document`),
    )
    return putAway(db, body.lots, now, callerName(caller))
  },
  { may: ['rack', 'formulas'] },
)
