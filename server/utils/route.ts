import type { H3Event } from 'h3'
import type { z } from 'zod'
import { idSchema } from '#contracts/batch'
import { faultsOf, type Fault } from '#contracts/faults'
import type { Db } from '../db/connection'

/** An answer other than success, with what to say. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly faults: Fault[],
    /** What the app needs besides, such as the version that is newer. */
    readonly also: object = {},
  ) {
    super(faults[0]?.says)
  }
}

export function refuse(status: number, says: string, path = '', also: object = {}): never {
  throw new Refusal(status, [{ path, says }], also)
}

interface Context<Body> {
  db: Db
  /** The instant of the request, ISO, UTC. */
  now: string
  /** The `:id` of the route; empty where there is none. */
  id: string
  body: Body
  /** What was sent as it came: for routes that take no JSON object. Empty where a schema parsed it. */
  bytes: Buffer
  /** What stands in the address by name. */
  params: Record<string, string>
  /** What stands behind the question mark, as it came: for `parsed`. */
  query: unknown
}

/** What a schema makes of something, or 422 with what is wrong and where. */
export function parsed<T>(schema: z.ZodType<T>, raw: unknown): T {
  const { success, data, error } = schema.safeParse(raw)
  if (!success) throw new Refusal(422, faultsOf(error))
  return data
}

async function parsedBody<Body>(event: H3Event, schema: z.ZodType<Body> | null): Promise<Body> {
  if (!schema) return undefined as Body
  const raw: unknown = await readBody(event).catch(() => refuse(400, 'What was sent is not JSON.'))
  return parsed(schema, raw)
}

function parsedId(event: H3Event, schema: z.ZodType<string>): string {
  const raw = getRouterParam(event, 'id')
  if (raw === undefined) return ''
  const parsed = schema.safeParse(raw)
  return parsed.success ? parsed.data : refuse(404, 'There is nothing at this address.')
}

/** An answer that is JSON already. */
export const json = (text: string): Response =>
  new Response(text, { headers: { 'content-type': 'application/json' } })

/**
 * A route: parse, act, answer. What is refused answers 4xx with `{ errors: [{ path, says }] }`; what goes wrong in
 * Mantle itself answers 500 in the same form, and the details go to the server's log only.
 */
export function route<Body = undefined>(
  schema: z.ZodType<Body> | null,
  act: (context: Context<Body>) => unknown,
  ids: z.ZodType<string> = idSchema,
) {
  return defineEventHandler(async (event) => {
    try {
      const db = await database()
      const body = await parsedBody(event, schema)
      const sent = !schema && (event.method === 'POST' || event.method === 'PUT')
      const bytes = sent ? ((await readRawBody(event, false)) ?? Buffer.alloc(0)) : Buffer.alloc(0)
      return await act({
        db,
        now: instant().toISOString(),
        id: parsedId(event, ids),
        body,
        bytes,
        params: getRouterParams(event),
        query: getQuery(event),
      })
    } catch (error) {
      if (error instanceof Refusal) {
        setResponseStatus(event, error.status)
        return { errors: error.faults, ...error.also }
      }
      console.error(error)
      setResponseStatus(event, 500)
      return {
        errors: [{ path: '', says: 'Mantle could not do this. Nothing was changed; try again.' }],
      }
    }
  })
}
