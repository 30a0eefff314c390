import type { Stored } from '#contracts/document'
import type { Fault } from '#contracts/faults'

/** What the server refused, or that it could not be reached (`status` 0). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly faults: Fault[],
    /** Whatever else the answer carried. */
    readonly body: Record<string, unknown> = {},
  ) {
    super(faults[0]?.says ?? 'Mantle could not do this.')
  }
}

const unreachable = 'Mantle cannot be reached. Is it still running?'

/** Bytes that browsers send after a page has gone; more than that they refuse to begin with. */
const mostAfterwards = 60_000

/** The life of the database that answered last; another one means that the workshop was put back to an older state. */
let epoch = ''
const followers = new Set<(epoch: string) => void>()

/** Hears when the workshop was put back to an older state. */
export function onOtherEpoch(hear: (epoch: string) => void): () => void {
  followers.add(hear)
  return () => void followers.delete(hear)
}
/** The epoch as it was named last; empty before anybody answered. */
export const currentEpoch = (): string => epoch
/** Takes note of the epoch that the server or its stream named. */
export function noteEpoch(named: string | null): void {
  if (!named || named === epoch) return
  const first = epoch === ''
  epoch = named
  if (!first) for (const hear of followers) hear(named)
}

/** When what is shown was read, ISO, UTC, while Mantle cannot be reached and this device shows what it kept; null while it answers. */
export const keptSince = ref<string | null>(null)
/** The build of Mantle that answered last; empty before anybody did. */
export const serverBuild = ref('')

function noteWhoAnswered(headers: Headers) {
  const kept = headers.get('x-mantle-kept')
  // Of several lists the oldest tells.
  if (!kept) keptSince.value = null
  else if (!keptSince.value || kept < keptSince.value) keptSince.value = kept
  if (!kept) serverBuild.value = headers.get('x-mantle-build') ?? serverBuild.value
}

interface Manner {
  /** The page goes: the request is to outlive it, where it is small enough. */
  leaving?: boolean
}

async function send<T>(
  method: string,
  path: string,
  body?: unknown,
  { leaving = false }: Manner = {},
): Promise<T> {
  let response: Response
  const asked = epoch
  const file = body instanceof Blob
  const text = body === undefined || file ? null : JSON.stringify(body)
  try {
    response = await fetch(path, {
      method,
      headers:
        body === undefined ? undefined : { 'content-type': file ? body.type : 'application/json' },
      body: file ? body : text,
      keepalive: leaving && (text?.length ?? 0) < mostAfterwards,
    })
  } catch {
    throw new ApiError(0, [{ path: '', says: unreachable }])
  }
  noteWhoAnswered(response.headers)
  const answer = (await response.json().catch(() => ({}))) as Record<string, unknown>
  // An answer that was on its way while the workshop was put back speaks of the one before.
  if (epoch === asked) noteEpoch(response.headers.get('x-mantle-epoch'))
  if (response.ok) return answer as T
  throw new ApiError(
    response.status,
    (answer.errors as Fault[] | undefined) ?? [{ path: '', says: unreachable }],
    answer,
  )
}

/** The one way to the server. Every failure is an `ApiError` with a sentence. */
export const api = {
  get: <T>(path: string) => send<T>('GET', path),
  put: <T>(path: string, body: unknown, manner?: Manner) => send<T>('PUT', path, body, manner),
  patch: <T>(path: string, body: unknown) => send<T>('PATCH', path, body),
  post: <T>(path: string, body: unknown = {}) => send<T>('POST', path, body),
  file: <T>(path: string, file: Blob) => send<T>('PUT', path, file),
  remove: <T>(path: string) => send<T>('DELETE', path),
}

/** What stands on the server in place of what could not be kept because it was changed elsewhere; null where that was not why. */
export const newerOf = <T>(error: unknown): Stored<T> | null =>
  error instanceof ApiError && error.status === 409
    ? ((error.body.theirs as Stored<T> | undefined) ?? null)
    : null

/** The sentence of anything that was thrown. */
export function sentenceOf(error: unknown): string {
  return error instanceof ApiError ? error.message : 'Something went wrong on this page.'
}
