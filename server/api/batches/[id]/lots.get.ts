import { batchExists } from '../../../db/batches'
import { behindBatch } from '../../../db/lots'

/** What a batch drew, and every lot behind it. */
export default route(
  null,
  ({ db, id }) =>
    batchExists(db, id) ? behindBatch(db, id) : refuse(404, 'There is no such batch.'),
  { may: ['read'] },
)
