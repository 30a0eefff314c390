import type { FinderWorker } from '~/workers/finder.worker'

/** Starts the worker that the solver lives in. Whoever starts it ends it. */
export async function startFinder() {
  const { wrap } = await import('comlink')
  const worker = new Worker(new URL('../workers/finder.worker.ts', import.meta.url), {
    type: 'module',
  })
  return { worker, remote: wrap<FinderWorker>(worker) }
}
