import { useEventListener } from '@vueuse/core'

/** ms for which a step that has just come up takes no Space: a key that bounces must not do two steps. */
export const bounce = 250

/**
 * Keys of a step at the bench. Unlike shortcuts elsewhere they take Space and digits, also while a button has the focus; never
 * while somebody types in a field.
 * @param rest takes a key that is not named
 */
export function useBenchKeys(
  keys: Record<string, () => void>,
  rest?: (key: string) => boolean,
): void {
  const since = performance.now()
  useEventListener(document, 'keydown', (event) => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return
    const target = event.target as HTMLElement
    if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) {
      if (event.key === 'Escape') target.blur()
      return
    }
    if (document.querySelector('[role="dialog"],[role="menu"]')) return
    // Enter on a focused button is that button's; Space is always the step's main key.
    if (event.key === 'Enter' && target.closest('button, a, summary')) return
    const act = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    const takes = event.key === ' ' || event.key === 'Enter'
    if (takes && (event.repeat || performance.now() - since < bounce)) return event.preventDefault()
    if (act) {
      event.preventDefault()
      act()
    } else if (rest?.(event.key)) event.preventDefault()
  })
}
