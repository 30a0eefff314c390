import { standInActSchema } from '#contracts/device'
import { standInsOf } from '../../../devices/hub'

export default route(
  standInActSchema,
  ({ id, body }) => {
    const set = standInsOf(id) ?? refuse(404, 'These stand-ins are switched off.')
    return { id, passed: set.act(body) }
  },
  { may: ['bench'] },
)
