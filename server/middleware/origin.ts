import type { H3Event } from 'h3'
import { isPaired } from '../db/paired'
import { networkPort, ownHosts } from '../reach/network'
import { deviceCookie, hashOf } from '../reach/pairing'

const thisMachine = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/
/** What only the host itself may ask: who is paired, and whether the door is open. */
const hostOnly = /^\/api\/reach(\/|$)/

function refusal(event: H3Event, status: number, says: string) {
  setResponseStatus(event, status)
  return { errors: [{ path: '', says }] }
}

/**
 * Mantle serves one machine, and the devices that were paired with it. A page from elsewhere must neither write to it nor, by
 * giving a name of its own to this address, read from it: the request has to be made by one of the machine's own names, and a
 * change has to come from Mantle's own pages (or from no page at all). Through the door to the network nothing is answered
 * without a pairing but the page that pairs.
 */
export default defineEventHandler(async (event) => {
  const host = getRequestHost(event)
  const origin = getRequestHeader(event, 'origin')
  const reads = event.method === 'GET' || event.method === 'HEAD'
  const fromNetwork = event.node.req.socket.localPort === networkPort()
  const named = fromNetwork ? ownHosts().has(host.toLowerCase()) : thisMachine.test(host)
  if (!named || !(reads || !origin || origin === `http://${host}`))
    return refusal(event, 403, 'This request came from another page and was not carried out.')
  if (!fromNetwork) return
  const { pathname } = getRequestURL(event)
  // The pairing page, and the calendar, whose address is its own key.
  if (pathname === '/pair' || (reads && pathname.startsWith('/calendar/'))) return
  const bearer = /^Bearer (\S+)$/.exec(getRequestHeader(event, 'authorization') ?? '')?.[1]
  const secret = bearer ?? getCookie(event, deviceCookie)
  if (!secret || !isPaired(await database(), hashOf(secret))) {
    if (pathname.startsWith('/api/') || !reads)
      return refusal(event, 401, 'This device is not paired with Mantle. Open /pair on it.')
    return sendRedirect(event, '/pair')
  }
  if (hostOnly.test(pathname))
    return refusal(event, 403, 'This is done on the computer that Mantle runs on.')
})
