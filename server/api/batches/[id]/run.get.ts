import { runOfBatch } from '../../../db/runs'

export default route(
  null,
  ({ db, id }) => runOfBatch(db, id) ?? refuse(404, 'This batch has not been begun at the bench.'),
  { may: ['read'] },
)
