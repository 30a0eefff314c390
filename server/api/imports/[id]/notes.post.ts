import { manyNotesSchema } from '#contracts/journal'
import { imports } from '../../../db/documents'
import { addNotes } from '../../../db/journal'

/** Many pages or rows of an import at once; sent again they are kept once. */
export default route(
  manyNotesSchema,
  ({ db, id, now, caller, body }) => {
    if (!imports.get(db, id)) refuse(404, 'There is no such import; it may be out already.')
    return { count: addNotes(db, id, body.notes, now, callerName(caller)) }
  },
  { may: ['formulas'] },
)
