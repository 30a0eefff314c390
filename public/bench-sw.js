/*
 * Keeps the bench usable through a reload while Mantle cannot be reached. Only pages under /bench/ are under its care: their
 * code comes from here once it has been loaded, their data from the server whenever that answers.
 */
const name = 'mantle-bench-1'
const shell = '/bench/'
const remembered = ['/api/workshop', '/api/materials']

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      for (const key of await caches.keys()) if (key !== name) await caches.delete(key)
      await self.clients.claim()
    })(),
  )
})

async function put(key, response) {
  if (response.ok) await (await caches.open(name)).put(key, response.clone())
  return response
}
async function fromServerFirst(request, key) {
  try {
    return await put(key, await fetch(request))
  } catch {
    return (await caches.match(key)) ?? Response.error()
  }
}

self.addEventListener('message', (event) => {
  const urls = Array.isArray(event.data?.keep) ? event.data.keep : []
  event.waitUntil(
    (async () => {
      const cache = await caches.open(name)
      for (const url of urls)
        if (!(await cache.match(url))) await cache.add(url).catch(() => undefined)
    })(),
  )
})

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (request.mode === 'navigate') event.respondWith(fromServerFirst(request, shell))
  else if (url.pathname.startsWith('/_nuxt/'))
    event.respondWith(
      caches.match(request.url).then(async (hit) => hit ?? put(request.url, await fetch(request))),
    )
  else if (remembered.includes(url.pathname))
    event.respondWith(fromServerFirst(request, url.pathname))
})
