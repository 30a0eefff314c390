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
  const ask = () =>
    fetch(url, {
      method,
      headers: { 'content-type': 'application/json', ...headers },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    })
  const response = await ask().catch((error: unknown) => {
    // A test that was busy with itself for seconds finds its idle line closed by the server: what only asks, asks on a new one.
    if (method === 'GET') return ask()
    throw error
  })
  return { status: response.status, body: (await response.json()) as Answer<T>['body'] }
}

/** Changes settings as the app does: what is changed, on the revision that is there. */
export async function patchShop<T>(url: string, changes: object, revision?: number) {
  const now = await send<{ revision: number }>(`${url}/api/workshop`, 'GET')
  return send<T>(`${url}/api/workshop`, 'PATCH', {
    revision: revision ?? now.body.revision,
    changes,
  })
}

/** Asks again and again until something is so: for what the server works out after its answer. */
export async function until<T>(ask: () => Promise<T>, so: (value: T) => boolean): Promise<T> {
  for (;;) {
    const value = await ask()
    if (so(value)) return value
    await new Promise((done) => setTimeout(done, 50))
  }
}
