import { lanIsOpen } from '../../lan/network'
import { newCode } from '../../lan/pairing'

export default route(null, () =>
  lanIsOpen() ? newCode(Date.now()) : refuse(409, 'Mantle is not open to the network.'),
)
