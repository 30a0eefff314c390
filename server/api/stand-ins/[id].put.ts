import { standInSchema } from '#contracts/device'
import { standInsFor } from '../../devices/hub'

export default route(
  standInSchema,
  ({ id, body }) => {
    const set =
      standInsFor(id, body) ??
      refuse(429, 'Too many stand-ins are running. Close a bench, then try again.')
    set.keepAlive()
    return { id }
  },
  { may: ['bench'] },
)
