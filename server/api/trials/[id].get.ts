import { getTrial } from '../../db/trials'

export default route(
  null,
  ({ db, id }) => getTrial(db, id) ?? refuse(404, 'There is no such trial day; it may be deleted.'),
  { may: ['read'] },
)
