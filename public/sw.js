/*
 * Keeps Mantle readable while it cannot be reached: the code of all stations comes from here once it has been loaded, what they
 * show from the server whenever that answers, else as it was last. Nothing is written from here; what is told meanwhile waits in
 * the page. One cache for each build, named in this script's address.
 */
const name = `mantle-${new URL(self.location).searchParams.get('build')}`
const shell = '/'
const id = '[0-9a-f-]{36}'
/** What the stations read. Runs are not among them: a bench must know whether it is alone. */
const read = new RegExp(
  `^/api/(workshop|materials|moulds|goals|room|versions|scents(/known)?|suppliers|trials|batches(/${id}|/gone|/counts|/gone-since|/predictions)?|formulas(/${id}(/versions|/lessons|/felt|/marks)?)?)$`,
)

self.addEventListener('install', (event) => {
  self.skipWaiting()
  event.waitUntil(
    (async () => {
      const cache = await caches.open(name)
      const files = await fetch('/_nuxt/files.json').then((answer) => answer.json())
      // One by one: a file that fails is fetched when it is needed.
      for (const file of ['', ...files]) await cache.add(`/${file}`).catch(() => undefined)
    })().catch(() => undefined),
  )
})
/** What every station begins with. */
const lists = [
  'workshop',
  'materials',
  'moulds',
  'goals',
  'room',
  'batches',
  'formulas',
  'versions',
  'scents',
  'scents/known',
  'suppliers',
  'trials',
]

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      for (const key of await caches.keys())
        if (key.startsWith('mantle-') && key !== name) await caches.delete(key)
      await self.clients.claim()
      for (const list of lists) await keep(new URL(`/api/${list}`, self.location).href)
    })(),
  )
})
/** What a page read before this had it under its care. */
self.addEventListener('message', (event) => {
  const urls = Array.isArray(event.data?.read) ? event.data.read : []
  event.waitUntil(Promise.all(urls.filter((url) => read.test(new URL(url).pathname)).map(keep)))
})
const keep = (url) => fromServerFirst(url, url).catch(() => undefined)

/** Keeps an answer, with when it came. */
async function put(key, response) {
  if (!response.ok || response.redirected) return response
  const headers = new Headers(response.headers)
  headers.set('x-mantle-kept', new Date().toISOString())
  const kept = new Response(await response.clone().blob(), { status: 200, headers })
  await (await caches.open(name)).put(key, kept)
  return response
}
async function fromServerFirst(request, key) {
  let response
  try {
    response = await fetch(request)
  } catch {
    return (await caches.match(key)) ?? Response.error()
  }
  // This device is locked out: nothing of the workshop stays on it.
  if (response.status === 401) await caches.delete(name)
  return put(key, response).catch(() => response)
}

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (request.mode === 'navigate') {
    if (!url.pathname.startsWith('/api/') && !url.pathname.startsWith('/pair'))
      event.respondWith(fromServerFirst(request, shell))
  } else if (url.pathname.startsWith('/_nuxt/') && !url.pathname.endsWith('.json'))
    event.respondWith(
      caches.match(request.url).then(async (hit) => hit ?? put(request.url, await fetch(request))),
    )
  else if (read.test(url.pathname)) event.respondWith(fromServerFirst(request, request.url))
})
