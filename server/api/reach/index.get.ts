import { listPaired } from '../../db/paired'
import { doorIsOpen, networkPort, ownAddresses } from '../../reach/network'

export default route(null, ({ db }) => ({
  open: doorIsOpen(),
  addresses: ownAddresses().map((address) => `http://${address}:${networkPort()}`),
  paired: listPaired(db),
}))
