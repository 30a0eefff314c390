import { getBatch } from '../../db/batches'

export default route(
  null,
  ({ db, id }) => getBatch(db, id) ?? refuse(404, 'There is no such batch.'),
  { may: ['read'] },
)
