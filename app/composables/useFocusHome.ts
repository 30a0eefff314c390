import { useEventListener, useMutationObserver } from '@vueuse/core'

/** How many places are remembered. */
const most = 40

/**
 * Keeps the focus somewhere: when what had it is gone (a dialog that closed, a row that was deleted, a menu), it goes back to the
 * last place that is still there, and on a new page to its heading.
 */
export function useFocusHome(): void {
  const route = useRoute()
  let trail: HTMLElement[] = []
  watch(
    () => route.path,
    () => (trail = []),
  )
  const there = (element: HTMLElement) =>
    element.isConnected && element.checkVisibility() && !element.matches(':disabled, [inert] *')
  function mend() {
    const now = document.activeElement
    if (now && now !== document.body) return
    const lost = trail.at(-1)
    // Somebody clicked beside everything: that is no loss.
    if (!lost || there(lost)) return
    const home = trail.findLast(there) ?? document.querySelector<HTMLElement>('h1')
    if (!home) return
    if (home.tabIndex < 0) home.tabIndex = -1
    home.focus({ preventScroll: true })
  }
  useEventListener(document, 'focusin', ({ target }) => {
    if (target instanceof HTMLElement && target !== document.body)
      trail = [...trail.filter((one) => one !== target).slice(1 - most), target]
  })
  useMutationObserver(document.documentElement, mend, { childList: true, subtree: true })
}
