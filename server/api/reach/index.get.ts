import { listPaired } from '../../db/paired'
import { doorIsOpen, networkPort, ownAddresses, proxyOrigin } from '../../reach/network'

export default route(null, ({ db }) => {
  const proxy = proxyOrigin()
  return {
    open: doorIsOpen(),
    /** Whether what goes through the door can be read on its way. */
    secure: proxy?.protocol === 'https:',
    addresses: proxy
      ? [proxy.origin]
      : ownAddresses().map((address) => `http://${address}:${networkPort()}`),
    paired: listPaired(db),
  }
})
