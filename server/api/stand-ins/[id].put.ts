import { standInSchema } from '#contracts/device'
import { standInsFor } from '../../devices/hub'

export default route(
  standInSchema,
  ({ id, body }) => {
    standInsFor(id, body).keepAlive()
    return { id }
  },
  { may: ['bench'] },
)
