import { createHash, randomBytes, randomInt } from 'node:crypto'

/*
 * Pairing: the host shows a code of six digits, the device sends it once and gets a secret of its own. A code lives for ten
 * minutes and serves one device. Whoever guesses waits longer after each wrong guess, and waits alone; only a hundred wrong
 * guesses from anywhere end the code itself.
 */

export const deviceCookie = 'mantle_device'
const livesFor = 10 * 60_000
const guesses = 100
/** ms that the first wrong guess costs its sender; each further one doubles it. */
const firstWait = 1000
const longestWait = 5 * 60_000
/** Senders that are remembered; the one that guessed longest ago goes first. */
const mostSenders = 500

let current: { code: string; until: number; left: number } | null = null
const senders = new Map<string, { wrong: number; notBefore: number }>()

/** A new code; the one before no longer counts. */
export function newCode(now: number): { code: string; until: number } {
  current = {
    code: String(randomInt(0, 1_000_000)).padStart(6, '0'),
    until: now + livesFor,
    left: guesses,
  }
  return { code: current.code, until: current.until }
}

export type Spent = 'paired' | 'wrong' | { waitSeconds: number }

/**
 * Tries a code; it pairs one device.
 * @param sender where the guess comes from: its address
 */
export function spendCode(code: string, sender: string, now: number): Spent {
  const before = senders.get(sender)
  if (before && now < before.notBefore)
    return { waitSeconds: Math.ceil((before.notBefore - now) / 1000) }
  if (current && now <= current.until && code.replace(/\D/g, '') === current.code) {
    current = null
    senders.delete(sender)
    return 'paired'
  }
  const wrong = (before?.wrong ?? 0) + 1
  senders.delete(sender)
  senders.set(sender, {
    wrong,
    notBefore: now + Math.min(longestWait, firstWait * 2 ** (wrong - 1)),
  })
  if (senders.size > mostSenders) senders.delete(senders.keys().next().value!)
  if (current && --current.left <= 0) current = null
  return 'wrong'
}

export const newSecret = (): string => randomBytes(32).toString('hex')
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex')
