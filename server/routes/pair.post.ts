import { v7 } from 'uuid'
import { addPaired } from '../db/paired'
import { deviceCookie, hashOf, newSecret, spendCode } from '../reach/pairing'
import { pairPage } from '../reach/pairPage'

/** Seconds that a pairing lasts: as long as browsers keep a cookie. */
const lasts = 400 * 86_400

/** Takes a code and gives the device a secret of its own. */
export default defineEventHandler(async (event) => {
  const sent: Record<string, unknown> = (await readBody(event).catch(() => null)) ?? {}
  const code = String(sent.code ?? '').slice(0, 20)
  const name =
    String(sent.name ?? '')
      .trim()
      .slice(0, 60) || 'A tablet'
  const now = instant()
  if (!spendCode(code, Date.now())) {
    setResponseStatus(event, 403)
    setResponseHeader(event, 'content-type', 'text/html; charset=utf-8')
    return pairPage('', 'This code does not count (any more). Show a new one on the computer.')
  }
  const secret = newSecret()
  addPaired(await database(), v7(), name, hashOf(secret), now.toISOString())
  setCookie(event, deviceCookie, secret, {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: lasts,
  })
  return sendRedirect(event, '/bench', 303)
})
