const thisMachine = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/

/**
 * Mantle serves one machine. A page from elsewhere must neither write to it nor, by giving a name of its own to this
 * address, read from it: the request has to be made to this machine by name, and a change has to come from Mantle's own
 * pages (or from no page at all).
 */
export default defineEventHandler((event) => {
  const host = getRequestHost(event)
  const origin = getRequestHeader(event, 'origin')
  const reads = event.method === 'GET' || event.method === 'HEAD'
  if (thisMachine.test(host) && (reads || !origin || origin === `http://${host}`)) return
  setResponseStatus(event, 403)
  return {
    errors: [{ path: '', says: 'This request came from another page and was not carried out.' }],
  }
})
