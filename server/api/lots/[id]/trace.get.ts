import { traceOf } from '../../../db/traces'

/** Where a lot went: through what was made up of it into batches, and where their bars are. */
export default route(
  null,
  ({ db, id }) => traceOf(db, id) ?? refuse(404, 'There is no such lot; it may be deleted.'),
  { may: ['read'] },
)
