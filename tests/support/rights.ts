import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import type { Right } from '#contracts/rights'

/** A route as its file stands: what it is asked for by, and the rights of which a device needs one. */
export interface RouteRights {
  method: string
  /** With `[name]` where an id or a name stands. */
  path: string
  may: readonly Right[]
}

/** A call of `route` keeps its manner and does nothing else; what else a route file calls does nothing at all. */
const stands = {
  route: (_schema: unknown, _act: unknown, manner: { may?: readonly Right[] } = {}) => ({
    may: manner.may ?? [],
  }),
}

/** Every route under server/api with the rights it declares itself, read from the routes and from nowhere else. */
export async function rightsOfRoutes(): Promise<RouteRights[]> {
  Object.assign(globalThis, stands)
  const server = join(import.meta.dirname, '../../server')
  for (const shared of ['documentRoutes', 'kinds', 'photoRoute'])
    Object.assign(globalThis, await import(join(server, 'utils', `${shared}.ts`)))
  const root = join(server, 'api')
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.startsWith('[...]'))
    .sort()
  return Promise.all(
    files.map(async (file) => {
      const [, path, method] = /^(.*)\.(get|put|post|patch|delete)\.ts$/.exec(file)!
      const { default: declared } = (await import(join(root, file))) as {
        default: { may: readonly Right[] }
      }
      return {
        method: method!.toUpperCase(),
        path: `/api/${path!.replace(/\/?index$/, '')}`.replace(/\/$/, ''),
        may: declared.may,
      }
    }),
  )
}

/** The table of rights, as docs/network.md has it. */
export const rightsTable = (routes: readonly RouteRights[]): string =>
  [
    '| route | a device needs one of |',
    '| --- | --- |',
    ...routes.map(
      ({ method, path, may }) =>
        `| \`${method} ${path}\` | ${may.join(', ') || 'only the computer Mantle runs on'} |`,
    ),
  ].join('\n')
