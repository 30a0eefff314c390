import type { H3Event } from 'h3'
import { cleaned, deeperThan } from '../lan/text'

/** Bytes a JSON body may have. */
export const mostJson = 1024 * 1024
/** Brackets inside each other that a JSON body may have: a formula has eight. */
const deepest = 64
/** Bytes of a body that is too long which are thrown away, so that its sender reads the answer; from longer ones the line is cut. */
const mostThrownAway = 32 * 1024 * 1024
/** ms that a sender whose line is cut has left to notice. */
const lingers = 1000

const sentence = (most: number) =>
  most >= mostJson ? `This is larger than ${Math.round(most / mostJson)} MB.` : 'This is too long.'

/** Reads the rest of a body and keeps nothing of it. */
const throwAway = (event: H3Event): Promise<void> =>
  new Promise((done) => {
    const { req } = event.node
    req.once('end', done)
    req.once('close', done)
    req.resume()
  })

/** Ends the line after the answer: what still comes in is of no use to anybody. */
function cutOff(event: H3Event): void {
  const { req, res } = event.node
  res.setHeader('connection', 'close')
  req.resume()
  setTimeout(() => req.destroy(), lingers).unref()
}

/** The body as it comes, refused at once when it says that it is longer than `most` bytes, and as soon as it is. */
export async function limitedBody(event: H3Event, most: number): Promise<Buffer> {
  const { req } = event.node
  const declared = Number(req.headers['content-length'] ?? 0)
  if (declared > most) {
    if (declared <= mostThrownAway) await throwAway(event)
    else cutOff(event)
    refuse(413, sentence(most))
  }
  const parts: Buffer[] = []
  let length = 0
  return await new Promise<Buffer>((done, fail) => {
    req.on('data', (part: Buffer) => {
      length += part.length
      if (length <= most) return void parts.push(part)
      req.removeAllListeners('data')
      cutOff(event)
      fail(new Refusal(413, [{ path: '', says: sentence(most) }]))
    })
    req.once('end', () => done(Buffer.concat(parts)))
    req.once('error', fail)
    req.once('close', () => fail(new Refusal(400, [{ path: '', says: 'The sender left.' }])))
  })
}

/** A JSON body: limited, not nested beyond reason, its words free of what no maker types. */
export async function jsonBody(event: H3Event): Promise<unknown> {
  const bytes = await limitedBody(event, mostJson)
  if (deeperThan(bytes, deepest)) refuse(422, 'This is nested too deeply.')
  try {
    return cleaned(JSON.parse(bytes.toString('utf8')) as unknown)
  } catch {
    return refuse(400, 'What was sent is not JSON.')
  }
}
