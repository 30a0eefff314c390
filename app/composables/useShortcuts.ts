import { useEventListener } from '@vueuse/core'

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

/** A first key such as `g` waits this long for the second, ms. */
const patience = 1200

/** Keys that begin a pair: what follows one of them is not a key of its own. */
const prefixes = new Set(['g'])

/**
 * Single keys and pairs such as `g r`, as long as nobody is typing and no dialog is open. Escape leaves a field.
 * The listener goes with the component.
 */
export function useShortcuts(keys: Record<string, () => void>): void {
  let first = ''
  let since = 0
  useEventListener(document, 'keydown', (event) => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return
    if (typing(event.target)) {
      if (event.key === 'Escape') (event.target as HTMLElement).blur()
      return
    }
    if (document.querySelector('[role="dialog"],[role="menu"]')) return
    const second = prefixes.has(first) && event.timeStamp - since < patience
    const act = keys[second ? `${first} ${event.key}` : event.key]
    first = second ? '' : event.key
    since = event.timeStamp
    if (!act) return
    event.preventDefault()
    act()
  })
}
