import type { H3Event } from 'h3'
import { cleaned, deeperThan } from '../reach/text'

/** Bytes a JSON body may have. */
export const mostJson = 1024 * 1024
/** Brackets inside each other that a JSON body may have: a formula has eight. */
const deepest = 64
/** ms that a sender who was refused has left to notice. */
const lingers = 1000

/** Refuses what is too long; what still comes in is thrown away for a moment, then the line is cut. */
function tooLong(event: H3Event, most: number): never {
  const { req, res } = event.node
  res.setHeader('connection', 'close')
  req.resume()
  setTimeout(() => req.destroy(), lingers).unref()
  const says =
    most >= mostJson
      ? `This is larger than ${Math.round(most / mostJson)} MB.`
      : 'This is too long.'
  return refuse(413, says)
}

/** The body as it comes, refused at once when it says that it is longer than `most` bytes, and as soon as it is. */
export async function limitedBody(event: H3Event, most: number): Promise<Buffer> {
  const { req } = event.node
  if (Number(req.headers['content-length'] ?? 0) > most) tooLong(event, most)
  const parts: Buffer[] = []
  let length = 0
  return await new Promise<Buffer>((done, fail) => {
    req.on('data', (part: Buffer) => {
      length += part.length
      if (length <= most) return void parts.push(part)
      req.removeAllListeners('data')
      try {
        tooLong(event, most)
      } catch (error) {
        fail(error)
      }
    })
    req.once('end', () => done(Buffer.concat(parts)))
    req.once('error', fail)
    req.once('close', () => fail(new Error('The sender left.')))
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
