import { v7 } from 'uuid'
import { rightsOfTablet } from '#contracts/rights'
import { addPaired } from '../db/paired'
import { senderOf, throughProxy } from '../lan/network'
import { deviceCookie, hashOf, newSecret, spendCode } from '../lan/pairing'
import { pairPage } from '../lan/pairPage'
import { cleanedText } from '../lan/text'

/** Seconds that a pairing lasts: as long as browsers keep a cookie. */
const lasts = 400 * 86_400
/** Bytes that a code and a name take. */
const most = 1024

/** Takes a code and gives the device a secret of its own. */
export default defineEventHandler(async (event) => {
  const page = (status: number, says: string) => {
    setResponseStatus(event, status)
    setResponseHeader(event, 'content-type', 'text/html; charset=utf-8')
    return pairPage('', says)
  }
  let sent: URLSearchParams
  try {
    sent = new URLSearchParams((await limitedBody(event, most)).toString('utf8'))
  } catch (error) {
    if (error instanceof Refusal)
      return page(error.status, 'This is longer than a code and a name.')
    throw error
  }
  const name =
    cleanedText(sent.get('name') ?? '')
      .trim()
      .slice(0, 60) || 'A tablet'
  const now = instant()
  const spent = spendCode((sent.get('code') ?? '').slice(0, 20), senderOf(event), Date.now())
  if (spent === 'wrong')
    return page(403, 'This code does not count (any more). Show a new one on the computer.')
  if (spent !== 'paired') {
    setResponseHeader(event, 'retry-after', spent.waitSeconds)
    return page(429, `That was wrong. Wait ${spent.waitSeconds} s before the next try.`)
  }
  const secret = newSecret()
  const device = { id: v7(), name, rights: rightsOfTablet }
  addPaired(await database(), device, hashOf(secret), now.toISOString())
  setCookie(event, deviceCookie, secret, {
    httpOnly: true,
    sameSite: 'strict',
    secure: throughProxy(event),
    path: '/',
    maxAge: lasts,
  })
  return sendRedirect(event, '/bench', 303)
})
