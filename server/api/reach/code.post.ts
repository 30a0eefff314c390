import { doorIsOpen } from '../../reach/network'
import { newCode } from '../../reach/pairing'

export default route(null, () =>
  doorIsOpen() ? newCode(Date.now()) : refuse(409, 'Mantle is not open to the network.'),
)
