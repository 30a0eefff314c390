import type { H3Event } from 'h3'
import type { z } from 'zod'
import { idSchema } from '#contracts/batch'
import { faultsOf, type Fault } from '#contracts/faults'
import { mayDo, type Caller, type Right } from '#contracts/rights'
import type { Db } from '../db/connection'
import { epochOf } from '../db/epoch'
import { troubleOf } from '../db/troubles'

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
  event: H3Event
  caller: Caller
  /** The instant of the request, ISO, UTC. */
  now: string
  /** The `:id` of the route; empty where there is none. */
  id: string
  body: Body
  /** What was sent as it came: for routes that take no JSON object. Empty where a schema parsed it, and where `bytes` is 0. */
  bytes: Buffer
  /** What stands in the address by name. */
  params: Record<string, string>
  /** What stands behind the question mark, as it came: for `parsed`. */
  query: unknown
}

/** The name of the device that asks; empty for the computer Mantle runs on. */
export const callerName = (caller: Caller): string => (caller.kind === 'device' ? caller.name : '')

/** What a route takes and who may use it. */
export interface RouteManner {
  /** Rights of which a paired device needs one; without any, only this computer may. */
  may?: readonly Right[]
  ids?: z.ZodType<string>
  /** Bytes that it takes where it takes no JSON object; what is longer it has to read from the event itself. */
  bytes?: number
}

/** What a schema makes of something, or 422 with what is wrong and where. */
export function parsed<T>(schema: z.ZodType<T>, raw: unknown): T {
  const { success, data, error } = schema.safeParse(raw)
  if (!success) throw new Refusal(422, faultsOf(error))
  return data
}

function parsedId(event: H3Event, schema: z.ZodType<string>): string {
  const raw = getRouterParam(event, 'id')
  if (raw === undefined) return ''
  const parsed = schema.safeParse(raw)
  return parsed.success ? parsed.data : refuse(404, 'There is nothing at this address.')
}

/** An answer that is JSON already. Given as bytes: a web response of a megabyte is sent in pieces and takes twice as long. */
export function json(event: H3Event, text: string): Buffer {
  setResponseHeader(event, 'content-type', 'application/json')
  return Buffer.from(text)
}

/** Who asks, or a refusal when nobody known does, or nobody who may. */
function callerFor(event: H3Event, asked: readonly Right[]): Caller {
  const caller = event.context.caller as Caller | undefined
  if (!caller) refuse(401, 'This device is not paired with Mantle. Open /pair on it.')
  if (!mayDo(caller, asked))
    refuse(
      403,
      asked.length
        ? 'This device may not do this. What it may do is set on the computer that Mantle runs on.'
        : 'This is done on the computer that Mantle runs on.',
    )
  return caller
}

/** What is answered to something that was thrown; what nobody foresaw goes to the server's log, and only there. */
function answerTo(event: H3Event, error: unknown) {
  if (error instanceof Refusal) {
    setResponseStatus(event, error.status)
    return { errors: error.faults, ...error.also }
  }
  const trouble = troubleOf(error, databaseFile())
  if (trouble) {
    setResponseStatus(event, trouble.status)
    return { errors: [{ path: '', says: trouble.message }] }
  }
  log(error)
  setResponseStatus(event, 500)
  return {
    errors: [{ path: '', says: 'Mantle could not do this. Nothing was changed; try again.' }],
  }
}

/**
 * A route: who may, parse, act, answer. What is refused answers 4xx with `{ errors: [{ path, says }] }`, a known trouble of the
 * disk 5xx in the same form with what to do about it. Rights are looked at here, where the route runs, so that no way of
 * writing its address goes round them.
 */
export function route<Body = undefined>(
  schema: z.ZodType<Body> | null,
  act: (context: Context<Body>) => unknown,
  { may = [], ids = idSchema, bytes: most = mostJson }: RouteManner = {},
) {
  return defineEventHandler(async (event) => {
    try {
      const caller = callerFor(event, may)
      const writes = event.method !== 'GET' && event.method !== 'HEAD'
      if (writes) stopIfStrayed()
      const id = parsedId(event, ids)
      const body = schema ? parsed(schema, await jsonBody(event)) : (undefined as Body)
      const sent = !schema && most > 0 && (event.method === 'POST' || event.method === 'PUT')
      const bytes = sent ? await limitedBody(event, most) : Buffer.alloc(0)
      // Asked for last: while the body came in, the workshop may have been put back to an older state.
      const db = await database()
      setResponseHeader(event, 'x-mantle-epoch', epochOf(db))
      return await act({
        db,
        event,
        caller,
        now: instant().toISOString(),
        id,
        body,
        bytes,
        params: getRouterParams(event),
        query: getQuery(event),
      })
    } catch (error) {
      return answerTo(event, error)
    }
  })
}
