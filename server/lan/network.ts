import { createServer, type RequestListener, type Server } from 'node:http'
import { hostname, networkInterfaces } from 'node:os'
import type { H3Event } from 'h3'

/*
 * Mantle listens on this machine only. Opened to the local network it listens on a port of its own too, which asks
 * every device for its pairing; closing that access leaves the machine's own port as it is. A reverse proxy of the maker's
 * own stands before the network port, never before the machine's (docs/network.md).
 */

let server: Server | null = null

/** The port for the network: given, or the one after Mantle's own. */
export const networkPort = (): number =>
  Number(process.env.MANTLE_NETWORK_PORT ?? Number(process.env.NITRO_PORT ?? 4173) + 1)

/** Under which origin a trusted proxy with HTTPS shows Mantle, as https://soap.example; null without one. */
export function proxyOrigin(): URL | null {
  const told = process.env.MANTLE_PROXY_ORIGIN
  if (!told) return null
  try {
    return new URL(told)
  } catch {
    return null
  }
}

/** Addresses of this machine in the local network. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flat()
    .flatMap((one) => (one && one.family === 'IPv4' && !one.internal ? [one.address] : []))

/** Names under which the network port may be asked for: others would be a page that took this address for its own. */
export const ownHosts = (): Set<string> =>
  new Set([
    ...[...ownAddresses(), hostname(), `${hostname()}.local`, '127.0.0.1', 'localhost'].map(
      (name) => [name.toLowerCase(), networkPort()].join(':'),
    ),
    ...(proxyOrigin() ? [proxyOrigin()!.host] : []),
  ])

/** Whether a request came through the trusted proxy. */
export const throughProxy = (event: H3Event): boolean => {
  const proxy = proxyOrigin()
  return proxy !== null && event.node.req.headers.host?.toLowerCase() === proxy.host
}

/** Where a request comes from: the address, or the one that the trusted proxy on this machine tells. */
export function senderOf(event: H3Event): string {
  const address = event.node.req.socket.remoteAddress ?? ''
  const near = address === '127.0.0.1' || address === '::1' || address === '::ffff:127.0.0.1'
  const told = String(event.node.req.headers['x-forwarded-for'] ?? '')
  // The last one is what the proxy itself saw; those before it anybody can write.
  return throughProxy(event) && near && told ? told.split(',').at(-1)!.trim() : address
}

/** Opens LAN access. Resolves to a sentence when that cannot be done. */
export function openLan(listener: RequestListener): Promise<string | null> {
  if (server) return Promise.resolve(null)
  if (process.env.MANTLE_PROXY_ORIGIN && !proxyOrigin())
    return Promise.resolve(
      'MANTLE_PROXY_ORIGIN must be an origin, as https://soap.example; the network stays closed.',
    )
  return new Promise((done) => {
    const listening = createServer({ headersTimeout: 10_000, requestTimeout: 60_000 }, listener)
    listening.maxConnections = 200
    listening.once('error', (error: NodeJS.ErrnoException) =>
      done(
        error.code === 'EADDRINUSE'
          ? `Port ${networkPort()} is taken. Stop what runs there, or choose another with MANTLE_NETWORK_PORT.`
          : 'This machine does not let Mantle listen on the network.',
      ),
    )
    // With a proxy on this machine nobody else needs to reach the port itself.
    listening.listen(networkPort(), proxyOrigin() ? '127.0.0.1' : '0.0.0.0', () => {
      server = listening
      done(null)
    })
  })
}

export function closeLan(): void {
  server?.closeAllConnections()
  server?.close()
  server = null
}
export const lanIsOpen = (): boolean => server !== null
