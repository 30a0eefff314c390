import { createHash, randomBytes, randomInt } from 'node:crypto'

/*
 * Pairing: the host shows a code of six digits, the device sends it once and gets a secret of its own. A code lives for ten
 * minutes, serves one device, and dies of five wrong guesses.
 */

export const deviceCookie = 'mantle_device'
const livesFor = 10 * 60_000
const guesses = 5

let current: { code: string; until: number; left: number } | null = null

/** A new code; the one before no longer counts. */
export function newCode(now: number): { code: string; until: number } {
  current = {
    code: String(randomInt(0, 1_000_000)).padStart(6, '0'),
    until: now + livesFor,
    left: guesses,
  }
  return { code: current.code, until: current.until }
}

/** Whether a code opens the door; it does so once. */
export function spendCode(code: string, now: number): boolean {
  if (!current || now > current.until || current.left <= 0) return false
  if (code.replace(/\D/g, '') !== current.code) {
    current.left -= 1
    return false
  }
  current = null
  return true
}

export const newSecret = (): string => randomBytes(32).toString('hex')
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex')
