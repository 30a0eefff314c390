const key = 'mantle-window'

/**
 * The id of this window: the same after a reload, another one in a second window. It is handed over through the reload and lies
 * nowhere while the window is open, so that a window that was duplicated gets one of its own.
 */
function handedOver(): string {
  try {
    const before = sessionStorage.getItem(key)
    sessionStorage.removeItem(key)
    return before ?? newId()
  } catch {
    return newId()
  }
}

let here = ''
export function windowId(): string {
  if (here) return here
  here = handedOver()
  const hand = () => {
    try {
      sessionStorage.setItem(key, here)
    } catch {
      // after the reload it is a new window
    }
  }
  window.addEventListener('pagehide', hand)
  // Back from the browser's own cache: it is open again.
  window.addEventListener('pageshow', () => {
    try {
      sessionStorage.removeItem(key)
    } catch {
      // as above
    }
  })
  return here
}
