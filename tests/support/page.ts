import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import { createApp, nextTick } from 'vue'

/* A page without a browser, for what lives in one: composables with their clock, their storage and their way to the server. */

/** Runs a composable as a page would; `leave` closes the page. */
export function inPage<T>(setup: () => T): { of: T; leave: () => void } {
  const pinia = createPinia()
  setActivePinia(pinia)
  let of: T
  const page = createApp({
    setup() {
      of = setup()
      return () => null
    },
  })
  page.use(pinia).mount(document.createElement('div'))
  return { of: of!, leave: () => page.unmount() }
}

/** Lets so many ms pass, and what waits for them happen. */
export async function pass(ms: number): Promise<void> {
  await vi.advanceTimersByTimeAsync(ms)
  await nextTick()
}

/** One request as the page made it. */
export interface Asked {
  method: string
  path: string
  body: never
  leaving: boolean
}
/** What the server answers: a status and a body, or nothing at all. */
export type Answer = { status?: number; body?: unknown; epoch?: string } | 'no answer'

/** Puts a server in the place of the network; gives what it was asked. */
export function serverThat(answers: (asked: Asked) => Answer | Promise<Answer>): Asked[] {
  const all: Asked[] = []
  vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
    const asked: Asked = {
      method: init.method ?? 'GET',
      path,
      body: JSON.parse(String(init.body ?? 'null')) as never,
      leaving: !!init.keepalive,
    }
    all.push(asked)
    const answer = await answers(asked)
    if (answer === 'no answer') throw new TypeError('Failed to fetch')
    const { status = 200, body = {}, epoch = 'first' } = answer
    return new Response(JSON.stringify(body), {
      status,
      headers: { 'x-mantle-epoch': epoch },
    })
  })
  return all
}

/** A browser whose storage is switched off. */
export function withoutStorage(): void {
  vi.spyOn(window, 'localStorage', 'get').mockImplementation(() => {
    throw new DOMException('switched off', 'SecurityError')
  })
}
