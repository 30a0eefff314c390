import { costsOf } from '../../../db/costs'

/** What a batch cost as it was made, and what it would today. */
export default route(
  null,
  ({ db, id }) => costsOf(db, id) ?? refuse(404, 'There is no such batch.'),
  { may: ['read'] },
)
