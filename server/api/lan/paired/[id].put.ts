import { z } from 'zod'
import { rights } from '#contracts/rights'
import { setRights } from '../../../db/paired'
import { endStreams } from '../../../lan/streams'

/** What a device may do from now on. It listens anew, with the rights it has then. */
export default route(
  z.strictObject({ rights: z.array(z.enum(rights)).max(rights.length) }),
  ({ db, id, body }) => {
    const device =
      setRights(db, id, [...new Set(body.rights)]) ?? refuse(404, 'There is no such device.')
    endStreams(id)
    return device
  },
)
