import type { H3Event } from 'h3'
import type { Caller } from '#contracts/rights'
import { holdStream } from '../lan/streams'

/** ms between two signs of life on a stream, so that a line that died is noticed. */
const heartbeat = 1000

/**
 * Streams to one browser as server-sent events until it leaves, or until its pairing ends.
 * @param subscribe is given what sends, and returns what ends it
 */
export async function stream<T>(
  event: H3Event,
  caller: Caller,
  subscribe: (send: (data: T) => void) => () => void,
): Promise<void> {
  const out = createEventStream(event)
  const send = (data: T) => void out.push(JSON.stringify(data))
  const end = subscribe(send)
  const beat = setInterval(() => void out.push({ event: 'beat', data: '' }), heartbeat)
  const forget = holdStream(
    caller.kind === 'device' ? caller.id : caller.kind,
    () => void out.close(),
  )
  out.onClosed(async () => {
    clearInterval(beat)
    forget()
    end()
    await out.close()
  })
  return out.send()
}
