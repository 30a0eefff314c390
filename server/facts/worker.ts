import { parentPort } from 'node:worker_threads'
import { factsOf } from '#core/rack/facts'

/** What a batch comes to, worked out beside the server's own thread: it may take as long as it takes. */
export interface FactsAsked {
  batch: Parameters<typeof factsOf>[0]
  room: Parameters<typeof factsOf>[1]
}

parentPort?.on('message', ({ batch, room }: FactsAsked) => {
  parentPort!.postMessage(factsOf(batch, room))
})
