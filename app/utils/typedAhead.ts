/*
 * A quick hand types before a field that it asked for is there: what was typed meanwhile goes into the field, in order, and Enter
 * at the end of it counts.
 */

let stop: (() => void) | null = null
let typed = ''
let entered = false

/** Keeps what is typed from now on until a field takes it; Escape, or a while without a field, gives up. */
export function typeAhead(patience = 10_000): void {
  stop?.()
  typed = ''
  entered = false
  const ended = new AbortController()
  const timer = setTimeout(() => stop?.(), patience)
  stop = () => {
    ended.abort()
    clearTimeout(timer)
    stop = null
  }
  document.addEventListener(
    'keydown',
    (event) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === 'Escape') return stop?.()
      if (event.key.length === 1 && !entered) typed += event.key
      else if (event.key === 'Backspace' && !entered) typed = typed.slice(0, -1)
      else if (event.key === 'Enter') entered = true
      else return
      event.preventDefault()
      event.stopImmediatePropagation()
    },
    { capture: true, signal: ended.signal },
  )
}

/** Puts into a field what was typed before it was there; nothing where nothing was. */
export async function takeTyped(field: HTMLInputElement): Promise<void> {
  if (!stop) return
  stop()
  if (typed) {
    field.value = typed
    field.dispatchEvent(new InputEvent('input', { bubbles: true, data: typed }))
  }
  if (!entered) return
  await nextTick()
  field.dispatchEvent(
    new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }),
  )
}
