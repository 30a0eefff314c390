import { lots } from '../../db/documents'
import { isDrawn } from '../../db/lots'

export default route(
  null,
  ({ db, id, now }) => {
    if (isDrawn(db, id))
      refuse(
        409,
        'Something was drawn from it, or it was counted: it stays, so that it can be traced.',
      )
    if (!lots.remove(db, id, now)) refuse(404, 'There is no such lot; it may be deleted already.')
    return { id }
  },
  { may: ['rack', 'formulas'] },
)
