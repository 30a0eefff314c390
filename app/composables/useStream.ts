import type { StreamMessage } from '#contracts/stream'
import { nothing, StreamHub, together, wanted, type HubWord, type Wants } from '~/utils/streamHub'

interface Listener {
  wants: Wants
  hear: (message: StreamMessage) => void
  /** Whether the line stands. */
  line?: (open: boolean) => void
}

/** ms between two signs of life to the hub. */
const aliveEvery = 20_000

const listeners = new Set<Listener>()
let say: ((wants: Wants | null) => void) | null = null

function take(word: HubWord): void {
  if ('open' in word) {
    for (const { line } of listeners) line?.(word.open)
    return
  }
  const { message } = word
  if (message.topic === 'epoch') noteEpoch(message.data)
  for (const { wants, hear } of [...listeners]) if (wanted(wants, message)) hear(message)
}

/** The hub in this page, where a browser has no workers that windows share. */
function ownHub(): (wants: Wants | null) => void {
  const hub = new StreamHub()
  return (wants) => (wants ? hub.wants('here', wants, take) : hub.alive('here'))
}

function begin(): (wants: Wants | null) => void {
  if (!('SharedWorker' in window)) return ownHub()
  try {
    const id = newId()
    const worker = new SharedWorker(new URL('../workers/stream.shared.ts', import.meta.url), {
      type: 'module',
      name: 'mantle-stream',
    })
    worker.onerror = () => {
      // Not to be had, as when Mantle cannot be reached: this page listens by itself.
      say = ownHub()
      tellWants()
    }
    worker.port.onmessage = ({ data }: MessageEvent<HubWord>) => take(data)
    worker.port.start()
    window.addEventListener('pagehide', () => worker.port.postMessage({ id, wants: nothing }))
    window.addEventListener('pageshow', ({ persisted }) => {
      if (persisted) tellWants()
    })
    return (wants) => worker.port.postMessage(wants ? { id, wants } : { id })
  } catch {
    return ownHub()
  }
}

function tellWants(): void {
  if (!say) {
    say = begin()
    setInterval(() => say?.(null), aliveEvery)
  }
  say(together([...listeners].map(({ wants }) => wants)))
}

/** Listens to the server by the one line that all windows of this browser share. Gives what ends it. */
export function listenTo(
  wants: Partial<Wants>,
  hear: Listener['hear'],
  line?: Listener['line'],
): () => void {
  const listener: Listener = { wants: { ...nothing, ...wants }, hear, line }
  listeners.add(listener)
  tellWants()
  return () => {
    listeners.delete(listener)
    tellWants()
  }
}
