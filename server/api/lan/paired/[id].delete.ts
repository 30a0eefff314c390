import { endPaired } from '../../../db/paired'
import { endStreams } from '../../../lan/streams'

/** Ends a pairing, and what that device is listening to. */
export default route(null, ({ db, id, now }) => {
  if (!endPaired(db, id, now)) refuse(404, 'There is no such device.')
  endStreams(id)
  return { id }
})
