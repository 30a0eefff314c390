import { listPaired } from '../../db/paired'
import { lanIsOpen, networkPort, ownAddresses, proxyOrigin } from '../../lan/network'

export default route(null, ({ db }) => {
  const proxy = proxyOrigin()
  return {
    open: lanIsOpen(),
    /** Whether what goes over the network can be read on its way. */
    secure: proxy?.protocol === 'https:',
    addresses: proxy
      ? [proxy.origin]
      : ownAddresses().map((address) => `http://${address}:${networkPort()}`),
    paired: listPaired(db),
  }
})
