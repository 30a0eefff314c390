/** An answer of a route: its status and its body. */
export interface Answer<T> {
  status: number
  body: T & { errors?: { path: string; says: string }[] }
}

/** Asks a server as the app does. A text is sent as it is. */
export async function send<T = unknown>(
  url: string,
  method: string,
  body?: unknown,
  headers = {},
): Promise<Answer<T>> {
  const response = await fetch(url, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
  })
  return { status: response.status, body: (await response.json()) as Answer<T>['body'] }
}
