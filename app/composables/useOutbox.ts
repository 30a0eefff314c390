import type { FormulaDocument } from '#contracts/formula'

/** A change that the server has not acknowledged, and the revision it was made on. */
export interface Pending {
  revision: number
  document: FormulaDocument
}

const keyOf = (id: string) => `mantle-unsaved-${id}`

/*
 * Every change is put on this device before it is sent, so that a crash of the page, the browser or the server between
 * two keystrokes loses nothing. Storage may be switched off; then the server's copy is all there is.
 */

export function rememberPending(id: string, pending: Pending): void {
  try {
    localStorage.setItem(keyOf(id), JSON.stringify(pending))
  } catch {
    // full or switched off: saving goes on without it
  }
}

export function forgetPending(id: string): void {
  try {
    localStorage.removeItem(keyOf(id))
  } catch {
    // as above
  }
}

export function pendingOf(id: string): Pending | null {
  try {
    const text = localStorage.getItem(keyOf(id))
    return text ? (JSON.parse(text) as Pending) : null
  } catch {
    return null
  }
}
