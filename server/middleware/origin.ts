/**
 * Mantle serves one machine. A page from elsewhere must not write to it, so a request that changes something has to come
 * from Mantle's own pages (or from no page at all).
 */
export default defineEventHandler((event) => {
  if (event.method === 'GET' || event.method === 'HEAD') return
  const origin = getRequestHeader(event, 'origin')
  if (!origin || origin === `http://${getRequestHost(event)}`) return
  setResponseStatus(event, 403)
  return {
    errors: [{ path: '', says: 'This request came from another page and was not carried out.' }],
  }
})
