import { endPaired } from '../../../db/paired'

export default route(null, ({ db, id, now }) =>
  endPaired(db, id, now) ? { id } : refuse(404, 'There is no such device.'),
)
