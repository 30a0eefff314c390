import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { Worker } from 'node:worker_threads'
import type { BatchFacts } from '#contracts/batch'
import { factsOf } from '#core/rack/facts'
import { factsNeed, keepFitted, outdateHere, staleFacts } from '../db/batches'
import type { Db } from '../db/connection'
import { dryingRoom } from '../db/room'
import { log } from '../utils/log'
import type { FactsAsked } from './worker'

/*
 * Fits of weigh-ins are worked out one after the other in a thread of their own, so that nobody at the bench waits for a batch
 * that takes long. What is shown meanwhile is what was worked out before.
 */

/** The worker lies beside the built server; a server that is not built works facts out itself, between two requests. */
const workerFile = () => join(dirname(process.argv[1] ?? ''), 'facts.worker.mjs')

let worker: Worker | null = null
let answer: ((facts: BatchFacts) => void) | null = null
let refused: ((error: unknown) => void) | null = null

function workOut(asked: FactsAsked): Promise<BatchFacts> {
  if (!existsSync(workerFile()))
    return new Promise((done) => setImmediate(() => done(factsOf(asked.batch, asked.room))))
  if (!worker) {
    worker = new Worker(workerFile())
    worker.unref()
    worker.on('message', (facts: BatchFacts) => answer?.(facts))
    worker.on('error', (error) => {
      worker = null
      refused?.(error)
    })
  }
  return new Promise((done, fail) => {
    answer = done
    refused = fail
    worker!.postMessage(asked)
  })
}

const waiting: string[] = []
const heard = new Map<string, Set<() => void>>()
const followers = new Set<(batchId: string) => void>()
let working = false

async function work(db: Db): Promise<void> {
  if (working) return
  working = true
  try {
    for (let id = waiting.shift(); id !== undefined && db.open; id = waiting.shift()) {
      const need = factsNeed(db, id)
      if (!need) continue
      const facts = await workOut({ batch: need, room: dryingRoom(db) })
      if (!db.open) return
      if (!keepFitted(db, id, need, facts)) waiting.unshift(id)
      else {
        for (const hear of heard.get(id) ?? []) hear()
        heard.delete(id)
        for (const hear of followers) hear(id)
      }
    }
  } catch (error) {
    log(error)
  } finally {
    working = false
  }
}

/** Hears the id of each batch whose facts have become other ones. */
export function followFacts(hear: (batchId: string) => void): () => void {
  followers.add(hear)
  return () => void followers.delete(hear)
}

/** Works out what is outstanding, beginning after the server listens. */
export function queueStale(db: Db): void {
  setImmediate(() => {
    if (!db.open) return
    waiting.push(...staleFacts(db).filter((id) => !waiting.includes(id)))
    void work(db)
  })
}

/** Works out again the forecast of all that is drying. */
export function queueHere(db: Db): void {
  outdateHere(db)
  queueStale(db)
}

/**
 * Works out the facts of one batch before the others.
 * @param patience ms after which this resolves all the same, with the facts still as they were
 */
export function queueFirst(db: Db, id: string, patience: number): Promise<void> {
  const at = waiting.indexOf(id)
  if (at >= 0) waiting.splice(at, 1)
  waiting.unshift(id)
  return new Promise((done) => {
    heard.set(id, (heard.get(id) ?? new Set()).add(done))
    setTimeout(done, patience)
    void work(db)
  })
}
