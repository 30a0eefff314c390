import type { H3Event } from 'h3'
import type { Caller } from '#contracts/rights'
import { pairedWith, sawPaired } from '../db/paired'
import { networkPort, ownHosts, proxyOrigin, throughProxy } from '../lan/network'
import { deviceCookie, hashOf } from '../lan/pairing'

const thisMachine = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/
/** ms between two notes of when a device was seen. */
const noteEvery = 60_000

function refusal(event: H3Event, status: number, says: string) {
  setResponseStatus(event, status)
  return { errors: [{ path: '', says }] }
}

/** A change must come from one of Mantle's own pages, or from no page at all. */
function fromElsewhere(event: H3Event, host: string): boolean {
  const site = getRequestHeader(event, 'sec-fetch-site')
  if (site && site !== 'same-origin' && site !== 'none') return true
  const origin = getRequestHeader(event, 'origin')
  const own = throughProxy(event) ? proxyOrigin()!.origin : `http://${host}`
  return origin !== undefined && origin.toLowerCase() !== own.toLowerCase()
}

async function deviceOf(event: H3Event): Promise<Caller | null> {
  const bearer = /^Bearer (\S+)$/.exec(getRequestHeader(event, 'authorization') ?? '')?.[1]
  const secret = bearer ?? getCookie(event, deviceCookie)
  if (!secret) return null
  const db = await database()
  const device = pairedWith(db, hashOf(secret))
  if (!device) return null
  const now = instant()
  if (!device.seenAt || now.getTime() - Date.parse(device.seenAt) > noteEvery)
    sawPaired(db, device.id, now.toISOString())
  return { kind: 'device', id: device.id, name: device.name, rights: device.rights }
}

/**
 * Mantle serves one machine, and the devices that were paired with it. A page from elsewhere must neither write to it nor, by
 * giving a name of its own to this address, read from it: the request has to be made by one of the machine's own names, and a
 * change has to come from Mantle's own pages (or from no page at all). Who asks is found out here; what they may do, each route
 * says itself. What came through a proxy is never taken for this computer.
 */
export default defineEventHandler(async (event) => {
  const host = (event.node.req.headers.host ?? '').toLowerCase()
  const reads = event.method === 'GET' || event.method === 'HEAD'
  const fromNetwork = event.node.req.socket.localPort === networkPort()
  const forwarded = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-real-ip', 'via'].some(
    (name) => event.node.req.headers[name] !== undefined,
  )
  if (forwarded && !fromNetwork)
    return refusal(
      event,
      403,
      `A proxy goes before port ${networkPort()}, which asks for a pairing; this port is for this computer alone.`,
    )
  const named = fromNetwork ? ownHosts().has(host) : thisMachine.test(host)
  if (!named || (!reads && fromElsewhere(event, host)))
    return refusal(event, 403, 'This request came from another page and was not carried out.')
  if (!fromNetwork) {
    event.context.caller = { kind: 'host' } satisfies Caller
    return
  }
  const { pathname } = getRequestURL(event)
  // The pairing page, and the calendar, whose address is its own key.
  if (pathname === '/pair' || (reads && pathname.startsWith('/calendar/'))) return
  let caller: Caller | null
  try {
    caller = await deviceOf(event)
  } catch (error) {
    return refusal(event, 503, sentenceOfDatabase(error))
  }
  if (caller) event.context.caller = caller
  else if (pathname.startsWith('/api/') || !reads)
    return refusal(event, 401, 'This device is not paired with Mantle. Open /pair on it.')
  else return sendRedirect(event, '/pair')
})
