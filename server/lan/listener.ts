import type { RequestListener } from 'node:http'

let kept: RequestListener | null = null

/** What answers requests, for the listener on the network. */
export const keepListener = (listener: RequestListener): void => void (kept = listener)
export const listener = (): RequestListener => kept!
