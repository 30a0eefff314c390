import { devicesHeard } from '../../devices/hub'

export default route(null, () => devicesHeard(Date.now()), { may: ['bench', 'rack'] })
