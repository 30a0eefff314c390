import { takeOutImport } from '../../db/journal'

/** An import goes out again with all that came in with it. */
export default route(
  null,
  ({ db, id, now }) =>
    takeOutImport(db, id, now)
      ? { id }
      : refuse(404, 'There is no such import; it may be out already.'),
  { may: ['formulas'] },
)
