import { createServer, type RequestListener, type Server } from 'node:http'
import { hostname, networkInterfaces } from 'node:os'

/*
 * Mantle listens on this machine only. Opened to the local network it has a second door on a port of its own, which asks
 * every device for its pairing; closing it shuts that door and leaves the first one as it is.
 */

let server: Server | null = null

/** The port of the second door: given, or the one after Mantle's own. */
export const networkPort = (): number =>
  Number(process.env.MANTLE_NETWORK_PORT ?? Number(process.env.NITRO_PORT ?? 4173) + 1)

/** Addresses of this machine in the local network. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flat()
    .flatMap((one) => (one && one.family === 'IPv4' && !one.internal ? [one.address] : []))

/** Names under which the second door may be asked for: others would be a page that took this address for its own. */
export const ownHosts = (): Set<string> =>
  new Set(
    [...ownAddresses(), hostname(), `${hostname()}.local`, '127.0.0.1', 'localhost'].map(
      (name) => `${name.toLowerCase()}:${networkPort()}`,
    ),
  )

/** Opens the second door. Resolves to a sentence when that cannot be done. */
export function openDoor(listener: RequestListener): Promise<string | null> {
  if (server) return Promise.resolve(null)
  return new Promise((done) => {
    const door = createServer(listener)
    door.once('error', (error: NodeJS.ErrnoException) =>
      done(
        error.code === 'EADDRINUSE'
          ? `Port ${networkPort()} is taken. Stop what runs there, or choose another with MANTLE_NETWORK_PORT.`
          : 'This machine does not let Mantle listen on the network.',
      ),
    )
    door.listen(networkPort(), '0.0.0.0', () => {
      server = door
      done(null)
    })
  })
}

export function closeDoor(): void {
  server?.closeAllConnections()
  server?.close()
  server = null
}
export const doorIsOpen = (): boolean => server !== null
