import { StreamHub, type HubWord, type Wants } from '../utils/streamHub'

/* The hub of all windows of a browser. */

interface Said {
  id: string
  wants?: Wants
}

const hub = new StreamHub()
const scope = self as unknown as { onconnect: (event: MessageEvent) => void }
scope.onconnect = ({ ports }) => {
  const port = ports[0]!
  const tell = (word: HubWord) => port.postMessage(word)
  port.onmessage = ({ data: { id, wants } }: MessageEvent<Said>) =>
    wants ? hub.wants(id, wants, tell) : hub.alive(id)
}
