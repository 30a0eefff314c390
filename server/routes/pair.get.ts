import { pairPage } from '../lan/pairPage'

/** The one page that a device without a pairing gets. */
export default defineEventHandler((event) => {
  setResponseHeader(event, 'content-type', 'text/html; charset=utf-8')
  return pairPage(
    String(getQuery(event).code ?? '')
      .replace(/\D/g, '')
      .slice(0, 6),
    '',
  )
})
