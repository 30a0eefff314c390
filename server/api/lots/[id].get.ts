import { wholeLot } from '../../db/lots'

export default route(
  null,
  ({ db, id }) => wholeLot(db, id) ?? refuse(404, 'There is no such lot; it may be deleted.'),
  { may: ['read'] },
)
