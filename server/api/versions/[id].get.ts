import { getVersion } from '../../db/versions'

export default route(
  null,
  ({ db, id }) => getVersion(db, id) ?? refuse(404, 'There is no such version.'),
  { may: ['read'] },
)
