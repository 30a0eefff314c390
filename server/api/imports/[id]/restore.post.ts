import { bringImportBack } from '../../../db/journal'

/** Taking an import out is taken back. */
export default route(
  null,
  ({ db, id }) => bringImportBack(db, id) ?? refuse(404, 'There is no such import.'),
  { may: ['formulas'] },
)
