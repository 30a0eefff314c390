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

async function send<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response
  const file = body instanceof Blob
  try {
    response = await fetch(path, {
      method,
      headers:
        body === undefined ? undefined : { 'content-type': file ? body.type : 'application/json' },
      body: body === undefined ? undefined : file ? body : JSON.stringify(body),
      keepalive: method === 'PUT' && !file,
    })
  } catch {
    throw new ApiError(0, [{ path: '', says: unreachable }])
  }
  const answer = (await response.json().catch(() => ({}))) as Record<string, unknown>
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
  put: <T>(path: string, body: unknown) => send<T>('PUT', path, body),
  post: <T>(path: string, body: unknown = {}) => send<T>('POST', path, body),
  file: <T>(path: string, file: Blob) => send<T>('PUT', path, file),
  remove: <T>(path: string) => send<T>('DELETE', path),
}

/** The sentence of anything that was thrown. */
export function sentenceOf(error: unknown): string {
  return error instanceof ApiError ? error.message : 'Something went wrong on this page.'
}
