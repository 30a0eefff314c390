import { getMarket } from '../../db/markets'

export default route(
  null,
  ({ db, id }) =>
    getMarket(db, id) ?? refuse(404, 'There is no such market day; it may be deleted.'),
  { may: ['read'] },
)
